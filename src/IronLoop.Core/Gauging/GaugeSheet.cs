using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Gauging;

/// <summary>Which figures a job needs, and which of those read are questioned.</summary>
public static class GaugeSheet
{
    /// <summary>Whether a band is to be found for the lugs: else the band on the watch stays, and fits already.</summary>
    public static bool NeedsLugWidth(Request request) => !IsSizing(request) && request != Request.ReplaceClasp;

    /// <summary>Whether the owner's own bracelet is worked on, so that its links are wanted.</summary>
    public static bool IsSizing(Request request) => request is Request.TakeLinksOut or Request.PutLinksIn or Request.Refit;

    /// <summary>Whether the owner's own band stays on the watch.</summary>
    public static bool KeepsBand(Request request) => IsSizing(request) || request == Request.ReplaceClasp;

    /// <summary>The figures this job needs, in the order the tool is moved.</summary>
    /// <param name="request">What is asked for.</param>
    /// <param name="attachment">How the watch takes a band; what hangs on it is not asked before it is known.</param>
    public static IReadOnlyList<GaugedFigure> Wanted(Request request, Attachment? attachment)
    {
        var newBand = !KeepsBand(request);
        var onBar = attachment is Attachment.SpringBarDrilled or Attachment.SpringBarBlind or Attachment.FixedBar or Attachment.ScrewBar;
        bool Want(GaugedFigure figure) => figure switch
        {
            GaugedFigure.LugToLug or GaugedFigure.BarToBar or GaugedFigure.BarRise or GaugedFigure.Wrist => true,
            GaugedFigure.LugWidth or GaugedFigure.CaseHeight => newBand,
            GaugedFigure.BarGap => newBand && onBar,
            GaugedFigure.LugHole => newBand && attachment is Attachment.SpringBarDrilled or Attachment.SpringBarBlind,
            GaugedFigure.OwnBar => newBand && attachment is Attachment.ScrewBar,
            GaugedFigure.SlotHeight => newBand && attachment is Attachment.ScrewSlot,
            GaugedFigure.BandWidth or GaugedFigure.BandThickness or GaugedFigure.ClaspEnd or GaugedFigure.LinkPitch => KeepsBand(request),
            _ => false,
        };
        return [.. FigureKind.All.Select(k => k.Figure).Where(Want)];
    }

    /// <summary>
    /// Why a figure is questioned: it is unusual, its readings lie apart, or it does not go with another; null when it is not.
    /// </summary>
    public static string? Question(Figures figures, GaugedFigure figure)
    {
        if (figures.Stands?.Contains(figure) == true || !figures.Read.TryGetValue(figure, out var readings))
            return null;
        var kind = FigureKind.For(figure);
        if (readings.Spread > Readings.UsualSpread)
            return $"The readings lie {readings.Spread} apart, more than {Readings.UsualSpread}: read it again, or drop the wrong one.";
        if (!kind.Usual.Holds(readings.Mean))
            return $"{readings.Mean} is unusual for {(kind.Name[0] is 'a' or 'e' or 'i' or 'o' ? "an" : "a")} {kind.Name}; usual is {kind.Usual}. Read it again, or say that it is so.";
        return figure switch
        {
            GaugedFigure.BarToBar when figures.LugToLug is { } tips && readings.Mean > tips =>
                $"The bars would be further apart than the lug tips, {tips}. Read one of the two again.",
            GaugedFigure.WristDepth or GaugedFigure.WristWidth when figures.AspectRead is { } aspect && !FitRanges.Aspect.Holds(aspect) =>
                string.Create(System.Globalization.CultureInfo.InvariantCulture,
                    $"Width over depth would be {aspect:0.00}; a wrist has {FitRanges.Aspect}. Until it is read again {NeededLength.AssumedAspect} is assumed."),
            _ => null,
        };
    }

    /// <summary>All figures that are questioned.</summary>
    public static IReadOnlyList<GaugedFigure> Questioned(Figures figures) =>
        [.. figures.Read.Keys.Order().Where(f => Question(figures, f) is not null)];
}
