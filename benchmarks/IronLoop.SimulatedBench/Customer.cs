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

    /// <summary>Whether links as they lie can be worn right: some micro position inside the wear window, and its centre within 4 mm.</summary>
    /// <param name="twelve">Pitches in the loop on the 12 side.</param>
    /// <param name="six">The same on the 6 side.</param>
    public (bool Fits, bool Centred, bool Both) Judge(IReadOnlyCollection<Length> twelve, IReadOnlyCollection<Length> six)
    {
        var (fits, centred, both) = (false, false, false);
        for (var position = 0; position < Clasp.Positions; position++)
        {
            var (a12, a6) = (Length(Side.Twelve, twelve, position), Length(Side.Six, six, position));
            var ease = a12 + a6 - TrueNeed;
            var isWorn = ease >= Wear.Least.ApproximateMillimetres && ease <= Wear.Most.ApproximateMillimetres;
            var isCentred = Math.Abs(a12 - a6) / 2 <= 4;
            (fits, centred, both) = (fits || isWorn, centred || isCentred, both || isWorn && isCentred);
        }
        return (fits, centred, both);
    }

    /// <summary>Whether any arrangement of these links could be worn right: all counts on both sides are tried.</summary>
    public bool AnyCould()
    {
        var kinds = Bracelet.Twelve.Concat(Bracelet.Six).Where(l => l.Removable).Select(l => l.Pitch).Concat(Spares.SelectMany(s => Enumerable.Repeat(s.Pitch, s.Count)))
            .GroupBy(p => p).Select(g => (Pitch: g.Key, AtHand: g.Count())).ToList();
        var (fixed12, fixed6) = (Fixed(Bracelet.Twelve), Fixed(Bracelet.Six));
        return Try(0, fixed12, fixed6);

        bool Try(int kind, List<Length> twelve, List<Length> six)
        {
            if (kind == kinds.Count)
                return Judge(twelve, six).Both;
            for (var n12 = 0; n12 <= kinds[kind].AtHand; n12++)
            {
                for (var n6 = 0; n6 <= kinds[kind].AtHand - n12; n6++)
                {
                    if (Try(kind + 1, [.. twelve, .. Enumerable.Repeat(kinds[kind].Pitch, n12)], [.. six, .. Enumerable.Repeat(kinds[kind].Pitch, n6)]))
                        return true;
                }
            }
            return false;
        }
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
