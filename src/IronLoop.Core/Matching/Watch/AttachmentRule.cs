using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>The rule <c>attachment</c>: how the watch takes a band against how the band attaches.</summary>
public static class AttachmentRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "attachment";

    /// <summary>Judges the pair.</summary>
    public static RuleVerdict Judge(WatchFacts watch, BandFacts band, HouseLimits? limits = null) => watch.Attachment switch
    {
        null => NotLookedAt(band),
        Attachment.SpringBarDrilled or Attachment.SpringBarBlind => SpringBar(band),
        Attachment.FixedBar => FixedBar(band),
        Attachment.ScrewBar => ScrewBar(watch, band, limits ?? HouseLimits.Usual),
        Attachment.ScrewSlot => ScrewSlot(band),
        Attachment.OwnShape => OwnShape(watch, band),
        _ => throw new ArgumentOutOfRangeException(nameof(watch), watch.Attachment, "Not an attachment."),
    };

    /// <summary>A watch nobody looked at is taken to have spring bars, as most have.</summary>
    private static RuleVerdict NotLookedAt(BandFacts band)
    {
        var usual = SpringBar(band);
        return usual with { Says = $"{usual.Says} Nobody looked yet: look at how it is held.", Open = Openness.Looked(OpenFigure.Attachment, Verdict.Fits, Verdict.No, usual.Verdict) };
    }

    private static RuleVerdict SpringBar(BandFacts band) => band.Attaches switch
    {
        BandAttachment.LooseBar => Say(Verdict.Fits, "Goes on with a pair of spring bars."),
        BandAttachment.QuickRelease => Say(Verdict.Fits, "Goes on with its own levered bars, no tool needed."),
        BandAttachment.PullThrough => Say(Verdict.Fits, "Is pulled through over the two bars, which stay in the lugs."),
        BandAttachment.OpenEnd => Say(Verdict.Fits, "Its open ends close round the bars."),
        _ => Say(Verdict.No, "Needs a screwed slot; this watch has spring bars."),
    };

    private static RuleVerdict FixedBar(BandFacts band) => band.Attaches switch
    {
        BandAttachment.PullThrough => Say(Verdict.Fits, "Is pulled through over the fixed bars."),
        BandAttachment.OpenEnd => Say(Verdict.Fits, "Its open ends close round the fixed bars."),
        _ => Say(Verdict.No, "The bars are fixed, so nothing that needs a bar of its own goes on."),
    };

    private static RuleVerdict ScrewBar(WatchFacts watch, BandFacts band, HouseLimits limits) => band.Attaches switch
    {
        BandAttachment.LooseBar => OwnBar(watch, band, limits),
        BandAttachment.QuickRelease => new RuleVerdict(Name, Verdict.Work, "Its sprung bar has to come out to make room for the watch’s screwed bar.",
            [new PieceOfWork(WorkKind.BarsOut, "Take the sprung bars out of the band", Reversible: true) { Tools = "fine fork", Minutes = 5, Caution = PieceOfWork.Bars }]),
        BandAttachment.PullThrough => Say(Verdict.Fits, "Is pulled through over the screwed bars."),
        BandAttachment.OpenEnd => Say(Verdict.Fits, "Its open ends close round the screwed bars."),
        _ => Say(Verdict.No, "Needs a screwed slot; this watch has screwed bars."),
    };

    /// <summary>The watch's own screwed bar has to go through the band's tube.</summary>
    private static RuleVerdict OwnBar(WatchFacts watch, BandFacts band, HouseLimits limits)
    {
        if (watch.OwnBar is not { } bar)
            return Say(Verdict.Unknown, "Measure the watch’s own screwed bar: the band’s tube has to let it through.");
        if (band.TubeBore is { } bore)
            return Through(bore);
        return OverRange.Judge(
            [new OpenRange(OpenFigure.TubeBore, "bore of the band’s tube", UsualRange.TubeBore(band.IsSoft, limits), MoreIsBetter: true)],
            (at, _) => at >= bar + limits[Limit.TubeRoom] ? Verdict.Fits : Verdict.Work, (at, _) => Through(at),
            verdict => verdict == Verdict.Fits ? $"the watch’s own {bar} bars go through" : $"it has to be {(band.IsSoft ? "pierced wider" : "opened")} for the watch’s own {bar} bars");

        RuleVerdict Through(Length at)
        {
            if (at >= bar + limits[Limit.TubeRoom])
                return Say(Verdict.Fits, $"The watch’s own {bar} bars go through its {at} tubes.");
            return new RuleVerdict(Name, Verdict.Work, $"The watch’s own {bar} bars do not go through its {at} tubes: {(band.IsSoft ? "they have to be pierced wider" : "they have to be opened")}.",
                [BarBoreRule.Open(band, bar, limits)]);
        }
    }

    private static RuleVerdict ScrewSlot(BandFacts band) => band.Attaches switch
    {
        BandAttachment.ScrewThrough => Say(Verdict.Fits, "Made to be screwed into the slot."),
        BandAttachment.LooseBar or BandAttachment.QuickRelease when band is { Material: BandMaterial.Leather, IsFirm: true } =>
            Say(Verdict.No, "The slot wants soft leather; this is firm."),
        BandAttachment.LooseBar or BandAttachment.QuickRelease when band.Material == BandMaterial.Leather =>
            new RuleVerdict(Name, Verdict.Work, "A soft leather end can be held by the slot’s screws, which pierce it.",
                [new PieceOfWork(WorkKind.Pierce, "Let the slot’s screws pierce the strap’s ends, then pull hard to test both", Reversible: false) { Tools = "fitting screwdriver, tweezers", Minutes = 20 }]),
        _ => Say(Verdict.No, "The slot holds only the maker’s own strap, or soft leather."),
    };

    private static RuleVerdict OwnShape(WatchFacts watch, BandFacts band)
    {
        if (band.Attaches is BandAttachment.PullThrough or BandAttachment.OpenEnd)
            return Say(Verdict.No, "The case has a shape of its own; only a band made for it goes on.");
        if (string.IsNullOrWhiteSpace(watch.Family))
            return string.IsNullOrWhiteSpace(band.Family)
                ? Say(Verdict.No, "The case has a shape of its own and this band is made for none; ask the maker.")
                : Say(Verdict.Unknown, "Find the maker’s family code of the case first.");
        return string.Equals(watch.Family, band.Family, StringComparison.OrdinalIgnoreCase)
            ? Say(Verdict.Fits, $"Made for this case, family {watch.Family}.")
            : Say(Verdict.No, $"Made for {(string.IsNullOrWhiteSpace(band.Family) ? "no such case" : $"family {band.Family}")}, not {watch.Family}; ask the maker.");
    }

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}
