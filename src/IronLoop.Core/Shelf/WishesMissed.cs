using IronLoop.Core.Bands;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Shelf;

/// <summary>What of a band wishes look at that are no rules: a band that does not meet them goes on all the same.</summary>
/// <param name="IsHeldTwice">Whether one bar or one closure that gives way does not lose the watch.</param>
/// <param name="IsStrap">Whether it is a strap of two pieces, which takes another's clasp.</param>
/// <param name="ClaspEnd">Its width at the clasp.</param>
/// <param name="IsSoft">Whether its end gives.</param>
public sealed record WishedOf(bool IsHeldTwice, bool IsStrap, Length? ClaspEnd, bool IsSoft)
{
    /// <summary>What they look at of a band.</summary>
    public static WishedOf Of(Band band) => new(
        band.Facts.Attaches == BandAttachment.PullThrough || band.HasFlap, band.Facts.Kind == BandKind.TwoPiece, band.ClaspEnd, band.Facts.IsSoft);

    /// <summary>The wishes it does not meet, in words.</summary>
    /// <param name="figures">What was gauged, with the wishes.</param>
    /// <param name="limits">The house's limits.</param>
    public IReadOnlyList<string> Missed(Figures figures, HouseLimits limits) =>
    [
        .. figures.Wishes.MustNotBeLost == true && !IsHeldTwice ? (string[])["It must not be lost; this one is neither under both bars nor closed twice."] : [],
        .. figures.Wishes.LetteringKept == true && !TakesTheMakersClasp(figures, limits) ? (string[])["The maker’s clasp is to be kept; that it goes on this band’s end is not known."] : [],
    ];

    private bool TakesTheMakersClasp(Figures figures, HouseLimits limits) =>
        IsStrap && ClaspWidthRule.Judge(
            new BandEndFacts(BandKind.TwoPiece, IsSoft ? BandMaterial.Leather : BandMaterial.Metal, ClaspEnd), new ClaspFacts(ClaspKind.PinBuckle, figures[GaugedFigure.ClaspInner]), limits)!
            .Verdict <= Verdict.Compromise;
}
