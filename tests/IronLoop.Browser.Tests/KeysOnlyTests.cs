using OpenQA.Selenium;

namespace IronLoop.Browser.Tests;

/// <summary>Whole jobs by the keyboard alone, from the start page to the log, every key counted, names and figures too.</summary>
public sealed class KeysOnlyTests(ITestOutputHelper output) : IDisposable
{
    private readonly RunningShop _shop = new(demo: true);
    private Screen? _lent;
    private int _keys;

    private Screen Screen => _lent ??= new Screen(_shop.Address);

    public void Dispose()
    {
        _lent?.Dispose();
        _shop.Dispose();
    }

    private const string Enter = "\uE007";
    private const string Tab = "\uE004";

    [Fact]
    public void Four_kinds_of_job_go_from_the_start_page_to_the_log_within_their_keys()
    {
        // In an empty browser: who is at the bench is typed once with the first.
        foreach (var (work, counter, client, most) in ((string, string, string, int)[])
            [
                ("strap change with a new client", $"120{Enter}{Enter}{Enter}{Enter}1", "Ida Brook", 60),
                ("bracelet, links out", $"42{Enter}1{Enter}2", "Tam Rigg", 90),
                ("clasp", $"3218{Enter}1", "Nan Sedge", 60),
                ("mesh", $"220{Enter}{Enter}{Enter}{Enter}1", "Wil Tansy", 90),
            ])
        {
            _keys = 0;
            Screen.Go("/");
            Screen.UntilSays("on the rack");
            Press(Keys.F8);
            Screen.Until(() => Screen.Focused.GetAttribute("data-testid") == "keys");
            Press(counter);
            Walk(client);
            output.WriteLine($"{work}: {_keys} keys, at most {most}");
            _keys.ShouldBeLessThanOrEqualTo(most, work);
        }
        Screen.NoConsoleErrors();
    }

    [Fact]
    public void The_second_owner_of_a_model_costs_one_confirmation()
    {
        Screen.Go("/");
        Screen.UntilSays("on the rack");
        Press(Keys.F4);
        Screen.Until(() => Screen.Path == "/take-in" && Screen.Focused.TagName == "input", "the client’s name");
        // Come back to, it has the keyboard again: a browser alone gives it once a page.
        Screen.Key(Keys.F8);
        Screen.Until(() => Screen.Focused.GetAttribute("data-testid") == "keys", "the counter");
        Screen.Key(Keys.F4);
        Screen.Until(() => Screen.Path == "/take-in" && Screen.Focused.TagName == "input", "the client’s name once more");
        Press($"Odo Brask{Tab}{Tab}pell soun");
        Screen.UntilSays("7 watches, 11 figures");
        Press($"{Keys.ArrowDown}{Enter}{Tab}Take l{Tab}");
        while (Screen.Focused.GetAttribute("name") != "by")
            Press(Tab);
        Press($"mk{Enter}");
        Screen.UntilSays("Confirm 11 figures of the book");
        var (filled, asked) = ((long)Screen.Run("return document.querySelectorAll('.value.assumed').length")!, _keys);
        filled.ShouldBeGreaterThan(2);
        ToTheAct("Confirm");
        Press(Enter);
        Screen.Until(() => !Screen.Text.Contains("Confirm 11 figures", StringComparison.Ordinal), "confirmed");
        Screen.All(".value.assumed").Count.ShouldBe(0);
        ToTheAct("Wanted: wrist");
        // Fingers rest between two acts.
        Screen.Key($"{Keys.Shift}{Keys.Shift}", 210);
        Press(Enter);
        Screen.Until(() => Screen.Focused.GetAttribute("data-figure") == "wrist", "the wrist");
        Press($"172{Enter}");
        Screen.UntilSays("172 mm");
        output.WriteLine($"taken in with a known model: {asked} keys; gauged with one confirmation and the wrist: {_keys - asked} keys");
        Screen.NoConsoleErrors();
    }

