using OpenQA.Selenium;

namespace IronLoop.Browser.Tests;

/// <summary>Several people at several screens: who is signed in, what others change meanwhile, and what a fault says.</summary>
public sealed class ManyHandsTests
{
    private const string Passphrase = "nine green lobster pots";

    [Fact]
    public void A_lead_enters_a_fitter_who_signs_in_elsewhere_and_is_sent_out_again()
    {
        using var shop = new RunningShop(demo: false);
        using var lead = new Screen(shop.Address);
        lead.EnterFirstLead("TB");
        lead.Go("/house/hands");
        lead.Type("newInitials", "mk");
        lead.Type("newPassphrase", "short");
        lead.Press("Enter somebody");
        lead.UntilSays("allowed are 10 to 200");
        lead.Type("newPassphrase", Passphrase);
        lead.Press("Enter somebody");
        lead.UntilSays("MK is entered.");

        using var fitter = new Screen(shop.Address);
        fitter.Go("/house/limits");
        fitter.UntilSays("Who is at the bench?");
        fitter.SignIn("mk", "not this one", says: "Initials or passphrase are wrong.");
        fitter.SignIn("mk", Passphrase);
        fitter.Path.ShouldBe("/house/limits", "where they were going");
        fitter.UntilSays("MK, fitter");

        lead.Reload();
        lead.UntilSays("signed in");
        lead.Press("End it");
        lead.UntilSays("MK’s session is over.");
        fitter.Go("/take-in");
        fitter.UntilSays("Who is at the bench?");
        lead.Press("Sign out");
        lead.UntilSays("Who is at the bench?");
        lead.All(".rail").Count.ShouldBe(0, "nothing of the shop is left on the screen");
    }

    [Fact]
    public void What_both_change_is_asked_about_and_what_only_one_changes_is_followed()
    {
        using var shop = new RunningShop(demo: true);
        using var one = new Screen(shop.Address);
        using var two = new Screen(shop.Address);
        foreach (var screen in (Screen[])[one, two])
        {
            screen.Go("/jobs/5/take-in");
            screen.UntilSays("Demo, without a password");
            screen.Find("[name=words]");
        }
        two.Type("contact", "the sail loft");
        one.Type("words", "Slides when I row.");
        one.Press("Save");
        // What only the one changed stands on the other screen by itself, beside what was typed there.
        two.Until(() => two.Field("words").GetAttribute("value") == "Slides when I row.");
        two.Field("contact").GetAttribute("value").ShouldBe("the sail loft");

        two.Type("words", "Pinches in the evening.");
        one.Type("words", "Slides when I row and when I scull.");
        one.Press("Save");
        two.UntilSays("Somebody else changed the same on another screen.");
        two.UntilSays("Theirs: Slides when I row and when I scull.");
        two.UntilSays("Yours: Pinches in the evening.");
        two.All("[name=clash-words]").Single(i => i.GetAttribute("value") == "mine").Click();
        two.Press("Save it like this");
        one.Until(() => one.Field("words").GetAttribute("value") == "Pinches in the evening.");
        one.Field("contact").GetAttribute("value").ShouldBe("the sail loft");
        two.NoConsoleErrors();
    }

    [Fact]
    public void A_change_on_an_older_sight_is_refused_shows_both_and_is_made_all_the_same_by_choice()
    {
        using var shop = new RunningShop(demo: true);
        using var screen = new Screen(shop.Address);
        screen.Go("/jobs/5/size");
        screen.UntilSays("This is the planner’s answer.");
        var planned = screen.Told("position");
        // Another screen is before with its change, and what it changed is on its way here: nothing is seen of it before the press.
        screen.RunAsync(
            """
            const done = arguments[arguments.length - 1]
            const first = async () => {
              const { token } = await (await fetch('/api/door')).json()
              const headers = { 'content-type': 'application/json', 'X-Iron-Loop-Token': token, 'If-Match': '*' }
              const real = window.fetch
              let arrive
              const arrives = new Promise((on) => (arrive = on))
              window.fetch = async (what, how) => {
                if ((what.method ?? 'GET') === 'GET') await arrives
                return real(what, how)
              }
              await real('/api/jobs/5/clasp/keep', { method: 'PUT', headers })
              ;[...document.querySelectorAll('main button')].find((b) => b.innerText.includes('Looser')).click()
              setTimeout(arrive)
            }
            first().then(() => done('ok'), (e) => done(String(e)))
            """)!.ToString().ShouldBe("ok");
        screen.UntilSays("was changed on another screen meanwhile; nothing of yours was stored.");
        screen.UntilSays("The screen shows theirs. Yours was twelve, out: 2");
        screen.Told("position").ShouldBe(planned);
        screen.Press("Do mine all the same");
        screen.Until(() => screen.Told("position") != planned, "mine, after theirs");
        screen.Until(() => screen.All(".stale").Count == 0);
    }

    [Fact]
    public void Script_looking_words_stay_words_everywhere()
    {
        const string Script = "<img src=x onerror=document.title='ran'><script>document.title='ran'</script>";
        using var shop = new RunningShop(demo: true);
        using var screen = new Screen(shop.Address);
        screen.Go("/take-in");
        screen.Type("client", Script[..60]);
        screen.Type("watch", Script[..70]);
        screen.Type("words", Script);
        screen.Type("by", "TB");
        screen.Press("Take it in");
        screen.UntilSays("Still to gauge");
        var job = screen.Path.Replace("/gauge", "", StringComparison.Ordinal);
        foreach (var view in (string[])["/", $"{job}/take-in", $"{job}/gauge", $"{job}/match", $"{job}/size", $"{job}/hand-over", "/log", "/house/catalogue"])
        {
            screen.Go(view);
            screen.UntilSays("Demo, without a password");
            screen.Run("return document.title").ShouldNotBe("ran", view);
            screen.Run("return document.querySelectorAll('main img[src=x], nav img[src=x]').length").ShouldBe(0L, view);
        }
    }
}
