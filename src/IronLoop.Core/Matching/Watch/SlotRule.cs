using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>The rule <c>slot</c>: the band's end against the height of a screwed slot.</summary>
public static class SlotRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "slot";

    /// <summary>Judges the thickness.</summary>
    /// <returns>Null when the watch has no screwed slot.</returns>
    public static RuleVerdict? Judge(WatchFacts watch, BandFacts band, HouseLimits limits)
    {
        if (watch.Attachment != Attachment.ScrewSlot)
            return null;
        if (watch.SlotHeight is not { } slot)
            return Say(Verdict.Unknown, "Measure the height of the slot.");
        if (band.EndThickness is { } end)
            return Into(end) with { Figure = $"{end} in {slot}" };
        return OverRange.Judge(
            [new OpenRange(OpenFigure.EndThickness, "thickness of the band’s end", UsualRange.SlotEnd(limits), MoreIsBetter: false)], (at, _) => Find(at), (at, _) => Into(at),
            verdict => verdict switch
            {
                Verdict.Fits => "it slides into the slot",
                Verdict.Work => "it has to be pressed flat for the slot",
                _ => "it does not go into the slot",
            });

        Verdict Find(Length at) => at <= slot ? Verdict.Fits
            : band.Material == BandMaterial.Leather && at <= slot + limits[Limit.SlotPress] ? Verdict.Work : Verdict.No;

        RuleVerdict Into(Length at) => Find(at) switch
        {
            Verdict.Fits => Say(Verdict.Fits, $"A {at} end slides into a {slot} slot."),
            Verdict.Work => new RuleVerdict(Name, Verdict.Work, $"A {at} end has to be pressed flat for a {slot} slot.",
                [new PieceOfWork(WorkKind.Press, $"Press the strap’s ends flat to {slot}", Reversible: false) { Tools = "smooth-jawed pliers", Minutes = 15 }]),
            _ => Say(Verdict.No, $"A {at} end does not go into a {slot} slot."),
        };
    }

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}
