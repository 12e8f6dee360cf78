using CsCheck;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

/// <summary>Random bracelets small enough to try every combination of.</summary>
internal static class RandomRequests
{
    private static Gen<Length> Mm(double from, double to, int steps = 10) =>
        Gen.Int[(int)(from * steps), (int)(to * steps)].Select(n => new Length(n * 1000L / steps));

    // Two or three pitches a bracelet, some of them an odd micrometre, so that halves and ties both come up.
    private static readonly Gen<Length[]> Pitches =
        Gen.Select(Mm(5, 12), Mm(3, 8), Gen.Int[2_000, 14_000].Select(n => new Length(n)), (full, half, odd) => new[] { full, half, odd });

    // Now and then a link of the same pitch that is not alike, and one that goes on its own side only.
    private static readonly Gen<(int Pitch, char Mark, bool OneSided)> Kinds = Gen.Select(
        Gen.Frequency((8, Gen.Const(0)), (2, Gen.Const(1)), (1, Gen.Const(2))),
        Gen.Frequency((9, Gen.Const('\0')), (1, Gen.Const('b'))),
        Gen.Frequency((9, Gen.Const(false)), (1, Gen.Const(true))));

    private static Gen<Link[]> Row(Length[] pitches) =>
        Gen.Select(Gen.Int[0, 2], Kinds.Array[0, 4], (stay, kinds) =>
            Enumerable.Repeat(new Link(pitches[0], Removable: false), stay)
                .Concat(kinds.Select(k => new Link(pitches[k.Pitch], Removable: true) { Mark = k.Mark, OneSided = k.OneSided })).ToArray());

    private static readonly Gen<(int Kind, char Mark, OddLink Odd)> Rest = Gen.Select(
        Gen.Int[0, 2],
        Gen.Frequency((6, Gen.Const('\0')), (1, Gen.Const('b'))),
        Gen.Frequency((6, Gen.Const(OddLink.AsComputed)), (1, Gen.Const(OddLink.OnTwelve)), (1, Gen.Const(OddLink.OnSix))));

    private static readonly Gen<BraceletClasp> Clasps =
        Gen.Select(Mm(0, 25), Mm(0, 25), Gen.Bool, Gen.Int[1, 6], Mm(0.1, 3), Gen.Int[0, 5], (twelve, six, on12, positions, step, position) =>
            new BraceletClasp(twelve, six, on12 ? Side.Twelve : Side.Six, positions, step, position % positions));

    private static readonly Gen<(Centring, Reserve, Length Window, Length Tolerance)> Wishes =
        Gen.Select(Mm(-4, 4), Mm(0, 4), Mm(0, 4), Mm(0, 4), Mm(0, 3), Mm(0, 3), (desired, centre, tighter, looser, window, tolerance) =>
            (new Centring(desired, centre), new Reserve(tighter, looser), window, tolerance));

    public static readonly Gen<PlanRequest> Small = Requests(Pitches, Clasps, Mm(60, 160));

    /// <summary>On a grid of whole and half millimetres many plans tie, so that every tie-break has its say.</summary>
    public static readonly Gen<PlanRequest> Tied = Requests(
        Gen.Const(new[] { new Length(8_000), new Length(4_000), new Length(6_000) }),
        Gen.Select(Gen.Int[9, 11], Gen.Int[9, 11], Gen.Bool, Gen.Int[1, 5], Gen.Int[1, 2], Gen.Int[0, 4], (twelve, six, on12, positions, step, position) =>
            new BraceletClasp(new(twelve * 1000), new(six * 1000), on12 ? Side.Twelve : Side.Six, positions, new(step * 1000), position % positions)),
        Gen.Int[30, 60].Select(n => new Length(n * 2_000L)));

    private static Gen<PlanRequest> Requests(Gen<Length[]> kinds, Gen<BraceletClasp> clasps, Gen<Length> targets) =>
        kinds.SelectMany(pitches =>
            Gen.Select(Row(pitches), Row(pitches), Gen.Int[0, 2], Rest, clasps, Wishes, targets,
                (twelve, six, spareCount, rest, clasp, wishes, target) =>
                {
                    var (centring, reserve, window, tolerance) = wishes;
                    return new PlanRequest(
                        new Bracelet(twelve, six),
                        spareCount == 0 ? [] : [new SpareLinks(pitches[rest.Kind], spareCount) { Mark = rest.Mark }],
                        clasp,
                        new FitTarget(target, window, tolerance),
                        centring,
                        reserve)
                    {
                        Odd = rest.Odd,
                    };
                }));
}
