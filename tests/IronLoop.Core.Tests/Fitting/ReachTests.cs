using CsCheck;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

/// <summary>All lengths a band can make, and where it is stuck between two of them.</summary>
public class ReachTests
{
    private static readonly Gen<ReachedLength[]> Some = Gen.Select(Gen.Int[120_000, 200_000], Gen.Bool, (l, both) => new ReachedLength(new Length(l), both)).Array[0, 40];

    [Fact]
    public void Lengths_are_told_once_in_order_and_with_room_where_any_way_of_making_them_has_it() =>
        Some.Sample(lengths =>
        {
            var reach = Reach.Of([.. lengths, .. lengths.Select(l => l with { LeftBothWays = false })]);
            reach.Lengths.Select(l => l.Length).ShouldBe(lengths.Select(l => l.Length).Distinct().Order());
            foreach (var reached in reach.Lengths)
                reached.LeftBothWays.ShouldBe(lengths.Any(l => l.Length == reached.Length && l.LeftBothWays));
        });

    [Fact]
    public void A_target_is_held_or_it_lies_in_a_gap_whose_ends_are_neighbours() =>
        Gen.Select(Some, Gen.Int[110_000, 210_000], Gen.Int[0, 3_000]).Sample((lengths, wanted, half) =>
        {
            var (reach, target, window) = (Reach.Of(lengths), new Length(wanted), new Length(half));
            if (reach.GapAt(target, window) is not { } gap)
            {
                (lengths.Length == 0 || lengths.Any(l => (l.Length - target).Abs() <= window)).ShouldBeTrue();
                return;
            }
            reach.Holds(target, window).ShouldBeFalse();
            gap.Below.ShouldBe(lengths.Select(l => (Length?)l.Length).Where(l => l < target).Max());
            gap.Above.ShouldBe(lengths.Select(l => (Length?)l.Length).Where(l => l > target).Min());
        });

    [Fact]
    public void The_largest_gap_is_the_widest_step_between_neighbours()
    {
        Reach Made(params decimal[] mm) => Reach.Of(mm.Select(l => new ReachedLength(Length.FromMillimetres(l), true)));
        Made().LargestGap.ShouldBeNull();
        Made(150).LargestGap.ShouldBe(Length.Zero);
        Made(150.5m, 171.4m, 152).LargestGap.ShouldBe(Length.FromMillimetres(19.4m));
        (Made(150.5m, 171.4m).Shortest, Made(150.5m, 171.4m).Longest).ShouldBe((Length.FromMillimetres(150.5m), Length.FromMillimetres(171.4m)));
    }

    [Fact]
    public void Room_both_ways_is_asked_for_apart_from_the_length_itself()
    {
        var reach = Reach.Of([new ReachedLength(Length.FromMillimetres(150), false), new ReachedLength(Length.FromMillimetres(155), true)]);
        reach.Holds(Length.FromMillimetres(150), Length.FromMillimetres(1)).ShouldBeTrue();
        reach.HoldsWithRoom(Length.FromMillimetres(150), Length.FromMillimetres(1)).ShouldBeFalse();
        reach.HoldsWithRoom(Length.FromMillimetres(154), Length.FromMillimetres(1)).ShouldBeTrue();
    }

    [Fact]
    public void More_links_reach_at_least_as_far()
    {
        static PlanRequest With(int spares) => new(
            new Bracelet(Row(6), Row(6)), spares == 0 ? [] : [new SpareLinks(Length.FromMillimetres(8), spares)],
            new BraceletClasp(Length.FromMillimetres(18), Length.FromMillimetres(18), Side.Twelve, 4, Length.FromMillimetres(2.5m), 1),
            new FitTarget(Length.FromMillimetres(150), Length.FromMillimetres(2.5m), PlanRequest.HouseTolerance), PlanRequest.HouseCentring, PlanRequest.HouseReserve);
        for (var spares = 0; spares < 6; spares++)
        {
            var (fewer, more) = (Reach.Of(With(spares)), Reach.Of(With(spares + 1)));
            fewer.Lengths.Select(l => l.Length).Except(more.Lengths.Select(l => l.Length)).ShouldBeEmpty("whatever could be made still can");
            more.Longest!.Value.ShouldBeGreaterThanOrEqualTo(fewer.Longest!.Value);
        }
    }

    private static Link[] Row(int count) => [.. Enumerable.Range(0, count).Select(i => new Link(Length.FromMillimetres(8), i > 0))];
}
