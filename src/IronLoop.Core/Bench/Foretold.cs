using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bench;

/// <summary>What should be felt at a try-on, said before it.</summary>
public static class Foretold
{
    /// <summary>Less than this nobody feels.</summary>
    private static readonly Length Felt = Length.FromMillimetres(0.5m);

    /// <summary>What a bracelet should feel like as it lies now.</summary>
    /// <param name="now">Its links as they lie.</param>
    /// <param name="comes">What that comes to.</param>
    /// <param name="target">The length wanted.</param>
    public static string Of(Arrangement now, PlanFigures comes, FitTarget target)
    {
        var over = comes.Length - target.Length;
        var pitch = now.Twelve.Concat(now.Six).Where(l => l.Fate != LinkFate.Fixed).GroupBy(l => l.Pitch).OrderByDescending(g => g.Count()).ThenBy(g => g.Key).Select(g => g.Key).FirstOrDefault();
        var links = pitch > Length.Zero ? (int)Math.Round(over.Abs().Micrometres / (double)pitch.Micrometres, MidpointRounding.AwayFromZero) : 0;
        var many = links == 0 ? "" : $"{(links == 1 ? "one link" : $"{links} links")}, ";
        var length = over.Abs() <= Felt ? "right" : $"{many}{over.Abs().ToTenths()}, too {(over > Length.Zero ? "long" : "short")} still";
        var off = comes.OffCentreMillimetres;
        var clasp = Math.Abs(off) < 1 ? "in its place" : string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{Math.Abs(off):0.0} mm toward {(off > 0 ? "6" : "12")}");
        return $"By the plan {length}; the clasp {clasp}.";
    }

    /// <summary>What a band closed by hand should feel like.</summary>
    /// <param name="holed">The band.</param>
    /// <param name="position">Where it is closed, 0 the tightest.</param>
    /// <param name="target">The length wanted.</param>
    public static string Of(HoledBand holed, int position, FitTarget target)
    {
        var over = holed.LengthIn(position) - target.Length;
        var length = over.Abs() <= Felt ? "right" : $"{over.Abs().ToTenths()} {(over > Length.Zero ? "looser" : "tighter")} than aimed at";
        var next = position > 0 && over > Felt ? $"; one tighter would be {(holed.LengthIn(position - 1) - target.Length).Abs().ToTenths()} {(holed.LengthIn(position - 1) < target.Length ? "tight" : "loose")}" : "";
        return $"By the plan {holed.Closed(position)}, {length}{next}.";
    }
}
