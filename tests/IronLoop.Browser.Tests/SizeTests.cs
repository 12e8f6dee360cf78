namespace IronLoop.Browser.Tests;

/// <summary>Size as a fitter works it: other plans, what was tried, and a length that cannot be made.</summary>
public sealed class SizeTests : IDisposable
{
    private readonly RunningShop _shop = new(demo: true);
    private readonly Screen _screen;

    public SizeTests() => _screen = new Screen(_shop.Address);

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
    }

    [Fact]
    public void Another_plan_is_tried_and_the_planner_s_answer_is_one_step_back_on_the_trail()
    {
        _screen.Go("/jobs/5/size");
        _screen.UntilSays("This is the planner's answer.");
        var planned = _screen.Find("[data-testid=length]").Text;
        Tab("Others");
        _screen.Until(() => _screen.All("[data-alternative] .trades").Count > 0);
        _screen.Find("[data-alternative='0'] .trades").Text.ShouldContain("; but ");
        _screen.Find("[data-alternative='0'] .v-btn").Click();
        Tab("Plan");
        _screen.UntilSays("By hand:");
        _screen.Find("[data-testid=length]").Text.ShouldNotBe(planned);
        _screen.Until(() => _screen.All(".trail button").Count == 2, "both on the trail");
        var back = _screen.All(".trail button")[0];
        back.Text.ShouldContain("planner");
        _screen.IntoView(back);
        back.Click();
        _screen.UntilSays("This is the planner's answer.");
        _screen.Find("[data-testid=length]").Text.ShouldBe(planned);
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_length_that_cannot_be_made_says_what_lies_below_and_above_and_what_would_cure_it()
    {
        _screen.Go("/jobs/6/size");
        _screen.UntilSays("No arrangement can be worn");
        _screen.Text.ShouldContain("would close the gap");
        Tab("Reach");
        _screen.UntilSays("Stuck between sizes: 150.5 mm below, 171.4 mm above.");
        _screen.UntilSays("Wrists it can serve");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_client_who_wears_it_off_the_middle_gets_the_plan_for_it()
    {
        _screen.Go("/jobs/5/size");
        _screen.UntilSays("This is the planner's answer.");
        Tab("Habits");
        _screen.Type("offCentre", "8");
        _screen.Press("Keep this for the client");
        Tab("Plan");
        _screen.Until(() => _screen.All("[data-testid=lean]").Any(l => l.Text.Contains("lean toward the 6 side", StringComparison.Ordinal)), "the lean");
        _screen.UntilSays("This is the planner's answer.");
        _screen.NoConsoleErrors();
    }

    private void Tab(string title)
    {
        _screen.Until(() => _screen.All("[role=tab]").Any(t => t.Text == title), title);
        _screen.All("[role=tab]").First(t => t.Text == title).Click();
        _screen.Until(() => _screen.All("[role=tab][aria-selected=true]").Any(t => t.Text == title));
    }
}
