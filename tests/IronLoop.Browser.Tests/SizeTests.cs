using OpenQA.Selenium;

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
        _screen.UntilSays("This is the planner’s answer.");
        var planned = _screen.Find("[data-testid=length]").Text;
        Tab("Other plans");
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
        _screen.UntilSays("This is the planner’s answer.");
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
        _screen.UntilSays("tuck between sizes: 150.5 mm below, 171.4 mm above.");
        _screen.UntilSays("Wrists it can serve");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_client_who_wears_it_off_the_middle_gets_the_plan_for_it()
    {
        _screen.Go("/jobs/5/size");
        _screen.UntilSays("This is the planner’s answer.");
        Tab("This client");
        _screen.Type("offCentre", "8");
        _screen.Press("Keep this for the client");
        Tab("Plan");
        _screen.Until(() => _screen.All("[data-testid=lean]").Any(l => l.Text.Contains("lean toward the 6 side", StringComparison.Ordinal)), "the lean");
        _screen.UntilSays("This is the planner’s answer.");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_small_wrist_is_centred_when_the_link_at_the_clasp_is_freed()
    {
        _screen.Go("/jobs/7/size");
        _screen.UntilSays("Look at the clasp’s joint on the 12 side before its last link is called fixed");
        Tab("By hand");
        // The first on the mat lies beside the clasp of the 12 side.
        OnTheMat(0);
        _screen.UntilSays("It never comes out at its own fastener.");
        _screen.Type("endPiece", "1,6");
        _screen.Press("It comes free");
        _screen.UntilSays("the end piece of 1.6 mm stays with the clasp");
        _screen.Until(() => _screen.All(".link.leaves").Count == 4, "two out on each side");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void Links_from_the_client_s_bag_go_in_and_a_half_link_from_stock_is_tried_and_given_back()
    {
        _screen.Go("/jobs/8/size");
        _screen.UntilSays("Put 1 link of 8.2 mm into the 6 side");
        Tab("By hand");
        _screen.UntilSays("1 loose of 8.2 mm");
        _screen.Press("Into 12");
        _screen.UntilSays("Against the planner’s:");
        _screen.Until(() => _screen.All(".mat .link.joins").Count == 2, "both of the bag’s links in");

        _screen.Go("/jobs/6/size");
        _screen.UntilSays("No arrangement can be worn");
        Tab("By hand");
        _screen.Until(() => _screen.All("[data-stock='LK-56-22']").Count == 1);
        _screen.Press("Try one");
        _screen.UntilSays("put 1 link of 5.6 mm into the 6 side");
        _screen.Press("Give one back");
        _screen.UntilSays("No arrangement can be worn");
        // Another clasp cures it too.
        _screen.Press("Try it");
        _screen.UntilSays("Its own again");
        _screen.Until(() => !_screen.Text.Contains("No arrangement can be worn", StringComparison.Ordinal), "the cure");
        // What was tried with the half link is returned to whole: the clasp is its own again, the link is borrowed again.
        var half = _screen.All(".trail button").Single(b => b.Text.Contains("1 from stock", StringComparison.Ordinal));
        _screen.IntoView(half);
        half.Click();
        _screen.UntilSays("put 1 link of 5.6 mm into the 6 side");
        _screen.UntilSays("1 taken, 1 free");
        _screen.Until(() => !_screen.Text.Contains("Its own again", StringComparison.Ordinal), "its own clasp");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void By_keyboard_alone_links_are_taken_moved_and_kept_and_the_plan_goes_to_the_bench()
    {
        _screen.Go("/jobs/5/size");
        _screen.UntilSays("This is the planner’s answer.");
        OnTheMat(0);
        _screen.Key(Keys.ArrowRight + Keys.ArrowRight + Keys.ArrowRight);
        _screen.Key(" ");
        _screen.Until(() => _screen.All(".link.leaves").Count == 5, "one more out");
        _screen.UntilSays("By hand:");
        _screen.Key("n");
        _screen.Until(() => _screen.All(".pinned").Count == 1 && _screen.All(".link.leaves").Count == 4, "kept for good, so back in");
        _screen.Key("n");
        _screen.Until(() => _screen.All(".pinned").Count == 0);
        _screen.Key("m");
        _screen.Until(() => _screen.All(".mat .link.joins").Count == 1, "moved across");
        _screen.Key("p");
        _screen.UntilSays("This is the planner’s answer.");
        _screen.Focus("[role=tab][aria-selected=true]");
        for (var i = 0; i < 12 && !_screen.Focused.Text.Contains("Approve the plan", StringComparison.Ordinal); i++)
            _screen.Key(Keys.Tab);
        _screen.Key(Keys.Enter);
        _screen.Until(() => _screen.Path == "/jobs/5/bench");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_strap_says_its_hole_what_is_left_and_which_length_is_best_and_mesh_its_notch()
    {
        _screen.Go("/jobs/9/size");
        _screen.UntilSays("The fourth hole from the tight end can be worn.");
        _screen.UntilSays("3 left to tighten, 3 to loosen; the tail passes the buckle by 36.5 mm, both keepers hold it.");
        _screen.Until(() => _screen.All(".keeper").Count == 2, "both keepers drawn");
        _screen.Press("Looser");
        _screen.Until(() => _screen.Told("position") == "5");
        Tab("Lengths");
        _screen.UntilSays("Best length. The one chosen. Calf strap");

        Choose(9, "SK-M18");
        _screen.Go("/jobs/9/size");
        _screen.UntilSays("Notch ");
        _screen.UntilSays("from the tight end is nearest");
        _screen.UntilSays("left to tighten");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void The_four_ways_of_a_pull_through_band_each_have_a_hole_and_a_head_height()
    {
        _screen.Go("/");
        Choose(10, "SK-P20");
        _screen.Go("/jobs/10/size");
        Tab("Ways");
        _screen.Until(() => _screen.All("[data-way]").Count == 4, "four ways");
        _screen.UntilSays("Head raised by 2.4 mm");
        _screen.UntilSays("Head raised by 1.2 mm");
        _screen.All("[data-way='reversedSingle'] .v-btn").Single().Click();
        _screen.Until(() => _screen.All("[data-way='reversedSingle'].chosen").Count == 1, "worn that way");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void The_house_s_school_is_chosen_with_its_cost_beside_it()
    {
        _screen.Go("/jobs/7/size");
        Tab("Method");
        _screen.Until(() => _screen.All("[data-odd]").Count == 3);
        _screen.UntilSays("outside what can be worn");
        _screen.Find("[data-odd='onSix'] input").Click();
        Tab("Plan");
        _screen.UntilSays("This is the");
        Tab("Method");
        _screen.Until(() => _screen.Find("[data-odd='onSix'] input").Selected, "it holds");
        _screen.NoConsoleErrors();
    }

    private void OnTheMat(int place)
    {
        _screen.Until(() => _screen.All(".mat .link").Count > place);
        _screen.Run($"document.querySelectorAll('.mat .link')[{place}].focus()");
    }

    /// <summary>Chooses a band as Match would, without the walk there.</summary>
    private void Choose(int job, string article) => _screen.RunAsync(
        $$"""
        const done = arguments[arguments.length - 1]
        const choose = async () => {
          const { token } = await (await fetch('/api/door')).json()
          const sheet = await (await fetch('/api/jobs/{{job}}/match?take=60')).json()
          const band = sheet.page.find((m) => m.band.article === '{{article}}').band.id
          return fetch('/api/jobs/{{job}}/match', { method: 'PUT', headers: { 'content-type': 'application/json', 'X-Iron-Loop-Token': token, 'If-Match': '*' }, body: JSON.stringify({ bandId: band }) })
        }
        choose().then((r) => done(r.status), (e) => done(String(e)))
        """)!.ToString().ShouldBe("200");

    private void Tab(string title)
    {
        _screen.Until(() => _screen.All("[role=tab]").Any(t => t.Text == title), title);
        _screen.All("[role=tab]").First(t => t.Text == title).Click();
        _screen.Until(() => _screen.All("[role=tab][aria-selected=true]").Any(t => t.Text == title));
    }
}
