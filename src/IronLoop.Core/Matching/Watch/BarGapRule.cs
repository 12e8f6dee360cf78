using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>
/// The rule <c>bar-gap</c>: whether the band's end, round the bar, finds room between bar and case. It applies to spring,
/// fixed and screwed bars.
/// </summary>
public static class BarGapRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "bar-gap";

    /// <summary>Judges the room at the bar.</summary>
    /// <returns>Null when the watch has no bar, or the band none to go round.</returns>
    public static RuleVerdict? Judge(WatchFacts watch, BandFacts band, HouseLimits limits)
    {
        if (watch.Attachment is null or Attachment.ScrewSlot or Attachment.OwnShape || band.Attaches == BandAttachment.ScrewThrough)
            return null;
        var isPulled = band.Attaches == BandAttachment.PullThrough;
        if (watch.BarGap is not { } gap)
            return Say(Verdict.Unknown, "Measure the bar gap.");
        if ((isPulled ? band.LayerThickness ?? band.EndThickness : band.EndThickness) is not { } thickness)
            return Say(Verdict.Unknown, isPulled ? "Measure the thickness of one layer of the band." : "Measure the thickness of the band’s end.");
        var judged = isPulled ? PulledThrough(gap, thickness, watch.OwnBar ?? limits[Limit.UsualBar]) : RoundTheBar(gap, thickness, limits);
        return judged with { Figure = $"{thickness} at {gap}" };
    }

    private static RuleVerdict PulledThrough(Length gap, Length layer, Length bar) =>
        2 * layer <= 2 * gap - bar
            ? Say(Verdict.Fits, $"One layer of {layer} passes between bar and case, {gap} from the bar’s centre.")
            : Say(Verdict.No, $"One layer of {layer} does not pass between a {bar} bar and the case, {gap} from the bar’s centre.");

    /// <summary>Twice the lengths are compared, so that half a thickness stays whole.</summary>
    private static RuleVerdict RoundTheBar(Length gap, Length end, HouseLimits limits)
    {
        var wants = end + 2 * limits[Limit.EndRoom];
        if (wants <= 2 * gap)
            return Say(Verdict.Fits, $"A {end} end has room in a bar gap of {gap}.");
        if (wants <= 2 * (gap + limits[Limit.CurvedBar]))
        {
            return new RuleVerdict(Name, Verdict.Work, $"A {end} end is too thick for a bar gap of {gap}; a curved bar makes room.",
                [new PieceOfWork(WorkKind.CurvedBar, "Fit a curved bar", Reversible: true) { Tools = "curved spring bars, fine fork", Minutes = 5, Caution = PieceOfWork.Bars }]);
        }
        return Say(Verdict.No, $"A {end} end is too thick for a bar gap of {gap}, even on a curved bar.");
    }

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}
