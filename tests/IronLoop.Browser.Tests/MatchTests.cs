using OpenQA.Selenium;
using OpenQA.Selenium.Support.UI;

namespace IronLoop.Browser.Tests;

public sealed class MatchTests : IDisposable
{
    private readonly RunningShop _shop = new(demo: true);
    private readonly Screen _screen;

    public MatchTests() => _screen = new Screen(_shop.Address);

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
    }

    [Fact]
    public void Each_attachment_finds_its_own_band_and_says_why_not_the_others()
    {
        foreach (var (job, best, no) in ((int, string, string)[])
            [
                (9, "Woven strap", "too wide"),                       // spring bars, drilled
                (5, "Fine mesh", "too wide"),                         // spring bars, blind
                (10, "Ribbed pull-through", "The bars are fixed"),    // fixed bars
                (12, "Open-end strap", "too wide"),                   // screwed bars
                (11, "Slot strap, last of its make", "The slot holds only"),
                (13, "Notched strap, family TS7", "shape of its own"),
            ])
        {
            _screen.Go($"/jobs/{job}/match");
            _screen.Until(() => _screen.All(".card h2").Any(h => h.Text == best), $"{best} for job {job}");
            _screen.All(".counts button").First(b => b.Text.StartsWith("no", StringComparison.Ordinal)).Click();
            _screen.Until(() => _screen.All(".card:not(.no)").Count == 0 || _screen.All(".card .verdict .word").All(w => w.Text == "no"));
            _screen.UntilSays(no);
        }
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void Readings_that_disagree_ask_to_gauge_again()
    {
        _screen.Go("/jobs/9/gauge");
        _screen.Type("lugWidth", "18.8");
        _screen.UntilSays("0.6 mm apart");
        _screen.Go("/jobs/9/match");
        _screen.Until(() => _screen.All(".card").Count > 0);
        Open("SK-L18");
        _screen.UntilSays("would not agree on this: gauge again.");
    }

    [Fact]
    public void A_pull_through_band_is_looked_at_in_four_ways_before_it_is_chosen()
    {
        _screen.Go("/jobs/10/match");
        _screen.Until(() => _screen.All(".card").Count > 0);
        Open("SK-P20");
        Press("SK-P20", "Preview");
        _screen.Until(() => _screen.All("path.edge.dashed").Count > 0, "the band in the loop, dashed");
        _screen.Until(() => _screen.All(".card .ways tr").Count == 4, "four ways to wear it");
        _screen.UntilSays("two layers under the case");
        Press("SK-P20", "Reversed single");
        _screen.UntilSays("buckle on the 6 side");
        _screen.UntilSays("Choose the band that goes on.");
        Press("SK-P20", "Choose SK-P20");
        _screen.UntilSays("A band is chosen");
        _screen.Until(() => _screen.All("path.edge.dashed").Count == 0, "the chosen band is drawn solid");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void Work_that_cannot_be_undone_is_listed_and_waits_for_a_signature()
    {
        _screen.Go("/jobs/11/match");
        _screen.Until(() => _screen.All(".card").Count > 0);
        Open("SK-L20");
        Card("SK-L20").Text.ShouldContain("cannot be undone");
        Card("SK-L20").Text.ShouldContain("min");
        Press("SK-L20", "Choose SK-L20");
        _screen.UntilSays("Enter who signed the consent to");
        Card("SK-L20").FindElement(By.CssSelector("[name='consent-SK-L20']")).SendKeys("Maren Stoll");
        Press("SK-L20", "Choose SK-L20");
        _screen.UntilSays("Written consent by Maren Stoll");
    }

    [Fact]
    public void Bands_are_narrowed_down_laid_side_by_side_and_looked_up_the_other_way()
    {
        _screen.Go("/jobs/5/match");
        _screen.Until(() => _screen.All(".card").Count > 5);
        _screen.Press("Filters and wishes");
        new SelectElement(_screen.Find("select[name=kind]")).SelectByText("Mesh");
        _screen.Until(() => _screen.All(".card h2").Count > 0 && _screen.All(".card h2").All(h => h.Text.Contains("mesh", StringComparison.Ordinal)));
        Open("SK-M20");
        Press("SK-M20", "Compare");
        new SelectElement(_screen.Find("select[name=kind]")).SelectByText("Link bracelets");
        _screen.Until(() => _screen.All(".card h2").Any(h => h.Text == "Harbour bracelet"));
        Open("SK-2012");
        Press("SK-2012", "Compare");
        _screen.Press("Compare 2");
        _screen.Until(() => _screen.All(".compare thead th").Count == 3);
        _screen.Find(".compare").Text.ShouldContain("Spring bar");
        _screen.Press("Back to the list");
        _screen.Press("nickel-sensitive");
        _screen.UntilSays("Its metal is not declared nickel-safe");

        Open("SK-2012");
        Card("SK-2012").FindElement(By.LinkText("Watches it fits")).Click();
        _screen.UntilSays("A band in the hand");
        _screen.Until(() => _screen.All(".fits li").Any(l => l.Text.Contains("Sunniva Marl", StringComparison.Ordinal)));
        _screen.Type("client", "fenwick");
        _screen.Until(() => _screen.All(".fits li").Count == 4 && _screen.All(".fits li").All(l => l.Text.Contains("Runa Fenwick", StringComparison.Ordinal)));
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_catalogue_with_bad_rows_is_looked_over_and_its_good_rows_taken_in()
    {
        var file = Path.Combine(Path.GetTempPath(), $"catalogue-{Guid.NewGuid():N}.csv");
        File.WriteAllText(file,
            """
            article;label;kind;material;attaches;width;thickness;price;inStock;bucklePiece;tail;firstHole;holePitch;holes
            NEW-1;Ferry strap;twoPiece;leather;looseBar;20;2,6;31,00;4;75;118;58;6,5;7
            NEW-2;Ferry strap;twoPiece;leather;looseBar;twenty;2,6;31,00;4;75;118;58;6,5;7
            SK-L18;Calf strap;twoPiece;leather;looseBar;18;2,4;35,00;9;68;108;52;6,5;7
            """);
        try
        {
            _screen.Go("/house/catalogue");
            _screen.Find("input[name=catalogue]").SendKeys(file);
            _screen.UntilSays("No column is taken for name.");
            new SelectElement(_screen.Find("select[name='column-label']")).SelectByText("name");
            _screen.UntilSays("3 rows: 1 new, 1 known, 1 bad.");
            _screen.UntilSays("“twenty” is not a length");
            _screen.Find(".bad").Text.ShouldContain("line 3");
            _screen.Press("Skip the bad ones");
            _screen.UntilSays("1 bands are new, 1 were known");
        }
        finally
        {
            File.Delete(file);
        }
        _screen.Go("/jobs/5/match");
        _screen.UntilSays("Ferry strap");
        _screen.NoConsoleErrors();

        // The house's limits and bars, changed and put back.
        _screen.Go("/house/limits");
        _screen.Type("softFits", "9");
        _screen.UntilSays("allowed is 0 to 5");
        _screen.Type("softFits", "0,3");
        _screen.Press("back to it");
        _screen.Until(() => _screen.Find("[name=softFits]").GetAttribute("value") == "0.5");
        _screen.Go("/house/bars");
        foreach (var (field, typed) in ((string, string)[])[("article", "SB-19"), ("length", "19"), ("body", "1,5"), ("tip", "0,8")])
            _screen.Type(field, typed);
        _screen.Press("Put it in stock");
        _screen.UntilSays("SB-19");
    }

    /// <summary>Opens a row, if it is not open.</summary>
    private void Open(string article)
    {
        var name = By.CssSelector("h2 button");
        _screen.Until(() => Card(article).FindElements(name).Count == 1, article);
        _screen.IntoView(Card(article).FindElement(name));
        if (Card(article).FindElement(name).GetAttribute("aria-expanded") != "true")
            Card(article).FindElement(name).Click();
    }

    private IWebElement Card(string article) => _screen.Find($".card[data-article='{article}']");

    private void Press(string article, string button)
    {
        var by = By.XPath($".//button[normalize-space()='{button}']");
        _screen.Until(() => Card(article).FindElements(by).Count > 0, $"{button} of {article}");
        var element = Card(article).FindElement(by);
        _screen.IntoView(element);
        element.Click();
    }
}
