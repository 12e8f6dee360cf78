using IronLoop.Storage;

namespace IronLoop.Server.Tests;

/// <summary>The turn to write: one at a time, and nobody for ever.</summary>
public sealed class TurnTests
{
    [Fact]
    public void Whoever_waits_longer_than_their_patience_goes_without_and_the_turn_goes_on()
    {
        var turn = new Turn();
        turn.Take(TimeSpan.Zero).ShouldBeTrue();
        turn.Take(TimeSpan.FromMilliseconds(1)).ShouldBeFalse();
        turn.End();
        turn.Take(TimeSpan.Zero).ShouldBeTrue("one who left is not waited for");
        turn.End();
    }

    [Fact]
    public async Task Two_never_have_it_at_once()
    {
        var turn = new Turn();
        var (counted, inside) = (0, 0);
        await Task.WhenAll(Enumerable.Range(0, 8).Select(_ => Task.Run(() =>
        {
            for (var i = 0; i < 300; i++)
            {
                turn.Take(TimeSpan.FromSeconds(60)).ShouldBeTrue();
                (++inside).ShouldBe(1);
                counted++;
                inside--;
                turn.End();
            }
        })));
        counted.ShouldBe(2400);
    }
}
