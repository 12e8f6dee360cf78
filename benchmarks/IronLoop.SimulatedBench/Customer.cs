using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.SimulatedBench;

/// <summary>
/// A wrist, a head and a bracelet that came with it too long. What the wrist truly needs is known here and to nobody at the
/// bench.
/// </summary>
/// <param name="Bracelet">The bracelet as it came.</param>
/// <param name="Clasp">Its clasp.</param>
/// <param name="Spares">Loose links that came along.</param>
/// <param name="Pitch">Pitch of its usual link.</param>
/// <param name="TrueNeed">The length at no ease, in millimetres: the model's, and what no model knows of this wrist.</param>
/// <param name="Wear">How loose it is to be worn.</param>
internal sealed record Customer(Bracelet Bracelet, BraceletClasp Clasp, IReadOnlyList<SpareLinks> Spares, Length Pitch, double TrueNeed, Wear Wear)
{
    /// <summary>One standard deviation of what no model knows of a wrist, in millimetres.</summary>
    private const double Unmodelled = 0.7;

    /// <summary>Draws customers until one's model holds and its bracelet is longer than it should be.</summary>
    public static Customer Draw(Random random)
    {
        while (true)
        {
            var head = new Head(Mm(random, 34, 50), Mm(random, 1, 5));
            var aspect = Math.Clamp(1.35m + 0.08m * (decimal)Normal(random), 1.1m, 1.7m);
            var pivot = Mm(random, 1.2, 2.2);
            if (NeededLength.Of(Mm(random, 140, 205), Math.Round(aspect, 3), head, pivot) is not { } modelled)
                continue;
            var pitch = Mm(random, 6, 11.5);
            var half = random.Next(3) == 0 ? new Length(pitch.Micrometres * 6 / 10) : (Length?)null;
            var twelve = Row(random, pitch, half);
            var six = Row(random, pitch, null);
            var positions = random.Next(2, 9);
            var clasp = new BraceletClasp(
                Mm(random, 13, 25), Mm(random, 13, 25), random.Next(2) == 0 ? Side.Twelve : Side.Six, positions, Mm(random, 1.2, 2.8), random.Next(positions));
            var customer = new Customer(
                new Bracelet(twelve, six), clasp, random.Next(4) == 0 ? [new SpareLinks(pitch, random.Next(1, 3))] : [], pitch,
                modelled + Unmodelled * Normal(random), Wear.Of((WearPreference)random.Next(3)));
            if (customer.LengthNow > customer.TrueNeed + 12)
                return customer;
        }
    }

    /// <summary>The loop's length as it came, in millimetres.</summary>
    public double LengthNow => Length(Side.Twelve, Bracelet.Twelve.Select(l => l.Pitch), Clasp.Position) + Length(Side.Six, Bracelet.Six.Select(l => l.Pitch), Clasp.Position);

    /// <summary>Whether links as they lie can be worn right: some micro position inside the wear window, its centre within the house's tolerance.</summary>
    /// <param name="twelve">Pitches in the loop on the 12 side.</param>
    /// <param name="six">The same on the 6 side.</param>
    public (bool Fits, bool Centred, bool Both) Judge(IReadOnlyCollection<Length> twelve, IReadOnlyCollection<Length> six)
    {
        var (fits, centred, both) = (false, false, false);
        foreach (var (length, isCentred) in Positions(twelve, six))
        {
            var ease = length - TrueNeed;
            var isWorn = ease >= Wear.Least.ApproximateMillimetres && ease <= Wear.Most.ApproximateMillimetres;
            (fits, centred, both) = (fits || isWorn, centred || isCentred, both || isWorn && isCentred);
        }
        return (fits, centred, both);
    }

    /// <summary>The chance that links as they lie can be worn right, the need judged with a known error.</summary>
    public double Chance(IReadOnlyCollection<Length> twelve, IReadOnlyCollection<Length> six, double judged, double error)
    {
        var (chance, covered) = (0.0, double.NegativeInfinity);
        foreach (var (length, isCentred) in Positions(twelve, six))
        {
            var (from, to) = (Math.Max(covered, length - Wear.Most.ApproximateMillimetres), length - Wear.Least.ApproximateMillimetres);
            if (!isCentred || to <= from)
                continue;
            chance += Below((to - judged) / error) - Below((from - judged) / error);
            covered = to;
        }
        return chance;
    }

