using CsCheck;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Tests.Bench;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Tests.Tray;

public class TrayLedgerTests
{
    private static readonly TrayPlace[] Places = Enum.GetValues<TrayPlace>();

    private static Gen<T> One<T>(params T[] of) => Gen.Int[0, of.Length - 1].Select(i => of[i]);

    private static readonly Gen<TrayMove> Moves = Gen.Select(
        One("pins", "tubes", "links of 8 mm"), Gen.Int[1, 4], One(Places), One(Places), (part, count, from, to) => new TrayMove(part, count, from, to));

    private static TrayLedger Opening() => TrayLedger.Open([("pins", TrayPlace.Watch, 14), ("tubes", TrayPlace.Watch, 14), ("links of 8 mm", TrayPlace.Watch, 12), ("links of 8 mm", TrayPlace.Tray, 2)]);

    [Fact]
    public void Counts_in_are_counts_out_whatever_is_moved() =>
        Moves.Array[0, 40].Sample(
            moves =>
            {
                var ledger = Opening();
                foreach (var move in moves)
                {
                    if (ledger.WhyNot([move]) is null)
                        ledger = ledger.With([move]);
                    else
                        Should.Throw<InvalidOperationException>(() => ledger.With([move]));
                    foreach (var part in ledger.Parts)
                    {
                        ledger.Total(part).ShouldBe(Opening().Total(part));
                        foreach (var place in Places.Where(p => p != TrayPlace.Stock))
                            ledger[part, place].ShouldBeGreaterThanOrEqualTo(0, "nothing is taken from where it is not");
                    }
                }
            },
            iter: 3_000);

    /// <summary>What a fitter and misfortune may do at the bench, in any order.</summary>
    private enum Turn
    {
        Forward,
        Back,
        Lose,
        Find,
        FromStock,
        Scrap,
    }

    [Fact]
    public void No_sequence_of_steps_undo_loss_and_replacement_breaks_the_balance() =>
        Gen.Select(Gen.Int[0, 4], Gen.Int[0, 3], Gen.Int[0, 3], Gen.Int[0, 2], One(Enum.GetValues<Turn>()).Array[0, 60], Gen.Int[0, 1000]).Sample(
            (fastener, leave12, leave6, join, turns, pick) =>
            {
                var facts = BenchJobs.Sized((Fastener)fastener) with
                {
                    Band = BenchJobs.Bracelet(spares: 2),
                    Plan = new Arrangement(BenchJobs.Lie(6 - leave12, leave12), BenchJobs.Lie(6 - leave6, leave6, join), 2),
                };
                var steps = BenchSteps.Of(facts);
                var opening = TrayLedger.Open(BenchSteps.Opening(facts));
                var (ledger, done) = (opening, 0);
                foreach (var turn in turns)
                {
                    var parts = ledger.Parts.ToList();
                    var part = parts[pick % parts.Count];
                    IReadOnlyList<TrayMove> moves = turn switch
                    {
                        Turn.Forward => done < steps.Count ? steps[done].Moves : [],
                        Turn.Back => done > 0 ? [.. steps[done - 1].Moves.Select(m => m.Back).Reverse()] : [],
                        Turn.Lose => [new TrayMove(part, 1, TrayPlace.Tray, TrayPlace.Lost)],
                        Turn.Find => [new TrayMove(part, 1, TrayPlace.Lost, TrayPlace.Tray)],
                        Turn.FromStock => [new TrayMove(part, 1, TrayPlace.Stock, TrayPlace.Tray)],
                        _ => [new TrayMove(part, 1, TrayPlace.Tray, TrayPlace.Scrapped)],
                    };
                    if (ledger.WhyNot(moves) is not null)
                        continue;
                    ledger = ledger.With(moves);
                    done += turn == Turn.Forward && done < steps.Count ? 1 : turn == Turn.Back && done > 0 ? -1 : 0;
                    foreach (var kind in ledger.Parts)
                    {
                        ledger.Total(kind).ShouldBe(opening.Total(kind));
                        ledger[kind, TrayPlace.Watch].ShouldBeGreaterThanOrEqualTo(0);
                        ledger[kind, TrayPlace.Tray].ShouldBeGreaterThanOrEqualTo(0);
                    }
                }
            },
            iter: 2_000);

    [Fact]
    public void A_lost_tube_keeps_its_joint_open_until_one_comes_from_stock()
    {
        var facts = BenchJobs.Sized(Fastener.PinWithTube) with { Plan = new Arrangement(BenchJobs.Lie(6, 0), BenchJobs.Lie(6, 0, 1), 1), Band = BenchJobs.Bracelet(spares: 1) };
        var steps = BenchSteps.Of(facts);
        var ledger = TrayLedger.Open(BenchSteps.Opening(facts));
        var closing = steps.First(s => s.Kind == StepKind.CloseJoint && s.Moves.Any(m => m.Part == "tubes"));
        foreach (var step in steps.TakeWhile(s => s != closing))
            ledger = ledger.With(step.Moves);
        ledger = ledger.With([new TrayMove("tubes", 1, TrayPlace.Tray, TrayPlace.Lost)]);
        ledger.WhyNot(closing.Moves).ShouldBe("tubes: 1 wanted from the tray, 0 there, 1 lost; take one from stock.");
        ledger = ledger.With([new TrayMove("tubes", 1, TrayPlace.Stock, TrayPlace.Tray)]);
        ledger.With(closing.Moves)["tubes", TrayPlace.Watch].ShouldBe(15, "fourteen joints and one more");
        ledger["tubes", TrayPlace.Lost].ShouldBe(1);
    }

    [Fact]
    public void A_move_is_taken_back_by_its_opposite()
    {
        var moved = Opening().With([new TrayMove("pins", 2, TrayPlace.Watch, TrayPlace.Tray)]);
        moved.With([new TrayMove("pins", 2, TrayPlace.Watch, TrayPlace.Tray).Back])["pins", TrayPlace.Watch].ShouldBe(14);
        moved.In(TrayPlace.Tray).ShouldBe([new BagLine("links of 8 mm", 2), new BagLine("pins", 2)]);
        new TrayMove("tubes", 1, TrayPlace.Tray, TrayPlace.Lost).Says.ShouldBe("tubes: 1, lost");
    }
}
