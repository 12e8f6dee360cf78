using OpenQA.Selenium;

namespace IronLoop.Browser.Tests;

public sealed class TakeInTests : IDisposable
{
    private readonly RunningShop _shop = new(demo: true);
    private readonly Screen _screen;

    public TakeInTests() => _screen = new Screen(_shop.Address);

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
    }

    [Fact]
    public void Condition_photo_inventory_and_referral_survive_a_killed_server()
    {
        _screen.Go("/jobs/14/take-in");
        _screen.UntilSays("No mark: as it should be.");
        _screen.Press("dent");
        _screen.Focus("rect[aria-label^='lug, 12 left']");
        _screen.Key(Keys.Enter);
        _screen.UntilSays("dent, lug, 12 left");
        _screen.Find("input[name=photo]").SendKeys(Path.Combine(House.Root, "docs/screenshots/log.png"));
        _screen.Until(() => _screen.All("figure img").Count == 1, "a thumbnail");
        _screen.Find("button[aria-label='One loose links more']").Click();
        _screen.Until(() => _screen.Told("came-with-looseLinks") == "1");
        _screen.Find("input[name=lugCracked]").Click();
        _screen.Until(() => _screen.Find("textarea[name=referNote]").GetAttribute("value")!.Contains("A lug is cracked", StringComparison.Ordinal));
        _screen.Press("Refer to a watchmaker");
        _screen.UntilSays("Referred to a watchmaker");
        _screen.NoConsoleErrors();

        _shop.Restart();
        _screen.Reload();
        _screen.UntilSays("dent, lug, 12 left");
        _screen.Until(() => _screen.Run("return [...document.querySelectorAll('figure img')].filter(i => i.naturalWidth > 0).length") is 1L, "the thumbnail");
        _screen.Told("came-with-looseLinks").ShouldBe("1");
        _screen.Press("Take it back");
        _screen.UntilSays("Taken in. Correct anything");

        File.WriteAllText(Path.Combine(Path.GetDirectoryName(_shop.Database)!, "photos", "1.thumb"), "no picture any more");
        _screen.Reload();
        _screen.UntilSays("Photo 1 is damaged or missing, and no backup has it.");
        _screen.UntilSays("dent, lug, 12 left");
    }

    [Fact]
    public void A_file_that_is_no_photo_is_refused_on_the_screen()
    {
        _screen.Go("/jobs/14/take-in");
        _screen.Find("input[name=photo]").SendKeys(Path.Combine(House.Web, "favicon.svg"));
        _screen.UntilSays("by its content it is neither PNG nor JPEG");
    }

    [Fact]
    public void A_client_from_earlier_visits_is_found_as_typed_with_the_watches_that_were_here()
    {
        _screen.Go("/take-in");
        _screen.Field("client").SendKeys("fen");
        // She hangs on the rack as well: what is waited for is the list.
        _screen.Until(() => _screen.All(".v-overlay--active .v-list-item").Any(i => i.Text.Contains("Runa Fenwick", StringComparison.Ordinal)), "her name in the list");
        _screen.Key(Keys.ArrowDown + Keys.Enter);
        _screen.Until(() => _screen.Find("input[name=contact]").GetAttribute("value") == "harbour 4", "how she is reached");
        _screen.Field("watch").Click();
        _screen.Key(Keys.ArrowDown);
        _screen.UntilSays("Ostwick three-hander, steel");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void The_rack_is_found_by_words_state_and_fitter()
    {
        _screen.Go("/");
        _screen.Until(() => _screen.All(".tag").Count > 10);
        _screen.Type("rackWords", "ostwick field");
        _screen.Until(() => _screen.All(".tag").Count == 2, "two field watches");
        _screen.Press("All");
        _screen.Find("select[name=rackState]").SendKeys("Match");
        _screen.Until(() => _screen.All(".tag").Count == 1, "the one at Match");
        _screen.Find("select[name=rackBy]").SendKeys("TB");
        _screen.UntilSays("No such tag on the rack.");
        _screen.NoConsoleErrors();
    }
}
