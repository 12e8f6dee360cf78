using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>
/// The rule <c>bar-bore</c>: whether a stocked spring bar of the right length goes through the band's tube and into the
/// lug hole. It applies to bands on loose bars between lugs with spring bars.
/// </summary>
public static class BarBoreRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "bar-bore";

    /// <summary>Judges the bars in stock.</summary>
    /// <param name="watch">The watch.</param>
    /// <param name="band">The band.</param>
    /// <param name="stock">The spring bars in stock; null when nothing is known of them.</param>
    /// <param name="limits">The house's limits.</param>
    /// <returns>Null when no bar has to be found.</returns>
    public static RuleVerdict? Judge(WatchFacts watch, BandFacts band, IReadOnlyList<SpringBar>? stock, HouseLimits limits)
    {
        if (stock is null || !watch.HasSpringBars || band.Attaches != BandAttachment.LooseBar || watch.LugWidth is not { } lugs)
            return null;
        if (watch.LugHole is not { } hole)
            return Say(Verdict.Unknown, "Measure the lug hole, so that a bar can be named.");
        var forLugs = SpringBarChoice.ForLugs(stock, lugs, hole, limits).ToList();
        if (forLugs.Count == 0)
            return Say(Verdict.No, $"No bar in stock is right for {lugs} lugs with {hole} holes.");
        if (band.TubeBore is not { } bore)
            return Say(Verdict.Unknown, "Measure the band’s tube, so that a bar can be named.");
        if (SpringBarChoice.Choose(stock, Wish(watch, band, lugs, hole, bore, limits), limits) is { } chosen)
            return Say(Verdict.Fits, $"Bar {chosen.Says}.") with { Figure = chosen.Article };
        var thinnest = forLugs.MinBy(b => b.Body)!;
        return new RuleVerdict(Name, Verdict.Work,
            $"The thinnest bar for these lugs, {thinnest.Article}, has {thinnest.Body}; the band’s tube has {bore}.", [Open(band, thinnest.Body, limits)]);
    }

    /// <summary>Opening a band's tube for a bar.</summary>
    public static PieceOfWork Open(BandFacts band, Length bar, HouseLimits limits) => band.IsSoft
        ? new PieceOfWork(WorkKind.Pierce, $"Pierce the strap’s ends wider for a {bar} bar", Reversible: true) { Tools = "awl, punch", Minutes = 10, Caution = PieceOfWork.Blades }
        : new PieceOfWork(WorkKind.Bore, $"Open the bore to {bar + limits[Limit.TubeRoom]}", Reversible: false) { Tools = "hand drill, pin vice", Minutes = 30, Caution = PieceOfWork.Filing };

    /// <summary>What bar the pair asks for: curved for a curved end or a narrow gap, flanged for blind lugs.</summary>
    public static BarWish Wish(WatchFacts watch, BandFacts band, Length lugs, Length hole, Length bore, HouseLimits limits) => new(
        lugs, hole, bore,
        band.End == BandEnd.Curved || BarGapRule.Judge(watch, band, limits)?.Verdict == Verdict.Work,
        watch.Attachment == Attachment.SpringBarBlind);

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}
