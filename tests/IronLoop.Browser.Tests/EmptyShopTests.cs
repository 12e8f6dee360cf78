namespace IronLoop.Browser.Tests;

public sealed class EmptyShopTests
{
    [Fact]
    public void An_empty_shop_says_what_to_do_first_and_what_is_not_there()
    {
        using var shop = new RunningShop(demo: false);
        using var screen = new Screen(shop.Address);
        screen.EnterFirstLead();
        screen.UntilSays("No job is on the rack.");
        screen.Go("/log");
        screen.UntilSays("Nothing has been logged yet.");
        screen.Go("/take-in");
        screen.Type("client", "Ida Brook");
        screen.Type("watch", "Ostwick");
        screen.Find("[name=by]").GetAttribute("value").ShouldBe("IB", "whoever is signed in");
        screen.Press("Take it in");
        screen.UntilSays("Still to gauge");
        var job = screen.Path.Replace("/gauge", "", StringComparison.Ordinal);
        screen.Go($"{job}/match");
        screen.UntilSays("No band is in stock");
        screen.Go($"{job}/bench");
        screen.UntilSays("Approve a plan at Size first.");
        screen.NoConsoleErrors();

        // A shop that is just beginning enters its first band, and the owner's own.
        screen.Go("/bands/new");
        screen.Press("Two-piece strap");
        screen.Press("Put it in stock");
        screen.UntilSays("name is empty");
        foreach (var (field, typed) in ((string, string)[])
            [("name", "First strap"), ("width", "20"), ("thickness", "2,5"), ("bucklePiece", "75"), ("tail", "118"), ("firstHole", "58"), ("holePitch", "6.5")])
            screen.Type(field, typed);
        screen.Press("Put it in stock");
        screen.Until(() => screen.Path == "/");
        screen.Go($"{job}/match");
        screen.UntilSays("First strap");
        screen.Press("Enter the owner’s own band");
        foreach (var (field, typed) in ((string, string)[])
            [("name", "Own bracelet"), ("width", "20"), ("thickness", "3,2"), ("twelve", "2 fixed of 9; 6 of 8,2"), ("six", "2 fixed of 9; 5 of 8,2"), ("claspTwelve", "18"), ("claspSix", "18"), ("step", "2")])
            screen.Type(field, typed);
        screen.Press("Enter it");
        screen.UntilSays("the owner’s own");
    }
}
