using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Shelf;

/// <summary>Brings a job's figures and its band together for the planner and the drawing.</summary>
public static class Sizing
{
    /// <summary>The planner's request for a bracelet, with the house's centring and reserve.</summary>
    /// <param name="band">The bracelet.</param>
    /// <param name="target">The length wanted.</param>
    /// <param name="habits">How the client wears it; centred when null.</param>
    /// <exception cref="InvalidOperationException">The band is no link bracelet.</exception>
    public static PlanRequest Request(Band band, FitTarget target, Habits? habits = null) =>
        band is { Links: { } links, Clasp: { } clasp }
            ? new PlanRequest(links, band.Spares, clasp, target, PlanRequest.HouseCentring with { Desired = habits?.OffCentre ?? Length.Zero }, PlanRequest.HouseReserve)
            {
                Odd = habits?.Odd ?? OddLink.AsComputed,
            }
            : throw new InvalidOperationException("Only a link bracelet is planned link by link.");

    /// <summary>The closed loop of a bracelet, to scale.</summary>
    /// <returns>Null when a figure is missing or the model does not hold.</returns>
    public static LoopDrawing? Draw(Figures figures, Band band, Arrangement arrangement)
    {
        if (band.Clasp is not { } clasp)
            return null;
        var micro = clasp.Tighter(arrangement.Position);
        var pieces = new List<LoopPiece>();
        Row(Side.Twelve, pieces, arrangement);
        pieces.Add(new LoopPiece(PieceKind.Clasp, clasp.MicroSide, 0, clasp.Twelve + clasp.Six + micro));
        var six = new List<LoopPiece>();
        Row(Side.Six, six, arrangement);
        six.Reverse();
        pieces.AddRange(six);
        return Draw(figures, band.PivotHeight, pieces, arrangement.Half(Side.Twelve, clasp));
    }

    /// <summary>The closed loop of a band in a hole or notch, to scale.</summary>
    /// <returns>Null when a figure is missing or the model does not hold.</returns>
    public static LoopDrawing? Draw(Figures figures, Band band, StrapFit fit)
    {
        // A strap's buckle sits where its pieces meet; what slides on its head or locks anywhere is drawn in the middle.
        var before = band.Strap?.BucklePiece ?? fit.Length.Half();
        return Draw(
            figures,
            band.PivotHeight,
            [new LoopPiece(PieceKind.Strap, Side.Twelve, 0, before), new LoopPiece(PieceKind.Strap, Side.Six, 0, fit.Length - before)],
            before);
    }

    /// <summary>Wrist and head alone, before a band is chosen.</summary>
    /// <returns>Null when a figure is missing or the model does not hold.</returns>
    public static LoopDrawing? DrawBare(Figures figures, Length pivotHeight)
    {
        if (figures.Target(pivotHeight) is not { } target)
            return null;
        var half = target.Length.Half();
        return Draw(figures, pivotHeight,
            [new LoopPiece(PieceKind.Strap, Side.Twelve, 0, half), new LoopPiece(PieceKind.Strap, Side.Six, 0, target.Length - half)], half);
    }

    private static LoopDrawing? Draw(Figures figures, Length pivotHeight, IReadOnlyList<LoopPiece> pieces, Length beforeCentre) =>
        figures.Head is { } head && figures.WristToDraw(pivotHeight) is { } wrist
            ? LoopDrawing.Of(wrist, head, pivotHeight, pieces, beforeCentre)
            : null;

    private static void Row(Side side, List<LoopPiece> pieces, Arrangement arrangement)
    {
        var row = arrangement.On(side);
        for (var i = 0; i < row.Count; i++)
            if (row[i].InLoop)
                pieces.Add(new LoopPiece(PieceKind.Link, side, i, row[i].Pitch));
    }
}
