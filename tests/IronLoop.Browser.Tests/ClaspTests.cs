using OpenQA.Selenium;
using OpenQA.Selenium.Support.UI;

namespace IronLoop.Browser.Tests;

/// <summary>Clasp as a fitter works it: look, measure, choose; order what is missing and receive it.</summary>
public sealed class ClaspTests : IDisposable
{
    private readonly RunningStandIns _standIns = new();
    private readonly RunningShop _shop;
    private readonly Screen _screen;

    public ClaspTests()
    {
        _shop = new RunningShop(demo: true, _standIns);
        _screen = new Screen(_shop.Address);
    }

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
        _standIns.Dispose();
    }

    [Fact]
    public void Each_kind_is_known_by_looking_measured_by_its_own_sheet_and_chosen()
    {
        // Job, what is answered, the kind, readings of its sheet, the clasp that goes on.
        foreach (var (job, answers, kind, readings, article) in ((int, string, string, (string, string)[], string)[])
            [
                (9, "No Yes", "Pin buckle", [("claspInner", "16"), ("claspThroat", "4.4"), ("endBore", "1.7")], "CL-B16"),
                (9, "Yes No No Yes", "Folding clasp", [("claspBarLength", "16")], "CL-F16"),
                (6, "Yes No No No No", "Fold-over", [("claspInner", "18.1"), ("claspBar", "1.5"), ("microPitch", "1.5")], "CL-O18"),
                (6, "Yes No No No Yes", "Extending fold-over", [("extension", "22")], "CL-E18"),
                (7, "Yes Yes", "Butterfly with push buttons", [("claspEnd", "16"), ("claspTube", "7"), ("overButtons", "17.5"), ("endNotch", "7.3"), ("endBore", "1.02")], "CL-Y16"),
            ])
        {
            Look(job, answers, kind);
            Tab("Measure");
            foreach (var (figure, typed) in readings)
            {
                var field = _screen.Find($"#figure-{figure}");
                field.SendKeys(typed + Keys.Enter);
                _screen.Until(() => _screen.Find($"[data-testid=value-{figure}]").Text.Contains(typed, StringComparison.Ordinal), $"{figure} {typed}");
            }
            Tab("Choose");
            Choose(article);
        }
        // Mesh takes a slide clasp.
        _screen.Go("/jobs/5/match");
        _screen.Until(() => _screen.All(".card").Count > 0);
        PressIn("SK-M20", "Choose SK-M20");
        _screen.UntilSays("A band is chosen");
        Look(5, "Yes No Yes", "Slide clasp");
        Tab("Measure");
        _screen.Find("#figure-claspEnd").SendKeys("20" + Keys.Enter);
        _screen.Until(() => _screen.Find("[data-testid=value-claspEnd]").Text.Contains("20", StringComparison.Ordinal));
        Tab("Choose");
        Choose("CL-M20");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_bracelet_between_sizes_is_cured_by_a_clasp()
    {
        _screen.Go("/jobs/6/size");
        _screen.UntilSays("No arrangement can be worn");
        _screen.Go("/jobs/6/clasp");
        Tab("Choose");
        _screen.UntilSays("Between sizes: nothing it makes near");
        _screen.Until(() => _screen.All(".chart .row").Count >= 3, "the chart");
        _screen.Find("[data-row=present]").Text.ShouldContain("gap 20.9 mm");
        _screen.Find("[data-row=CL-O18]").Text.ShouldContain("cures it");
        Card("CL-O18").Text.ShouldContain("This cures the between-sizes problem.");
        Choose("CL-O18");
        _screen.UntilSays("Fold-over, eight holes goes on.");
        _screen.Go("/jobs/6/size");
        _screen.Until(() => !_screen.Text.Contains("No arrangement can be worn", StringComparison.Ordinal) && _screen.All(".drawing svg").Count > 0);
        _screen.Go("/house/parts");
        _screen.Until(() => _screen.All("tr[data-article=CL-O18]").Count == 1);
        _screen.All("tr[data-article=CL-O18] td.n").Select(c => c.Text).ShouldBe(["2", "1", "1"]);
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void An_order_that_times_out_is_not_doubled_and_what_comes_wakes_the_job()
    {
        _screen.Go("/jobs/6/clasp");
        Tab("Choose");
        _screen.Press("Ask the suppliers");
        PressIn("QS-S18", "Put on the list");
        PressIn("QS-S18", "Choose and order QS-S18");
        _screen.Until(() => Tag("Ketil Orrel").Contains("Waits", StringComparison.Ordinal), "the tag that waits");
        _screen.UntilSays("Waiting for 1 Fold-over with slide, QS-S18");

        // The supplier takes the order and says nothing until nobody listens any more.
        _standIns.Play(new { slowNext = 1 });
        _screen.Go("/house/orders");
        _screen.Type("by", "mk");
        _screen.Press("What would it cost?");
        // Another job waits for its clasp from the same supplier.
        _screen.UntilSays("167.00 together");
        _screen.Press("Order from Quarrel Street Small Parts");
        _screen.Until(() => _screen.All("[data-order='1'] [data-state=accepted]").Count == 1, "the order confirmed");
        _standIns.Play().ShouldBe(1, "one order, however often it was sent");

        _standIns.Play(new { forwardHours = 60 });
        _screen.Until(() => _screen.All("[data-order='1'] [data-state=shipped]").Count == 1, "the order on its way, asked after by itself");
        _screen.Press("A delivery came");
        _screen.Press("Book into stock");
        _screen.Until(() => _screen.All("[data-order='1'] [data-state=done]").Count == 1, "all here");
        _screen.Until(() => Tag("Ketil Orrel").Contains("Parts are in", StringComparison.Ordinal), "the tag that woke");
        Tag("Ketil Orrel").ShouldNotContain("Waits");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_partial_delivery_is_booked_and_the_rest_comes_later()
    {
        _screen.Go("/house/parts");
        _screen.Until(() => _screen.All("tr[data-article=PN-10-16]").Count == 1);
        _screen.Find("tr[data-article=PN-10-16]").Text.ShouldContain("Order 2");
        _screen.IntoView(_screen.Find("tr[data-article=PN-10-16]"));
        _screen.Find("tr[data-article=PN-10-16] .last button").Click();
        _screen.Until(() => _screen.Find("tr[data-article=PN-10-16]").Text.Contains("2 on the list", StringComparison.Ordinal));
        _standIns.Play(new { partly = true });
        _screen.Go("/house/orders");
        _screen.Type("by", "tb");
        _screen.Press("Order from Fennick & Loe Findings");
        _screen.Until(() => _screen.All("[data-state=accepted]").Count == 1);
        _standIns.Play(new { forwardHours = 60 });
        _screen.Until(() => _screen.All("[data-state=partly]").Count == 1, "half of it on its way");
        _screen.Press("A delivery came");
        _screen.Field("came-PN-10-16").GetAttribute("value").ShouldBe("1", "what the supplier says is on its way");
        _screen.Press("Book into stock");
        _screen.Until(() => _screen.Find("[data-line=PN-10-16]").Text.Contains("1 here", StringComparison.Ordinal), "one of two");
        _screen.All("[data-state=done]").ShouldBeEmpty();
        _standIns.Play(new { forwardHours = 100 });
        _screen.Until(() => _screen.All("[data-state=shipped]").Count == 1, "the rest on its way");
        _screen.Press("A delivery came");
        _screen.Press("Book into stock");
        _screen.Until(() => _screen.All("[data-state=done]").Count == 1, "all here");
        _screen.Go("/house/parts");
        _screen.Until(() => _screen.All("tr[data-article=PN-10-16] td.n").Count == 3);
        _screen.All("tr[data-article=PN-10-16] td.n")[0].Text.ShouldBe("10");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void Worn_bars_are_replaced_and_the_stock_is_counted()
    {
        _screen.Go("/jobs/9/clasp");
        Tab("Reuse");
        foreach (var (point, answer) in ((string, string)[])[("straight", "yes"), ("springy", "no"), ("unworn", "yes")])
            Press($"[data-answer=springBars-{point}-{answer}]");
        _screen.UntilSays("Replaced: lost its spring.");
        new SelectElement(_screen.Field("replace-springBars")).SelectByIndex(1);
        _screen.UntilSays("reserved.");

        _screen.Go("/house/parts");
        _screen.Press("Count the stock");
        _screen.Until(() => _screen.All("[name=count-CL-B18]").Count == 1);
        _screen.Type("count-CL-B18", "5");
        _screen.Type("reason", "Found three in the other drawer");
        _screen.Type("by", "mk");
        _screen.Press("Book 1 counts");
        _screen.Until(() => _screen.All("tr[data-article=CL-B18] td.n").Count == 3 && _screen.All("tr[data-article=CL-B18] td.n")[0].Text == "5");
        _screen.Press("CL-B18");
        _screen.UntilSays("Found three in the other drawer");
        _screen.NoConsoleErrors();
    }

    /// <summary>Answers the key's questions; at its end stands the kind.</summary>
    private void Look(int job, string answers, string kind)
    {
        _screen.Go($"/jobs/{job}/clasp");
        Tab("Inspect");
        Press(".key .acts button");
        foreach (var answer in answers.Split(' '))
        {
            var asked = _screen.Find(".key h2").Text;
            _screen.Press(answer);
            _screen.Until(() => _screen.Find(".key h2").Text != asked, $"the question after “{asked}”");
        }
        _screen.Until(() => _screen.Find("[data-testid=clasp-kind]").Text.Equals(kind, StringComparison.OrdinalIgnoreCase), kind);
        _screen.UntilSays("As seen.");
    }

    private void Tab(string title)
    {
        _screen.Until(() => _screen.All("[role=tab]").Any(t => t.Text == title), title);
        var tab = _screen.All("[role=tab]").First(t => t.Text == title);
        _screen.IntoView(tab);
        tab.Click();
        _screen.Until(() => _screen.All("[role=tab][aria-selected=true]").Any(t => t.Text == title));
    }

    private string Tag(string client) => _screen.All(".tag").First(t => t.Text.Contains(client, StringComparison.Ordinal)).Text;

    private IWebElement Card(string article) => _screen.Find($"[data-article='{article}']");

    private void PressIn(string article, string words)
    {
        var button = By.XPath($".//button[normalize-space()='{words}']");
        _screen.Until(() => Card(article).FindElements(button).Count == 1, $"{words} of {article}");
        _screen.IntoView(Card(article).FindElement(button));
        Card(article).FindElement(button).Click();
    }

    /// <summary>Chooses a clasp, with consent where it is asked for, and sees that it goes on.</summary>
    private void Choose(string article)
    {
        _screen.Until(() => Card(article).FindElements(By.CssSelector(".acts .v-btn")).Count == 1, $"{article} can be chosen");
        foreach (var consent in Card(article).FindElements(By.CssSelector($"[name=consent-{article}]")))
            consent.SendKeys("Ketil Orrel");
        var choose = Card(article).FindElement(By.CssSelector(".acts .v-btn"));
        _screen.IntoView(choose);
        choose.Click();
        _screen.Until(() => Card(article).Text.Contains("Goes on", StringComparison.Ordinal), $"{article} goes on");
    }

    private void Press(string css)
    {
        _screen.IntoView(_screen.Find(css));
        _screen.Find(css).Click();
    }
}
