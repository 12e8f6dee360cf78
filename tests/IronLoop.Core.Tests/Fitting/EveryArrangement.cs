using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

/// <summary>
/// Tries every combination with plain loops and rational numbers, straight from the definitions; it shares nothing
/// with the planner but the request.
/// </summary>
internal static class EveryArrangement
{
    public sealed record Tried(
        int[] Twelve, int[] Six, int Position, decimal Length, decimal OffCentre, decimal Misfit, decimal Trouble, decimal Wander,
        decimal Shortfall, int Moved, decimal LengthMiss, decimal CentreMiss)
    {
        public bool Beats(Tried other) =>
            LengthMiss <= other.LengthMiss && CentreMiss <= other.CentreMiss && Shortfall <= other.Shortfall && Moved <= other.Moved
            && (LengthMiss < other.LengthMiss || CentreMiss < other.CentreMiss || Shortfall < other.Shortfall || Moved < other.Moved);
    }

    /// <summary>
    /// The chance that one way to share the links out is right in some position whose centre is within the tolerance: the normal curve summed in
    /// narrow strips over all lengths that such a position serves.
    /// </summary>
    public static double Chance(PlanRequest request, IReadOnlyList<Tried> positions, double sigma)
    {
        var (target, window) = ((double)request.Target.Length.Millimetres, (double)request.Target.Window.Millimetres);
        var served = positions.Where(t => t.Wander == 0).Select(t => ((double)t.Length - target - window, (double)t.Length - target + window)).Order().ToList();
        var (chance, end) = (0.0, double.NegativeInfinity);
        foreach (var (from, to) in served)
        {
            chance += Math.Max(0, Below(to / sigma) - Below(Math.Max(from, end) / sigma));
            end = Math.Max(end, to);
        }
        return chance;

        // Simpson's rule.
        static double Below(double x)
        {
            x = Math.Clamp(x, -9, 9);
            const int strips = 600;
            var (sum, step) = (1 + Math.Exp(-x * x / 2), x / strips);
            for (var i = 1; i < strips; i++)
                sum += Math.Exp(-i * step * (i * step) / 2) * (i % 2 == 0 ? 2 : 4);
            return 0.5 + sum * step / 3 / Math.Sqrt(2 * Math.PI);
        }
    }

    public static List<Tried> InOrder(PlanRequest request)
    {
        var (bracelet, clasp) = (request.Bracelet, request.Clasp);
        static (Length Pitch, char Mark, int Only) KindOf(Link l, int side) => (l.Pitch, l.Mark, l.OneSided ? side : 0);
        var kinds = bracelet.Twelve.Where(l => l.Removable).Select(l => KindOf(l, 12))
            .Concat(bracelet.Six.Where(l => l.Removable).Select(l => KindOf(l, 60)))
            .Concat(request.Spares.Where(s => s.Count > 0).Select(s => (s.Pitch, s.Mark, Only: 0))).Distinct().Order().ToArray();
        var pitches = kinds.Select(k => k.Pitch).ToArray();
        int Now(IReadOnlyList<Link> row, int kind) => row.Count(l => l.Removable && KindOf(l, ReferenceEquals(row, bracelet.Twelve) ? 12 : 60) == kinds[kind]);
        var atHand = kinds.Select((kind, k) =>
            Now(bracelet.Twelve, k) + Now(bracelet.Six, k) + request.Spares.Where(s => (s.Pitch, s.Mark, 0) == kind).Sum(s => s.Count)).ToArray();
        bool Shared(int twelve, int six) => request.Odd == OddLink.AsComputed
            || Math.Sign(twelve) * Math.Sign(six) >= 0 && (request.Odd == OddLink.OnTwelve ? Math.Abs(twelve) - Math.Abs(six) : Math.Abs(six) - Math.Abs(twelve)) is 0 or 1;
        var fixed12 = bracelet.Twelve.Where(l => !l.Removable).Sum(l => l.Pitch.Millimetres);
        var fixed6 = bracelet.Six.Where(l => !l.Removable).Sum(l => l.Pitch.Millimetres);

        IEnumerable<(int[] Twelve, int[] Six)> Splits(int kind)
        {
            if (kind == pitches.Length)
            {
                yield return (new int[kind], new int[kind]);
                yield break;
            }
            foreach (var (twelve, six) in Splits(kind + 1))
            {
                for (var a = 0; a <= atHand[kind]; a++)
                {
                    for (var b = 0; a + b <= atHand[kind]; b++)
                    {
                        if (kinds[kind].Only == 12 && b > 0 || kinds[kind].Only == 60 && a > 0)
                            continue;
                        var (t, s) = ((int[])twelve.Clone(), (int[])six.Clone());
                        (t[kind], s[kind]) = (a, b);
                        yield return (Grow(t), Grow(s));
                    }
                }
            }
        }

        int[] Grow(int[] counts)
        {
            Array.Resize(ref counts, pitches.Length);
            return counts;
        }

        var tried = new List<Tried>();
        foreach (var (twelve, six) in Splits(0))
        {
            var came = Enumerable.Range(0, kinds.Length).ToList();
            if (!Shared(twelve.Sum() - came.Sum(k => Now(bracelet.Twelve, k)), six.Sum() - came.Sum(k => Now(bracelet.Six, k))))
                continue;
            var moved = 0;
            for (var k = 0; k < pitches.Length; k++)
                moved += Math.Abs(twelve[k] - Now(bracelet.Twelve, k)) + Math.Abs(six[k] - Now(bracelet.Six, k));
            for (var m = 0; m < clasp.Positions; m++)
            {
                var step = clasp.Step.Millimetres;
                var a12 = fixed12 + clasp.Twelve.Millimetres + (clasp.MicroSide == Side.Twelve ? m * step : 0);
                var a6 = fixed6 + clasp.Six.Millimetres + (clasp.MicroSide == Side.Six ? m * step : 0);
                for (var k = 0; k < pitches.Length; k++)
                {
                    a12 += twelve[k] * pitches[k].Millimetres;
                    a6 += six[k] * pitches[k].Millimetres;
                }
                var tighter = m * step;
                var looser = (clasp.Positions - 1 - m) * step;
                var miss = Math.Abs(a12 + a6 - request.Target.Length.Millimetres);
                var off = (a12 - a6) / 2;
                var centreMiss = Math.Abs(off - request.Centring.Desired.Millimetres);
                var misfit = Math.Max(0, miss - request.Target.Window.Millimetres);
                var wander = Math.Max(0, centreMiss - request.Centring.Tolerance.Millimetres);
                var shortfall = Math.Max(0, request.Reserve.Tighter.Millimetres - tighter) + Math.Max(0, request.Reserve.Looser.Millimetres - looser);
                tried.Add(new Tried(twelve, six, m, a12 + a6, off, misfit,
                    Math.Max(0, miss - request.Target.Tolerance.Millimetres) + wander + shortfall, wander, shortfall, moved, miss, centreMiss));
            }
        }
        var middle = (clasp.Positions - 1) / 2m;
        return [.. tried
            .OrderBy(t => t.Misfit).ThenBy(t => t.Trouble).ThenBy(t => t.Moved).ThenBy(t => t.LengthMiss).ThenBy(t => t.CentreMiss)
            .ThenBy(t => t.Position == clasp.Position ? 0 : 1).ThenBy(t => Math.Abs(t.Position - middle)).ThenBy(t => t.Position)
            .ThenByDescending(t => t.Length)
            .ThenBy(t => string.Concat(t.Twelve.Concat(t.Six).Select(c => (char)('A' + c))), StringComparer.Ordinal)];
    }
}
