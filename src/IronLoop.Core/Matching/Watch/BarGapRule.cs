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

    /// <summary>Judges the room at the bar. What nobody read is asked over what it usually is.</summary>
    /// <returns>Null when the watch has no bar, the band none to go round, or its end was made for one case: then the shape decides.</returns>
    public static RuleVerdict? Judge(WatchFacts watch, BandFacts band, HouseLimits limits)
    {
        if (watch.Attachment is Attachment.ScrewSlot or Attachment.OwnShape || band.Attaches == BandAttachment.ScrewThrough || band.End == BandEnd.Fitted)
            return null;
        var isPulled = band.Attaches == BandAttachment.PullThrough;
        var bar = watch.OwnBar ?? limits[Limit.UsualBar];
        // A straight end of a link bracelet whose bore was gauged says itself how near the case it comes.
        var toFace = !isPulled && band is { Kind: BandKind.LinkBracelet, End: BandEnd.Straight } ? band.BoreToFace : null;
        var thickness = toFace ?? (isPulled ? band.LayerThickness ?? band.EndThickness : band.EndThickness);
        var open = new List<OpenRange>(2);
        if (watch.BarGap is null)
            open.Add(new OpenRange(OpenFigure.BarGap, "bar gap", UsualRange.BarGap(watch.Height, limits), MoreIsBetter: true));
        if (thickness is null)
        {
            open.Add(isPulled ? new OpenRange(OpenFigure.LayerThickness, "thickness of one layer", UsualRange.Layer(band.Material, limits), MoreIsBetter: false)
                : new OpenRange(OpenFigure.EndThickness, "thickness of the band’s end", UsualRange.EndThickness(band.IsSoft, limits), MoreIsBetter: false));
        }
        if (open.Count == 0)
            return Say(watch.BarGap!.Value, thickness!.Value) with { Figure = $"{thickness} at {watch.BarGap}" };
        return OverRange.Judge(open, (a, b) => Find(Gap(a), Thick(a, b)), (a, b) => Say(Gap(a), Thick(a, b)), verdict => verdict switch
        {
            Verdict.Fits => isPulled ? "one layer passes beside the bar" : "its end has room",
            Verdict.Work => "it takes a curved bar",
            _ => isPulled ? "no layer passes beside the bar" : "it does not go on",
        });

        Length Gap(Length first) => watch.BarGap ?? first;
        Length Thick(Length first, Length second) => thickness ?? (watch.BarGap is null ? second : first);
        Verdict Find(Length gap, Length thick) => toFace is not null ? Faces(gap, thick, limits) : isPulled ? PulledThrough(gap, thick, bar) : RoundTheBar(gap, thick, limits);
        RuleVerdict Say(Length gap, Length thick) => SayOf(Find(gap, thick), gap, thick, isPulled ? bar : null, toFace is not null);
    }

    private static Verdict PulledThrough(Length gap, Length layer, Length bar) => 2 * layer <= 2 * gap - bar ? Verdict.Fits : Verdict.No;

    private static Verdict Faces(Length gap, Length toFace, HouseLimits limits) => toFace + limits[Limit.EndRoom] <= gap ? Verdict.Fits : Verdict.No;

    /// <summary>Twice the lengths are compared, so that half a thickness stays whole.</summary>
    private static Verdict RoundTheBar(Length gap, Length end, HouseLimits limits)
    {
        var wants = end + 2 * limits[Limit.EndRoom];
        return wants <= 2 * gap ? Verdict.Fits : wants <= 2 * (gap + limits[Limit.CurvedBar]) ? Verdict.Work : Verdict.No;
    }

    private static RuleVerdict SayOf(Verdict verdict, Length gap, Length thick, Length? pulledOver, bool isFace)
    {
        if (pulledOver is { } bar)
        {
            return new RuleVerdict(Name, verdict, verdict == Verdict.Fits ? $"One layer of {thick} passes between bar and case, {gap} from the bar’s centre."
                : $"One layer of {thick} does not pass between a {bar} bar and the case, {gap} from the bar’s centre.");
        }
        if (isFace)
            return new RuleVerdict(Name, verdict, $"Its end reaches {thick} from the bar toward the case; {(verdict == Verdict.Fits ? "there is room" : "there is no room")} in a bar gap of {gap}.");
        return verdict switch
        {
            Verdict.Fits => new RuleVerdict(Name, verdict, $"A {thick} end has room in a bar gap of {gap}."),
            Verdict.Work => new RuleVerdict(Name, verdict, $"A {thick} end is too thick for a bar gap of {gap}; a curved bar makes room.",
                [new PieceOfWork(WorkKind.CurvedBar, "Fit a curved bar", Reversible: true) { Tools = "curved spring bars, fine fork", Minutes = 5, Caution = PieceOfWork.Bars }]),
            _ => new RuleVerdict(Name, verdict, $"A {thick} end is too thick for a bar gap of {gap}, even on a curved bar."),
        };
    }
}
