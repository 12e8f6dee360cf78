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
    public void Tubes_split_pins_and_double_screws_are_worked_to_the_end_by_the_space_bar()
    {
        _screen.Go("/");
        foreach (var (job, article, reads) in ((int, string?, string)[])
        [
            (6, null, "See how the tube sat"),
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
    public void Bars_that_are_fixed_drilled_and_sprung_are_worked_to_the_end_and_what_cannot_be_undone_waits_for_a_signature()
    {
        _screen.Go("/");
        foreach (var (job, article, reads) in ((int, string, string)[])
        [
            (10, "SK-P20", "never lever against a fixed bar"),
            (12, "SK-L20", "the watch’s own bar through lug and tube"),
            (9, "SK-M18", "notch"),
        ])
        {
            ToTheBench(job, article);
            Work(job, reads);
        }
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void What_is_read_only_open_is_opened_first_and_a_lost_tube_is_replaced_before_its_joint_can_be_closed()
    {
        _screen.Go("/");
        // The slot of a watch for which no band is chosen yet.
        _screen.Go("/jobs/11/bench");
        _screen.Until(() => _screen.All("input[name=openFirst]").Count == 1, "what can be opened");
        _screen.Find("input[name=openFirst]").Click();
        _screen.Until(() => _screen.All("[data-testid=step]").Count == 1, "the first step");
        while (_screen.All("[data-testid=step]").Count == 1)
            Step(() => _screen.Key(" "));
        _screen.UntilSays("It lies open; its tray is kept.");
        _screen.Until(() => _screen.All("[data-testid=tray-kept]").Count == 1, "its tag says so");
        _screen.Type("slotHeight", "2.6");
        _screen.UntilSays("2.7 mm");
        _screen.Find("[name=slotLength-lugs]").SendKeys("1.6");
        _screen.Press("Keep");
        _screen.UntilSays("On to Match");

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
    public void A_buckle_is_moved_a_fold_over_changed_with_its_ends_swapped_and_a_freed_link_taken_out()
    {
        // A new strap whose owner keeps the good buckle of the old one.
        _screen.Go("/jobs/9/clasp");
        Tab("Reuse");
        foreach (var point in (string[])["straight", "springy", "unworn"])
            Answer($"clasp-{point}-yes");
        _screen.UntilSays("sed again");
        Agree(9);
        Reads(9,
            "Old band off, 12 side", "Old band off, 6 side", "The pin buckle is for the new band.", "gets another buckle: its own comes off", "join the buckle piece of the Calf strap to the pin buckle",
            "12 side: seat one tip", "which hole or notch it is worn in", "as a set: 1 pin buckle");

        // Another fold-over, the plain end toward where it shows: both sides are one round, and nothing is tried on before it closes.
        _screen.Go("/jobs/6/clasp");
        Answer("notched-yes");
        Answer("plain-yes");
        Answer("swap-yes");
        Tab("Choose");
        var choose = By.CssSelector("[data-article=CL-O18] .acts .v-btn");
        _screen.Until(() => _screen.Find("[data-article=CL-O18]").FindElements(By.XPath(".//button[normalize-space()='Choose CL-O18']")).Count == 1, "the clasp");
        _screen.IntoView(_screen.Find("[data-article=CL-O18]").FindElement(choose));
        _screen.Find("[data-article=CL-O18]").FindElement(choose).Click();
        _screen.UntilSays("Fold-over, eight holes goes on.");
        Agree(6);
        Reads(6,
            "Lift the old clasp off and keep it beside the new one", "close link 4 to the 6 side’s link 7", "close link 4 to the 12 side’s link 8", "offer it up before the fastener goes in",
            "to the Fold-over, eight holes in position", "how it leaves", "as a set: 1 fold-over, two holes, 1 micro-adjust bar");

        // The link that looks fixed: its small end stays, and takes its place at the clasp.
        _screen.Go("/jobs/7/size");
        Tab("By hand");
        _screen.Until(() => _screen.All(".mat .link").Count > 0, "the mat");
        _screen.Run("document.querySelector('.mat .link').focus()");
        _screen.Type("endPiece", "1,6");
        _screen.Press("It comes free");
        _screen.UntilSays("the end piece of 1.6 mm stays with the clasp");
        Agree(7);
        Reads(7, "join the narrow end piece of 1.6 mm to the fold-over", "The 6 side stays closed until this is done", "1 link of 7.6 mm, 12 side only");
        _screen.NoConsoleErrors();
    }

    /// <summary>Takes a job to the bench by the button at Size.</summary>
    private void Agree(int job)
    {
        _screen.Go($"/jobs/{job}/size");
        _screen.Press("Approve the plan");
        _screen.Until(() => _screen.Path.EndsWith($"/jobs/{job}/bench", StringComparison.Ordinal), "the bench");
    }

    /// <summary>The steps say all of these, in this order, and a hand does them to the end.</summary>
    private void Reads(int job, params string[] inOrder)
    {
        Look();
        Forward();
        _screen.UntilSays("All steps are done.");
        Tab("All steps");
        _screen.UntilSays(inOrder[^1]);
        var (said, from) = (_screen.Text, 0);
        foreach (var words in inOrder)
            (from = said.IndexOf(words, from, StringComparison.Ordinal)).ShouldBeGreaterThanOrEqualTo(0, $"job {job}: “{words}” in its place among:\n{said}");
    }

    private void Answer(string name)
    {
        var answer = _screen.Find($"[data-answer={name}]");
        _screen.IntoView(answer);
        answer.Click();
        _screen.Until(() => _screen.Find($"[data-answer={name}]").GetDomAttribute("aria-pressed") == "true", name);
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
            if (_screen.Told("step-part") == "Try on")
                TryOn();
            else
                Step(() => _screen.Key(" "));
            Look();
        }
    }

    /// <summary>Space and a pedal stop at a try-on; Enter says that it is as planned.</summary>
    private void TryOn()
    {
        var step = _screen.Told("step");
        _screen.Told("foretold").ShouldStartWith("By the plan");
        // The step is under the finger.
        _screen.Focus("[data-act=first]");
        _screen.Key(" ");
        _screen.UntilSays("Say how it was:");
        _screen.Key(Keys.PageDown);
        _screen.Told("step").ShouldBe(step);
        Step(() => _screen.Key(Keys.Enter));
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
            var springBar = first.FindElement(By.CssSelector("input[value=springBar]"));
            _screen.IntoView(springBar);
            springBar.Click();
            _screen.Until(() => _screen.All($"form[data-group={asked}]").Count == 0, $"{asked} is kept");
        }
        _screen.Until(() => _screen.All("[data-testid=step]").Count == 1 || _screen.Text.Contains("step is done.", StringComparison.Ordinal) || _screen.Text.Contains("steps are done.", StringComparison.Ordinal), "the step");
    }

    /// <summary>Does something that goes on to another step, and waits until it is there.</summary>
    private void Step(Action act)
    {
        var step = _screen.Told("step");
        _screen.Until(() => _screen.All("[data-testid=step][aria-busy=true]").Count == 0, "the step before to be done");
        // The step is under the finger.
        _screen.Focus("[data-act=first]");
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
        _screen.Press("Record");
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
          return fetch(path, { method, headers: { 'content-type': 'application/json', 'X-Iron-Loop-Token': token, 'If-Match': '*' }, body: body && JSON.stringify(body) })
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
