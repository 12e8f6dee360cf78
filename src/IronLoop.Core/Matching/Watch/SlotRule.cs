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
        if (band.EndThickness is not { } end)
            return Say(Verdict.Unknown, "Measure the thickness of the band’s end.");
        return Judge(end, slot, band, limits) with { Figure = $"{end} in {slot}" };
    }

    private static RuleVerdict Judge(Length end, Length slot, BandFacts band, HouseLimits limits)
    {
        if (end <= slot)
            return Say(Verdict.Fits, $"A {end} end slides into a {slot} slot.");
        if (band.Material == BandMaterial.Leather && end <= slot + limits[Limit.SlotPress])
        {
            return new RuleVerdict(Name, Verdict.Work, $"A {end} end has to be pressed flat for a {slot} slot.",
                [new PieceOfWork(WorkKind.Press, $"Press the strap’s ends flat to {slot}", Reversible: false) { Tools = "smooth-jawed pliers", Minutes = 15 }]);
        }
        return Say(Verdict.No, $"A {end} end does not go into a {slot} slot.");
    }

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}
