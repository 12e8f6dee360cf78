using OpenQA.Selenium;

namespace IronLoop.Browser.Tests;

/// <summary>The bench with both hands busy: by Space or a pedal, a part lost, a try-on that changes the rest, a server that dies.</summary>
public sealed class BenchTests : IDisposable
{
    private readonly RunningShop _shop = new(demo: true);
    private readonly Screen _screen;

    public BenchTests() => _screen = new Screen(_shop.Address);

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
    }

    [Fact]
    public void One_job_for_each_fastener_is_worked_to_the_end_by_the_space_bar()
    {
        _screen.Go("/");
        foreach (var (job, article, reads) in ((int, string?, string)[])
        [
            (5, null, "Turn the screw out counter-clockwise"),
            (6, null, "See how the tube sat"),
            (7, null, "Draw the bar’s tip back"),
            (8, null, "the slit end at the arrow’s head"),
            (20, null, "One driver holds, the other turns counter-clockwise"),
        ])
        {
            ToTheBench(job, article);
            Work(job, reads);
        }
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void One_job_for_each_attachment_is_worked_to_the_end_and_what_cannot_be_undone_waits_for_a_signature()
    {
        _screen.Go("/");
        foreach (var (job, article, reads) in ((int, string, string)[])
        [
            (10, "SK-P20", "never lever against a fixed bar"),
            (12, "SK-L20", "the watch’s own bar through lug and tube"),
            (13, "SK-N18", "as its maker made it"),
            (9, "SK-M18", "notch"),
            (11, "SK-L20", "slide the end into the slot"),
        ])
        {
            ToTheBench(job, article);
            Work(job, reads);
        }
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_lost_tube_is_replaced_from_stock_before_its_joint_can_be_closed()
    {
        _screen.Go("/");
        ToTheBench(6, null);
        _screen.Go("/jobs/6/bench");
        Forward(until: "See how the tube sat");
        Step(() => _screen.Press("Done"));
        Tab("Tray");
        _screen.Until(() => _screen.All("[data-part=tubes] .heap i").Count == 1, "the tube drawn in the tray");
        Put("tubes", "is lost", "rolled away");
        _screen.Until(() => _screen.All("[data-part=tubes] .heap i").Count == 0 && _screen.All("[data-part=tubes] .lost").Count == 1, "it is lost");
        // What was taken apart cannot be put together again without it.
        Tab("Step");
        while (_screen.All("[data-testid=waits]").Count == 0)
            Step(() => _screen.Press("Done"));
        _screen.UntilSays("look for it, or take one from stock at the Tray");
        var step = _screen.Told("step");
        _screen.Press("Done");
        _screen.UntilSays("gone");
        _screen.Told("step").ShouldBe(step);
        Tab("Tray");
        Put("tubes", "is taken from stock", "");
        _screen.Until(() => _screen.All("[data-part=tubes] .lost").Count == 1 && _screen.All("[data-part=tubes] .heap i").Count >= 1, "one in its place");
        Tab("Step");
        _screen.Until(() => _screen.All("[data-testid=waits]").Count == 0, "nothing waits");
        Step(() => _screen.Press("Done"));
    }

    [Fact]
    public void A_try_on_between_the_sides_changes_the_rest_and_says_how()
    {
        _screen.Go("/jobs/4/bench");
        _screen.UntilSays("side stays closed until this is done.");
        _screen.Type("triedAmount", "30");
        _screen.Press("What does that change?");
        _screen.Until(() => _screen.All("[data-testid=tried]").Count == 1, "what changes");
        _screen.Told("tried").ShouldContain("micro-adjust");
        _screen.Press("Go on with this");
        _screen.UntilSays("round 2");
        Tab("All steps");
        _screen.Until(() => _screen.All(".steps li.done").Count >= 13, "what was done stays done");
        Tab("Step");
        Forward();
        _screen.UntilSays("All steps are done.");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_server_killed_in_the_middle_resumes_at_the_step_and_a_second_device_shows_the_same()
    {
        _screen.Go("/");
        ToTheBench(5, null);
        _screen.Go("/jobs/5/bench");
        Forward(until: "Turn the screw out");
        var step = _screen.Told("step");
        using var other = new Screen(_shop.Address);
        other.Resize(1024, 768);
        other.Go("/jobs/5/bench");
        other.Until(() => other.Told("step") == step, "the same step");
        _shop.Kill();
        _screen.Key(" ");
        _screen.UntilSays("does not answer");
        _screen.Told("step").ShouldBe(step);
        _shop.Restart();
        _screen.Reload();
        _screen.Until(() => _screen.Told("step") == step, "the step it was at");
        // A pedal that types PageDown.
        _screen.Key(Keys.PageDown);
        _screen.Until(() => _screen.Told("step") != step, "forward by pedal");
        other.Until(() => other.Told("step") == _screen.Told("step"), "the other device follows");
    }

    private void Work(int job, string reads)
    {
        _screen.Go($"/jobs/{job}/bench");
        Look();
        Tab("All steps");
        _screen.UntilSays(reads);
        Tab("Step");
        Forward();
        _screen.UntilSays("All steps are done.");
    }

    /// <summary>Forward until a step reads so, or to the end.</summary>
    private void Forward(string? until = null)
    {
        Look();
        while (_screen.All("[data-testid=step]").Count == 1)
        {
            var step = _screen.Told("step");
            if (until is not null && step.Contains(until, StringComparison.Ordinal))
                return;
            if (_screen.All("[data-testid=signature]").Count == 1)
                Sign();
            if (_screen.All("[name=triedAmount]").Count == 1)
                Step(() => _screen.Press("It agrees with the plan"));
            else
                Step(() => _screen.Key(" "));
            Look();
        }
    }

    /// <summary>What nobody has looked at yet is asked for where it is needed, and answered by a look.</summary>
    private void Look()
    {
        _screen.Until(() => _screen.All("[data-testid=step], form.came, form[data-group]").Count > 0 || _screen.Text.Contains("All steps are done.", StringComparison.Ordinal) || _screen.Text.Contains("Every step is done.", StringComparison.Ordinal), "the bench");
        while (_screen.All("form.came").Count > 0)
        {
            _screen.Choose("cameHeld", "Spring bars");
            _screen.Until(() => _screen.All("form.came").Count == 0, "how it is held is kept");
        }
        while (_screen.All("form[data-group]") is [var first, ..])
        {
            var asked = first.GetDomAttribute("data-group");
            first.FindElement(By.CssSelector("input[value=springBar]")).Click();
            _screen.Until(() => _screen.All($"form[data-group={asked}]").Count == 0, $"{asked} is kept");
        }
        _screen.Until(() => _screen.All("[data-testid=step]").Count == 1 || _screen.Text.Contains("step is done.", StringComparison.Ordinal) || _screen.Text.Contains("steps are done.", StringComparison.Ordinal), "the step");
    }

    /// <summary>Does something that goes on to another step, and waits until it is there.</summary>
    private void Step(Action act)
    {
        var step = _screen.Told("step");
        _screen.Run("document.activeElement?.blur()");
        act();
        _screen.Until(() => _screen.All("[data-testid=step]") is not [var now] || now.Text != step, $"what follows {step}");
    }

    private void Sign()
    {
        _screen.Draw("[data-testid=signature]");
        _screen.Press("Keep this signature");
        _screen.Until(() => _screen.All("[data-testid=signed]").Count == 1, "the signature kept");
    }

    private void Put(string part, string act, string why)
    {
        _screen.Choose("trayPart", part);
        _screen.Choose("trayAct", act);
        if (why.Length > 0)
            _screen.Type("trayWhy", why);
        _screen.Press("Put it on account");
    }

    private void Tab(string title)
    {
        _screen.Until(() => _screen.All("[role=tab]").Any(t => t.Text == title), title);
        _screen.All("[role=tab]").First(t => t.Text == title).Click();
        _screen.Until(() => _screen.All("[role=tab][aria-selected=true]").Any(t => t.Text == title));
    }

    /// <summary>Takes a job to the bench as its stations would, without the walk there.</summary>
    private void ToTheBench(int job, string? article) => _screen.RunAsync(
        $$"""
        const done = arguments[arguments.length - 1]
        const send = async (method, path, body) => {
          const { token } = await (await fetch('/api/door')).json()
          return fetch(path, { method, headers: { 'content-type': 'application/json', 'X-Iron-Loop-Token': token }, body: body && JSON.stringify(body) })
        }
        const work = async () => {
          const article = '{{article}}'
          if (article) {
            const sheet = await (await fetch('/api/jobs/{{job}}/match?take=60')).json()
            const band = sheet.page.find((m) => m.band.article === article).band.id
            const chosen = await send('PUT', '/api/jobs/{{job}}/match', { bandId: band, consentSignedBy: 'The owner' })
            if (!chosen.ok) return await chosen.text()
          }
          await send('PUT', '/api/jobs/{{job}}/clasp/keep')
          await send('POST', '/api/jobs/{{job}}/size/agree')
          return 'done'
        }
        work().then(done, (e) => done(String(e)))
        """)!.ToString().ShouldBe("done");
}
