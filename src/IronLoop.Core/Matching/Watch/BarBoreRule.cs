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
        if (stock is null || !watch.MayHaveSpringBars || band.Attaches != BandAttachment.LooseBar || watch.LugWidth is not { } lugs)
            return null;
        var right = SpringBarChoice.OfLength(stock, lugs, limits).ToList();
        var open = new List<OpenRange>(2);
        if (watch.LugHole is null)
            open.Add(new OpenRange(OpenFigure.LugHole, "lug hole", UsualRange.LugHole(limits), MoreIsBetter: true));
        if (band.TubeBore is null)
            open.Add(new OpenRange(OpenFigure.TubeBore, "bore of the band’s tube", UsualRange.TubeBore(band.IsSoft, limits), MoreIsBetter: true));
        if (open.Count == 0)
            return Bars(watch.LugHole!.Value, band.TubeBore!.Value);
        return OverRange.Judge(open, (a, b) => Find(Hole(a), Bore(a, b)), (a, b) => Bars(Hole(a), Bore(a, b)), verdict => verdict switch
        {
            Verdict.Fits => "a bar in stock is right for it",
            Verdict.Work => $"its tube has to be {(band.IsSoft ? "pierced wider" : "opened")} for a bar in stock",
            _ => "no bar in stock is right for it",
        });

        Length Hole(Length first) => watch.LugHole ?? first;
        Length Bore(Length first, Length second) => band.TubeBore ?? (watch.LugHole is null ? second : first);

        Verdict Find(Length hole, Length bore)
        {
            var found = Verdict.No;
            foreach (var bar in right)
            {
                if (!SpringBarChoice.GoesIn(bar, hole, limits))
                    continue;
                if (bar.Body + limits[Limit.TubeRoom] <= bore)
                    return Verdict.Fits;
                found = Verdict.Work;
            }
            return found;
        }

        RuleVerdict Bars(Length hole, Length bore)
        {
            var forLugs = right.FindAll(b => SpringBarChoice.GoesIn(b, hole, limits));
            if (forLugs.Count == 0)
                return Say(Verdict.No, $"No bar in stock is right for {lugs} lugs with {hole} holes.");
            if (SpringBarChoice.Choose(right, Wish(watch, band, lugs, hole, bore, limits), limits) is { } chosen)
                return Say(Verdict.Fits, $"Bar {chosen.Says}.") with { Figure = chosen.Article };
            var thinnest = forLugs.MinBy(b => b.Body)!;
            return new RuleVerdict(Name, Verdict.Work,
                $"The thinnest bar for these lugs, {thinnest.Article}, has {thinnest.Body}; the band’s tube has {bore}.", [Open(band, thinnest.Body, limits)]);
        }
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
