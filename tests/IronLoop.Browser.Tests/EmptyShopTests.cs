namespace IronLoop.Browser.Tests;

public sealed class EmptyShopTests
{
    [Fact]
    public void An_empty_shop_says_what_to_do_first_and_what_is_not_there()
    {
        using var shop = new RunningShop(demo: false);
        using var screen = new Screen(shop.Address);
        screen.Go("/");
        screen.UntilSays("No job hangs on the rack.");
        screen.Go("/log");
        screen.UntilSays("Nothing has been logged yet.");
        screen.Go("/take-in");
        screen.Type("client", "Ida Brook");
        screen.Type("watch", "Ostwick");
        screen.Type("by", "IB");
        screen.Press("Hang it on the rack");
        screen.UntilSays("Still to gauge");
        var job = screen.Path.Replace("/gauge", "", StringComparison.Ordinal);
        screen.Go($"{job}/match");
        screen.UntilSays("No band is in stock");
        screen.Go($"{job}/bench");
        screen.UntilSays("Agree a plan at Size first.");
        screen.NoConsoleErrors();
    }
}
