namespace IronLoop.Core.Matching;

/// <summary>The rule <c>end-shape</c>: a curved or fitted end against the case.</summary>
public static class EndShapeRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "end-shape";

    /// <summary>Judges the shapes.</summary>
    public static RuleVerdict Judge(WatchFacts watch, BandFacts band) => band.End switch
    {
        BandEnd.Straight => Say(Verdict.Fits, "A straight end goes on any case."),
        BandEnd.Curved => watch.CaseShape switch
        {
            null => Say(Verdict.Fits, "Its curved end follows a round case, as most are; look whether this one is straight between the lugs.") with
            {
                Open = Openness.Looked(OpenFigure.CaseShape, Verdict.Fits, Verdict.Compromise),
            },
            CaseShape.Round => Say(Verdict.Fits, "Its curved end follows the round case, on a curved bar."),
            _ => Say(Verdict.Compromise, "Its curved end leaves a gap at a case that is straight between the lugs."),
        },
        BandEnd.Fitted => string.IsNullOrWhiteSpace(watch.Family)
            ? string.IsNullOrWhiteSpace(band.Family)
                ? Say(Verdict.No, "Its end is fitted to some other case.")
                : Say(Verdict.Unknown, $"Its end is fitted to family {band.Family}; find the maker’s family code of the case.")
            : string.Equals(watch.Family, band.Family, StringComparison.OrdinalIgnoreCase)
                ? Say(Verdict.Fits, $"Its end is fitted to this case, family {watch.Family}.")
                : Say(Verdict.No, $"Its end is fitted to {(string.IsNullOrWhiteSpace(band.Family) ? "some other case" : $"family {band.Family}")}, not to {watch.Family}."),
        _ => throw new ArgumentOutOfRangeException(nameof(band), band.End, "Not an end."),
    };

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}
