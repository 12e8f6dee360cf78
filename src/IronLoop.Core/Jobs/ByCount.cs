using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>What is known of a bracelet whose links are told by their count, as far as figures come: nothing waits for them.</summary>
/// <param name="Shorter">What the loop loses; below nought where it gains. Null while the pitch is not known.</param>
/// <param name="TowardSix">How far the clasp goes toward 6, from where it was; below nought toward 12. Null while the pitch is not known.</param>
/// <param name="Ease">How much longer the loop is then than the wrist needs, in millimetres; null while length or need is not known.</param>
/// <param name="Chance">That it is right then, of 1; null while ease or wear is not known.</param>
public sealed record ByCount(Length? Shorter, Length? TowardSix, double? Ease, double? Chance)
{
    /// <summary>The figures of a job; null where its links are not told by count.</summary>
    public static ByCount? Of(JobSnapshot job)
    {
        if (job.Work is not HandWork.ByCount { Out: var links })
            return null;
        var figures = job.Figures;
        if (figures[GaugedFigure.LinkPitch] is not { } pitch)
            return new ByCount(null, null, null, null);
        var shorter = pitch * (links.Twelve + links.Six);
        // Off-centre is half of what the 12 side is longer (fit model, section 3).
        var toward = (pitch * (links.Six - links.Twelve)).Half();
        if ((figures.TriedOn?.Loop ?? figures.Bracelet?.LengthNow(figures)) is not { } now || figures.Need(job.PivotHeight) is not { } need)
            return new ByCount(shorter, toward, null, null);
        var after = now - shorter;
        return new ByCount(
            shorter, toward, after.ApproximateMillimetres - need.Needed, figures.Wear is { } wear ? FirstTimeChance.Of(need, [after], Wear.Of(wear)) : null);
    }

    /// <summary>The same in words.</summary>
    public string Says
    {
        get
        {
            if (Shorter is not { } shorter || TowardSix is not { } toward)
                return "Told by count. With the pitch of a link: what the loop loses, and where the clasp goes.";
            var loop = shorter == Length.Zero ? "The loop stays as long as it is" : $"The loop {(shorter > Length.Zero ? "loses" : "gains")} {shorter.Abs().ToTenths()}";
            var clasp = toward == Length.Zero ? "the clasp stays where it is" : $"the clasp goes {toward.Abs().ToTenths()} toward {(toward > Length.Zero ? "6" : "12")}";
            var ease = Ease is not { } over ? "" : over >= 0 ? $" It is {Length.Nearest(over).ToTenths()} longer then than the wrist needs." : $" It is {Length.Nearest(-over).ToTenths()} too short for the wrist then.";
            var chance = Chance is { } of ? $" The chance that it is right the first time is {Percent(of)}." : "";
            return $"{loop}; {clasp}.{ease}{chance}";
        }
    }

    private static string Percent(double of) => of switch
    {
        < 0.01 => "under 1 %",
        > 0.99 => "over 99 %",
        _ => string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{100 * of:0} %"),
    };
}