    [Fact]
    public void The_day_is_worked_from_its_page_and_hours_are_entered_in_few_keys()
    {
        Screen.Go("/");
        Screen.Run("localStorage.setItem('iron-loop-initials', 'MK')");
        Screen.Go("/house/hours");
        // Whatever hour it is here, somebody is at the bench.
        Screen.Focus("input[name=week]");
        const string Week = "mo-su 0-24";
        Screen.Find("input[name=week]").SendKeys(Keys.Control + "a" + Keys.Null + Week + Enter);
        Screen.UntilSays("Saved.");
        output.WriteLine($"the shop’s hours from its usual week: {2 + Week.Length + 1} keys");
        Screen.Go("/");
        Screen.UntilSays("Next days");
        // The time line is a list for those who do not see it, and each hand's list begins with what is next.
        Screen.All("[data-hand] ol li").Count.ShouldBeGreaterThan(0);
        // Not reached is noted with its time and stays; reached is gone. After each act the next rests 0.2 s.
        var rung = Screen.Find("[data-ring]").GetAttribute("data-ring");
        Screen.Find($"[data-ring='{rung}'] button[aria-label$='was not reached']:not(:disabled)").Click();
        Screen.UntilSays("not reached");
        Screen.Find($"[data-ring='{rung}'] button[aria-label$='was reached']:not(:disabled)").Click();
        Screen.Until(() => Screen.All($"[data-ring='{rung}']").Count == 0, "the one who was reached is off the list");
        // To the front: what that makes late is said first; instead, its owner may come another day.
        Screen.Find("[data-hand] li button[aria-label^='Pull']:not(:disabled)").Click();
        Screen.Until(() => Screen.Text.Contains("late", StringComparison.Ordinal) && Screen.All(".ask input[name^=try-on]").Count == 1, "what it makes late");
        // Fingers rest between two acts.
        Screen.Key($"{Keys.Shift}{Keys.Shift}", 400);
        Screen.Run("const i = document.querySelector('.ask input[name^=try-on]'); i.value = new Date(Date.now() + 3 * 864e5).toISOString().slice(0, 10); i.dispatchEvent(new Event('change', { bubbles: true }))");
        Screen.UntilSays("its owner comes for the try-on");
        Screen.Key($"{Keys.Shift}{Keys.Shift}", 400);
        Screen.Press("No longer");
        Screen.Until(() => !Screen.Text.Contains("its owner comes for the try-on", StringComparison.Ordinal), "it waits no longer");

        Screen.Go("/house/hours");
        Screen.Find("input[name=message-workIsDone]").SendKeys(Keys.Control + "a" + Keys.Null + "{client}, come for {name}." + Tab);
        Screen.UntilSays("The text has {name}; allowed are {client}, {watch}, {tag}, {what}.");
    }

    private void ToTheAct(string says)
    {
        Screen.Until(() => Screen.Find("[data-act=first]").Text.StartsWith(says, StringComparison.Ordinal), says);
        for (var i = 0; i < 30 && Screen.Run("return document.activeElement.dataset.act === 'first'") is not true; i++)
            Press(Tab);
    }

    /// <summary>From the answered questions over the client's name to the bench, each step, and hand-over.</summary>
    private void Walk(string client)
    {
        Screen.Until(() => Screen.All(".ask.now").Count == 1);
        // The name stands one stop after the questions; Enter in it goes to the bench.
        Press(Tab + client + Tab + "Ostwick" + Tab + Tab + "mk" + Enter);
        Screen.Until(() => Screen.Path.StartsWith("/jobs/", StringComparison.Ordinal), "a job");
        for (var i = 0; i < 60 && !Screen.Text.Contains("Handed over.", StringComparison.Ordinal); i++)
        {
            Screen.Until(() => Screen.Run("return document.activeElement.dataset.act === 'first' && !document.activeElement.matches('.v-btn--loading')") is true, $"the act that comes next: {Screen.Text}");
            var before = Screen.Run("return document.querySelector('[data-testid=says]').innerText + document.querySelector('[data-act=first]').innerText + location.pathname");
            Screen.Until(() => Screen.Run("return document.querySelector('[data-testid=step][aria-busy=true]') === null") is true);
            // Fingers rest between two acts.
            _keys++;
            Screen.Key($"{Keys.Shift}{Keys.Shift}{Enter}", 210);
            Screen.Until(() => !Equals(Screen.Run("return (document.querySelector('[data-testid=says]')?.innerText ?? '') + (document.querySelector('[data-act=first]')?.innerText ?? '') + location.pathname"), before), $"what comes after {before}");
        }
        Screen.UntilSays("Handed over.");
    }

    private void Press(string keys)
    {
        _keys += keys.Length;
        Screen.Key(keys);
    }
}
