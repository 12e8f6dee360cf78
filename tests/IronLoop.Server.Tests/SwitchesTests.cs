using IronLoop.Server.Contract;

namespace IronLoop.Server.Tests;

/// <summary>The program's own switches.</summary>
public class SwitchesTests
{
    private static Switches Read(params string[] args)
    {
        Switches.TryRead(args, out var switches, out var why).ShouldBeTrue(why);
        return switches!;
    }

    private static string Refused(params string[] args)
    {
        Switches.TryRead(args, out var switches, out var why).ShouldBeFalse();
        switches.ShouldBeNull();
        return why!;
    }

    [Fact]
    public void Nothing_said_is_an_own_shop_at_the_usual_port_for_this_machine_alone()
    {
        var switches = Read();
        (switches.Port, switches.Data, switches.Demo, switches.Listen).ShouldBe((Switches.UsualPort, "data/shop", false, null));
        Read("--demo").Data.ShouldBe("data/demo");
        Read("--demo", "--data", "here").Data.ShouldBe("here");
    }

    [Fact]
    public void Behind_a_proxy_cookies_are_for_HTTPS_and_the_demo_is_not_shown()
    {
        Read("--behind", "127.0.0.1").Cookie("iron-loop").ShouldBe("__Host-iron-loop");
        Read().Cookie("iron-loop").ShouldBe("iron-loop");
        Refused("--behind", "the proxy").ShouldContain("--behind is the proxy");
        Refused("--demo", "--behind", "127.0.0.1").ShouldContain("Leave out --behind");
    }

    [Theory]
    [InlineData("--port", "0", 0)]
    [InlineData("--port", "65535", 65_535)]
    public void A_port_is_a_number_that_a_port_can_have(string name, string typed, int port) => Read(name, typed).Port.ShouldBe(port);

    [Theory]
    [InlineData("--port", "65536")]
    [InlineData("--port", "-1")]
    [InlineData("--port", "http")]
    [InlineData("--stand-ins", "1e3")]
    [InlineData("--stand-ins", "")]
    public void A_port_that_cannot_be_is_refused_with_the_range(string name, string typed)
    {
        var why = Refused(name, typed);
        why.ShouldContain(name);
        why.ShouldContain("0 to 65535");
    }

    [Theory]
    [InlineData("--port")]
    [InlineData("--data")]
    [InlineData("--web")]
    [InlineData("--restore")]
    [InlineData("--listen")]
    [InlineData("--name")]
    [InlineData("--certificate")]
    [InlineData("--key")]
    public void A_switch_without_its_value_is_named(string name) => Refused("--demo", name).ShouldBe($"{name} needs a value.");

    [Fact]
    public void What_is_none_of_its_own_is_left_to_the_host() =>
        Read("--demo", "--urls", "http://x", "--data", "here").Rest.ShouldBe(["--urls", "http://x"]);

    [Fact]
    public void Of_a_switch_said_twice_the_last_counts() => Read("--port", "1", "--port", "2").Port.ShouldBe(2);
}
