using OpenQA.Selenium;

namespace IronLoop.Browser.Tests;

/// <summary>The counter: from the press that opens it to the first step at the bench, by as few keys as a fitter takes.</summary>
public sealed class CounterTests : IDisposable
{
    private readonly RunningShop _shop = new(demo: true);
    private readonly Screen _screen;

    public CounterTests() => _screen = new Screen(_shop.Address);

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
    }

    private const string Enter = "\n";

    /// <summary>What is typed after the key that opens it, and the most keys it may take.</summary>
    private static readonly (string Request, string Typed, int Most, string Says)[] Short =
    [
        ("strap change", $"120{Enter}{Enter}{Enter}{Enter}1{Enter}", 14, "Close it in whichever hole its wearer picks."),
        ("buckle", $"3118{Enter}1{Enter}", 12, "every bar is seated at both tips"),
        ("folding clasp", $"3218{Enter}1{Enter}", 16, "Lift the old clasp off"),
        ("fold-over", $"3418{Enter}1{Enter}", 24, "Lift the old clasp off"),
        ("butterfly", $"33118{Enter}1{Enter}", 26, "Lift the old clasp off"),
        ("links out, by count", $"42{Enter}1{Enter}2{Enter}", 12, "2 neighbouring"),
        ("hole only", $"6{Enter}3+{Enter}", 6, "Close it in the fourth hole"),
        ("off and on again", $"8{Enter}{Enter}{Enter}", 8, "The band is off"),
    ];

    [Fact]
    public void Short_jobs_reach_their_first_step_within_the_keys_a_fitter_has_for_them()
    {
        _screen.Go("/");
        _screen.Run("localStorage.setItem('iron-loop-initials', 'MK')");
        _screen.Go("/log");
        _screen.UntilSays("Counter");
        foreach (var (request, typed, most, says) in Short)
        {
            (1 + typed.Length).ShouldBeLessThanOrEqualTo(most, request);
            _screen.Key(Keys.F8);
            _screen.Until(() => _screen.Focused.GetAttribute("data-testid") == "keys" && _screen.All(".ask").Count == 1, $"an empty sheet for {request}");
            // Fingers are faster than the line: no key waits for an answer.
            _screen.Key(typed.Replace(Enter, Keys.Enter, StringComparison.Ordinal));
            _screen.Until(() => _screen.Path.EndsWith("/bench", StringComparison.Ordinal), $"{request} at the bench: {_screen.Text}");
            _screen.UntilSays("Lay the watch on the soft mat");
            _screen.Press("All steps");
            _screen.UntilSays(says);
        }
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_walk_in_s_links_are_out_and_the_watch_is_back_with_one_key_a_step_and_one_to_hand_over()
    {
        _screen.Go("/");
        _screen.Run("localStorage.setItem('iron-loop-initials', 'MK')");
        _screen.Go("/");
        _screen.UntilSays("Counter");
        foreach (var (typed, told) in ((string, string)[])[
            ($"42{Keys.Enter}{Keys.Enter}2{Keys.Enter}", "2 links taken out of the 12 side."), ($"8{Keys.Enter}{Keys.Enter}{Keys.Enter}", "Band taken off and put on again."),
            ($"6{Keys.Enter}3+{Keys.Enter}", "Closed in hole 4 from the tight end")])
        {
            _screen.Key(Keys.F8);
            _screen.Until(() => _screen.Focused.GetAttribute("data-testid") == "keys" && _screen.All(".ask").Count == 1, "an empty sheet");
            _screen.Key(typed);
            _screen.Until(() => _screen.Path.EndsWith("/bench", StringComparison.Ordinal), "the bench");
            _screen.UntilSays("step 1 of");
            while (_screen.Told("says") is var step && step.StartsWith("Step ", StringComparison.Ordinal))
            {
                _screen.Until(() => _screen.Find("[data-testid=step]").GetAttribute("aria-busy") == "false", "the rest after a step");
                _screen.Key(_screen.Told("step-part") == "Try on" ? Keys.Enter : " ");
                _screen.Until(() => _screen.Told("says") != step, $"what comes after {step}");
            }
            _screen.Find(".chain a:last-child").Click();
            _screen.UntilSays("Every joint that was worked was checked at the bench.");
            _screen.Until(() => _screen.Focused.Text.StartsWith("As listed", StringComparison.Ordinal), "the one key that closes it");
            _screen.Key(Keys.Enter);
            _screen.UntilSays("handed over");
            _screen.Told("done").ShouldContain(told);
        }
        _screen.NoConsoleErrors();
    }
}
