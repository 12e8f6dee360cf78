using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>What is known of a bracelet whose links are told by their count, as far as figures come: nothing waits for them.</summary>
/// <param name="Shorter">What the loop loses; below nought where it gains. Null while the pitch is not known.</param>
/// <param name="TowardSix">How far the clasp goes toward 6, from where it was; below nought toward 12. Null while the pitch is not known.</param>
/// <param name="TwiceOffCentre">Twice where the clasp's centre sits then past the lowest point, positive toward 6; null while rows or the clasp's halves are not known.</param>
/// <param name="Reserve">What its micro-adjust leaves to tighten and to loosen; null while the clasp is not known, or has none.</param>
/// <param name="Ease">How much longer the loop is then than the wrist needs, in millimetres; null while length or need is not known.</param>
/// <param name="Chance">That it is right then, of 1; null while ease or wear is not known.</param>
public sealed record ByCount(Length? Shorter, Length? TowardSix, Length? TwiceOffCentre, (Length Tighter, Length Looser)? Reserve, double? Ease, double? Chance)
{
    /// <summary>The figures of a job; null where its links are not told by count.</summary>
    public static ByCount? Of(JobSnapshot job)
    {
        if (job.Work is not HandWork.ByCount { Out: var links })
            return null;
        var figures = job.Figures;
        if (figures[GaugedFigure.LinkPitch] is not { } pitch)
            return new ByCount(null, null, null, null, null, null);
        var shorter = pitch * (links.Twelve + links.Six);
        // Off-centre is half of what the 12 side is longer (fit model, section 3).
        var toward = (pitch * (links.Six - links.Twelve)).Half();
        if ((figures.TriedOn?.Loop ?? figures.Bracelet?.LengthNow(figures)) is not { } now || figures.Need(job.PivotHeight) is not { } need)
            return new ByCount(shorter, toward, TwiceOff(figures, links, pitch), ReserveOf(figures), null, null);
        var after = now - shorter;
        return new ByCount(
            shorter, toward, TwiceOff(figures, links, pitch), ReserveOf(figures), after.ApproximateMillimetres - need.Needed, figures.Wear is { } wear ? FirstTimeChance.Of(need, [after], Wear.Of(wear)) : null);
    }

    /// <summary>A12 − A6 of what is left of the rows (fit model, section 3).</summary>
    private static Length? TwiceOff(Figures figures, Counted links, Length pitch)
    {
        if (figures.Bracelet is not { Clasp: { } clasp } own || own.Rows(figures) is not { Twelve.Count: > 0, Six.Count: > 0 } rows)
            return null;
        Length Half(Side side) => clasp.Half(side, rows.On(side).Aggregate(Length.Zero, (sum, link) => sum + link.Pitch) - pitch * links.On(side), clasp.Position);
        return Half(Side.Twelve) - Half(Side.Six);
    }

    private static (Length Tighter, Length Looser)? ReserveOf(Figures figures) =>
        figures.Bracelet?.Clasp is { Positions: > 1 } clasp ? (clasp.Tighter(clasp.Position), clasp.Looser(clasp.Position)) : null;

    /// <summary>The same in words.</summary>
    public string Says
    {
        get
        {
            if (Shorter is not { } shorter || TowardSix is not { } toward)
                return "Told by count. With the pitch of a link: what the loop loses, and where the clasp goes.";
            var loop = shorter == Length.Zero ? "The loop stays as long as it is" : $"The loop {(shorter > Length.Zero ? "loses" : "gains")} {shorter.Abs().ToTenths()}";
            var clasp = toward == Length.Zero ? "the clasp stays where it is" : $"the clasp goes {toward.Abs().ToTenths()} toward {(toward > Length.Zero ? "6" : "12")}";
            var centre = TwiceOffCentre is not { } twice ? "" : twice.Abs().Half() < Shown ? " Its centre sits in the middle then." : $" Its centre sits {twice.Abs().Half().ToTenths()} toward {(twice > Length.Zero ? "6" : "12")} then.";
            var reserve = Reserve is var (tighter, looser) ? $" Its micro-adjust leaves {tighter.ToTenths()} to tighten and {looser.ToTenths()} to loosen." : "";
            var ease = Ease is not { } over ? "" : over >= 0 ? $" It is {Length.Nearest(over).ToTenths()} longer then than the wrist needs." : $" It is {Length.Nearest(-over).ToTenths()} too short for the wrist then.";
            var chance = Chance is { } of ? $" The chance that it is right the first time is {Percent(of)}." : "";
            return $"{loop}; {clasp}.{centre}{reserve}{ease}{chance}";
        }
    }

    // What is printed as 0.0 is the middle.
    private static Length Shown => Length.FromMillimetres(0.05m);

    private static string Percent(double of) => of switch
    {
        < 0.01 => "under 1 %",
        > 0.99 => "over 99 %",
        _ => string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{100 * of:0} %"),
    };
}