    /// <summary>All counts of links on both sides.</summary>
    public IEnumerable<(IReadOnlyList<Length> Twelve, IReadOnlyList<Length> Six)> Arrangements()
    {
        var kinds = Bracelet.Twelve.Concat(Bracelet.Six).Where(l => l.Removable).Select(l => l.Pitch).Concat(Spares.SelectMany(s => Enumerable.Repeat(s.Pitch, s.Count)))
            .GroupBy(p => p).Select(g => (Pitch: g.Key, AtHand: g.Count())).ToList();
        return Share(0, Fixed(Bracelet.Twelve), Fixed(Bracelet.Six));

        IEnumerable<(IReadOnlyList<Length>, IReadOnlyList<Length>)> Share(int kind, List<Length> twelve, List<Length> six)
        {
            if (kind == kinds.Count)
            {
                yield return (twelve, six);
                yield break;
            }
            for (var n12 = 0; n12 <= kinds[kind].AtHand; n12++)
                for (var n6 = 0; n6 <= kinds[kind].AtHand - n12; n6++)
                    foreach (var shared in Share(kind + 1, [.. twelve, .. Enumerable.Repeat(kinds[kind].Pitch, n12)], [.. six, .. Enumerable.Repeat(kinds[kind].Pitch, n6)]))
                        yield return shared;
        }
    }

    /// <summary>Whether any arrangement of these links could be worn right.</summary>
    public bool AnyCould() => Arrangements().Any(a => Judge(a.Twelve, a.Six).Both);

    /// <summary>The loop's length in each position, tightest first, and whether its centre is where it should be.</summary>
    private IEnumerable<(double Length, bool IsCentred)> Positions(IReadOnlyCollection<Length> twelve, IReadOnlyCollection<Length> six)
    {
        for (var position = 0; position < Clasp.Positions; position++)
        {
            var (a12, a6) = (Length(Side.Twelve, twelve, position), Length(Side.Six, six, position));
            yield return (a12 + a6, Math.Abs(a12 - a6) / 2 <= PlanRequest.HouseCentring.Tolerance.ApproximateMillimetres + 1e-9);
        }
    }

    // By the trapezium rule, which shares nothing with the planner.
    private static double Below(double x)
    {
        if (x is < -8 or > 8)
            return x < 0 ? 0 : 1;
        const int parts = 400;
        var (sum, step) = (0.0, x / parts);
        for (var i = 0; i <= parts; i++)
            sum += Math.Exp(-i * step * (i * step) / 2) * (i is 0 or parts ? 0.5 : 1);
        return 0.5 + sum * step / Math.Sqrt(2 * Math.PI);
    }

    /// <summary>A standard normal number.</summary>
    public static double Normal(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    private double Length(Side side, IEnumerable<Length> pitches, int position) =>
        pitches.Sum(p => p.ApproximateMillimetres) + (side == Side.Twelve ? Clasp.Twelve : Clasp.Six).ApproximateMillimetres
        + (Clasp.MicroSide == side ? Clasp.Tighter(position).ApproximateMillimetres : 0);

    private static List<Length> Fixed(IReadOnlyList<Link> row) => [.. row.Where(l => !l.Removable).Select(l => l.Pitch)];

    private static List<Link> Row(Random random, Length pitch, Length? half)
    {
        var row = Enumerable.Repeat(new Link(pitch, false), random.Next(1, 4)).Concat(Enumerable.Repeat(new Link(pitch, true), random.Next(3, 9))).ToList();
        if (half is { } shorter)
            row.Add(new Link(shorter, true));
        return row;
    }

    private static Length Mm(Random random, double lowest, double highest) => Core.Measuring.Length.Nearest(Math.Round(lowest + (highest - lowest) * random.NextDouble(), 1));
}
