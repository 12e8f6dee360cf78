using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Gauging;

/// <summary>What of a watch stays as it is, and which of the figures read are questioned.</summary>
public static class GaugeSheet
{
    /// <summary>Whether the owner's own bracelet is worked on, so that its links are wanted.</summary>
    public static bool IsSizing(Request request) => request is Request.TakeLinksOut or Request.PutLinksIn or Request.Refit;

    /// <summary>Whether the owner's own band stays on the watch.</summary>
    public static bool KeepsBand(Request request) =>
        IsSizing(request) || request is Request.ReplaceClasp or Request.PositionOnly or Request.ReplacePart or Request.OffAndOn;

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
        if (figures.Book.TryGetValue(figure, out var book) && book.Disagrees(readings.Mean))
            return $"The model book has {book.Mean.ToHundredths()} here, {book.Says}: another edition, or a changed piece? Read it again, or say that it is so.";
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
