using IronLoop.Core.Bench;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Bench;

/// <summary>What log and card say of a try-on.</summary>
public class FeltTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    [Fact]
    public void A_try_on_is_told_by_how_it_felt()
    {
        new Felt(TryOnOutcome.AsPlanned, true).Says(null).ShouldBe("Tried on: as planned.");
        new Felt(TryOnOutcome.Felt, true).Says(null).ShouldBe("Tried on: felt.");
        (new Felt(TryOnOutcome.Felt, true) with { Surplus = Mm(2.04m) }).Says(null).ShouldBe("Tried on: 2.0 mm over of what felt right.");
        (new Felt(TryOnOutcome.Felt, true) with { Surplus = Mm(-3) }).Says(null).ShouldBe("Tried on: 3.0 mm short of what felt right.");
        (new Felt(TryOnOutcome.Felt, true) with { Ease = EaseFelt.Snug, Surplus = Mm(2) }).Says(null).ShouldBe("Tried on: rather snug.");
        (new Felt(TryOnOutcome.NotTried, true) with { Reason = "sent by post." }).Says(null).ShouldBe("Not tried on: sent by post.");
    }

    [Fact]
    public void Of_a_strap_its_hole_and_its_tail_are_told()
    {
        var strap = BenchJobs.Strap().Holed(null)!;
        var felt = new Felt(TryOnOutcome.Felt, true) { Position = 2, Ease = EaseFelt.Comfortable, Tail = Mm(31.5m) };
        felt.Says(strap).ShouldBe("Tried on: comfortable, closed in the third hole from the tight end, the tail 31.5 mm past its keepers.");
        (felt with { Position = null, Tail = null }).Says(strap).ShouldBe("Tried on: comfortable.");
    }
}
