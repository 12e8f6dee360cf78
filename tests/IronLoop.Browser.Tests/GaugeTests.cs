using OpenQA.Selenium;

namespace IronLoop.Browser.Tests;

public sealed class GaugeTests : IDisposable
{
    private readonly RunningStandIns _caliper = new();
    private readonly RunningShop _shop;
    private readonly Screen _screen;

    public GaugeTests()
    {
        _shop = new RunningShop(demo: true, _caliper);
        _screen = new Screen(_shop.Address);
    }

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
        _caliper.Dispose();
    }

    [Fact]
    public void A_watch_is_gauged_with_the_caliper_in_the_hand_and_no_mouse()
    {
        _screen.Go("/jobs/14/gauge");
        _screen.UntilSays("Listening to the stand-in caliper.");
        UntilOn("lugToLug");
        _screen.UntilSays("Outside jaws from the lug tips at 12 to those at 6.");
        _caliper.Read(47.6);
        UntilOn("barToBar");
        _screen.Until(() => Value("lugToLug").StartsWith("47.", StringComparison.Ordinal), "the reading stored, behind the cursor");

        // In inches, taken as millimetres.
        _caliper.Do("unit");
        _caliper.Read(43.6);
        UntilOn("barRise");
        _screen.UntilSays("in, taken as 43.");
        _screen.Until(() => Value("barToBar").StartsWith("43.", StringComparison.Ordinal));
        _caliper.Do("unit");

        // Garbage is said and moves nothing on.
        _caliper.Do("disturb");
        _screen.UntilSays("which is no reading; nothing was taken.");
        On().ShouldBe("barRise");

        // The line is lost and found again; what was gauged stays.
        _caliper.End();
        _screen.UntilSays("looking for it again");
        _caliper.StartAgain();
        _screen.UntilSays("Listening to the stand-in caliper.");
        _caliper.Read(3.1);
        UntilOn("caseHeight");

        // From the last figure of the watch on to the wrist, all by keyboard.
        for (var i = 0; i < 3; i++)
            _screen.Key(Keys.Enter);
        UntilOn("wrist");
        _screen.Key("6 3/4 in" + Keys.Enter);
        UntilOn("wristWidth");
        _screen.Until(() => Value("wrist").StartsWith("171.45 mm", StringComparison.Ordinal));
        _screen.Pick("wear", "Snug");
        _screen.UntilSays("All that is needed is known.");
        _screen.Until(() => _screen.All("path.head.dashed").Count == 0, "the head drawn solid once its bars are measured");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void Readings_are_questioned_refused_dropped_and_survive_a_killed_server()
    {
        _screen.Go("/jobs/16/gauge");
        _screen.Type("lugWidth", "32");
        _screen.UntilSays("32 mm is unusual for a lug width; usual is 8 to 26 mm.");
        _screen.UntilSays("Look again at lug width");
        _screen.Press("Confirm");
        _screen.UntilSays("Looked at again: it is so.");
        _screen.Type("lugWidth", "31.5");
        _screen.UntilSays("0.5 mm apart");
        _screen.Find("button[aria-label='Delete the reading 31.5 mm of lug width']").Click();
        _screen.Until(() => !_screen.Text.Contains("0.5 mm apart", StringComparison.Ordinal));
        _screen.Type("lugWidth", "55");
        _screen.UntilSays("lug width is 55 mm; allowed is 6 to 40 mm.");
        Value("lugWidth").ShouldStartWith("32 mm");

        // What the server did not acknowledge is shown as not saved, and is handed over once it answers.
        _screen.Type("lugToLug", "45,5");
        _screen.Until(() => Value("lugToLug").StartsWith("45.5 mm", StringComparison.Ordinal));
        _shop.Kill();
        _screen.Type("barToBar", "41.2");
        _screen.UntilSays("Not saved yet: 41.2");
        // Also when the page asks for all it shows anew meanwhile, and hears nothing.
        _screen.UntilSays("The shop’s server does not answer");
        _screen.Until(RackIsAskedForAnew, "the rack, which was asked for anew");
        _screen.UntilSays("Not saved yet: 41.2");
        _shop.Restart();
        _screen.Until(() => Value("barToBar").StartsWith("41.2 mm", StringComparison.Ordinal), "the figure that waited");
        _screen.Reload();
        _screen.Until(() => Value("lugToLug").StartsWith("45.5 mm", StringComparison.Ordinal));
        Value("barToBar").ShouldStartWith("41.2 mm");
    }

    [Fact]
    public void A_bracelet_with_a_half_link_is_said_in_words_and_mended_on_the_drawing()
    {
        _screen.Go("/take-in");
        _screen.Type("client", "Orla Finch");
        _screen.Type("watch", "Ostwick river");
        _screen.Pick("request", "Take links out");
        _screen.Type("by", "MK");
        _screen.Press("Take it in");
        _screen.UntilSays("Still to gauge: lug-to-lug, wrist, wear preference, the links, the clasp’s two lengths, band width.");
        _screen.Until(() => _screen.All("[name=lugWidth]").Count == 0, "no lug width where the band stays on the watch");
        _screen.Press("Bracelet");
        _screen.UntilSays("Still wanted: the links, the clasp’s two lengths, band width.");
        _screen.Type("bandWidth", "20");
        _screen.Type("linkPitch", "8.2");
        _screen.Type("halfPitch", "5");
        _screen.Type("twelve", "7 full, 1 half, first 2 fixed");
        _screen.Until(() => _screen.All(".lay .link").Count == 8, "the 12 side drawn");
        _screen.Type("six", "6 full, first 2 fixed");
        _screen.Until(() => _screen.All(".lay .link").Count == 14, "both sides drawn");
        _screen.Until(() => _screen.All(".lay .link.fixed").Count == 4, "the first two of each side fixed");
        _screen.Type("claspTwelve", "18");
        _screen.Type("claspSix", "19");
        _screen.UntilSays("The bracelet is known");
        _screen.Type("benchLength", "156.8");
        _screen.UntilSays("8.2 mm less: most likely a link of 8.2 mm was left out.");

        // Link by link, by keyboard: one more beside the last on the 6 side, and the first of the two fixed ones comes out after all.
        _screen.Focus(".lay .link[aria-label^='6 side, link 6 ']");
        _screen.Key("+");
        _screen.Until(() => _screen.All(".lay .link").Count == 15, "the link that was left out");
        _screen.Until(() => !_screen.Text.Contains("was left out", StringComparison.Ordinal));
        _screen.Focus(".lay .link[aria-label^='12 side, link 2 ']");
        _screen.Key(Keys.Space);
        _screen.Until(() => _screen.All(".lay .link.fixed").Count == 3, "three fixed links");
        _screen.Key("h");
        _screen.UntilSays("most likely a link of 8.2 mm was entered as one of 5 mm");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void The_wrist_is_known_by_tape_by_try_on_and_by_a_copied_loop()
    {
        _screen.Go("/jobs/8/gauge");
        _screen.Press("Wrist");
        _screen.UntilSays("The wrist over 5 visits");
        _screen.Type("wristWidth", "58");
        _screen.Type("wristDepth", "42");
        _screen.UntilSays("1.38, measured");
        var alone = Sigma();

        _screen.Type("tryAmount", "3");
        _screen.Until(() => Sigma() < alone, "a try-on makes it more certain");
        _screen.UntilSays("By try-on");
        _screen.Pick("tryBy", "Links pinched");
        _screen.Type("tryAmount", "0.5");
        _screen.Type("tryPitch", "8.2");
        _screen.Until(() => _screen.Text.Contains("± 1.6 mm", StringComparison.Ordinal));
        _screen.Pick("tryBy", "Gap under the clasp");
        _screen.Type("tryAmount", "2");
        _screen.Until(() => _screen.Text.Contains("± 1.5 mm", StringComparison.Ordinal));

        _screen.Type("copy-loop", "190");
        _screen.Type("copy-barToBar", "42");
        _screen.UntilSays("The copied loop stands alone");
        _screen.Type("copy-loop", "17");
        _screen.UntilSays("loop is 17 mm; allowed is 60 to 400 mm.");
        _screen.Pick("season", "Summer");
        _screen.Until(() => _screen.Find(".history svg").Text.Contains("summer", StringComparison.Ordinal));
    }

    private string? On() => _screen.Run("return document.activeElement.dataset.figure ?? null") as string;

    private void UntilOn(string figure) => _screen.Until(() => On() == figure, $"the cursor on {figure}");

    // What was told a moment ago is not asked for again: so it is looked at until it is.
    private bool RackIsAskedForAnew()
    {
        _screen.Run("document.dispatchEvent(new Event('visibilitychange', { bubbles: true }))");
        return _screen.All(".rail [role=alert]").Count > 0;
    }

    private string Value(string figure) => _screen.Told($"value-{figure}");

    private decimal Sigma() => decimal.Parse(
        _screen.Find(".need").Text.Split("give or take ")[1].Split(' ')[0], System.Globalization.CultureInfo.InvariantCulture);
}
