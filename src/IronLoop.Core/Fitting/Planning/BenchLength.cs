using System.Globalization;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// The whole bracelet measured along the bench, clasp closed over its links' pivots, against what its sheet adds up to:
/// an entry that was miscounted is found before it is planned with.
/// </summary>
public static class BenchLength
{
    /// <summary>A difference up to this is the tape's own (house rule).</summary>
    public static readonly Length Tolerance = Length.FromMillimetres(1.5m);

    /// <summary>How near a cause must come to explain the difference.</summary>
    private const double Near = 0.8;

    /// <summary>What the sheet adds up to, at the micro position it stands in.</summary>
    public static Length Of(Bracelet bracelet, BraceletClasp clasp)
    {
        var sum = clasp.Twelve + clasp.Six + clasp.Tighter(clasp.Position);
        foreach (var link in bracelet.Twelve.Concat(bracelet.Six))
            sum += link.Pitch;
        return sum;
    }

    /// <summary>What the difference is and its likeliest cause; null when there is none to speak of.</summary>
    /// <param name="bracelet">The links as entered.</param>
    /// <param name="clasp">The clasp as entered.</param>
    /// <param name="measured">Length along the bench.</param>
    public static string? Question(Bracelet bracelet, BraceletClasp clasp, Length measured)
    {
        var entered = Of(bracelet, clasp);
        var difference = measured - entered;
        if (difference.Abs() <= Tolerance)
            return null;
        var cause = Causes(bracelet, clasp, difference)
            .Where(c => c.Off <= Near)
            .OrderBy(c => c.Off + c.Doubt)
            .Select(c => c.Says)
            .FirstOrDefault("no single slip explains it: count the links of both sides and measure again");
        return $"{measured.ToTenths()} along the bench, but the sheet adds up to {entered.ToTenths()}, {difference.Abs().ToTenths()} "
            + $"{(difference > Length.Zero ? "less" : "more")}: {cause}.";
    }

    /// <summary>The slips that happen, each with how far it is from explaining the difference and how rare it is.</summary>
    private static IEnumerable<(double Off, double Doubt, string Says)> Causes(Bracelet bracelet, BraceletClasp clasp, Length difference)
    {
        double Off(Length effect) => Math.Abs((difference - effect).ApproximateMillimetres);
        var links = bracelet.Twelve.Concat(bracelet.Six).ToList();
        var isLonger = difference > Length.Zero;
        var pitches = links.Select(l => l.Pitch).Distinct().ToList();
        foreach (var pitch in pitches)
        {
            foreach (var entered in pitches.Where(p => p != pitch))
                yield return (Off(pitch - entered), 0.25, $"most likely a link of {pitch} was entered as one of {entered}");
            for (var missed = 1; missed <= 2; missed++)
            {
                yield return (Off(isLonger ? pitch * missed : -(pitch * missed)), missed * 0.2,
                    $"most likely {(missed == 1 ? $"a link of {pitch} was" : $"two links of {pitch} were")} {(isLonger ? "left out" : "counted too much")}");
            }
        }
        for (var position = 0; position < Math.Min(clasp.Positions, 20); position++)
        {
            if (position != clasp.Position)
            {
                yield return (Off(clasp.Tighter(position) - clasp.Tighter(clasp.Position)), 0.3,
                    $"most likely the micro-adjust stands in position {position + 1}, not {clasp.Position + 1}");
            }
        }
        yield return (Off(-(clasp.Twelve + clasp.Six + clasp.Tighter(clasp.Position))), 0.1, "most likely the clasp was not measured along");
        if (links.Count > 0)
        {
            var each = difference.ApproximateMillimetres / links.Count;
            if (Math.Abs(each) <= 0.3)
            {
                yield return (0, 0.6, string.Create(CultureInfo.InvariantCulture,
                    $"most likely the link pitch is {Math.Abs(each):0.00} mm {(isLonger ? "too small" : "too large")} on each of {links.Count} links; gauge it over five links"));
            }
        }
    }
}
