using System.Globalization;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>What an ease comes to on this wearer.</summary>
public enum Temper
{
    /// <summary>Less ease than the wear window.</summary>
    Tight,

    /// <summary>Inside the wear window.</summary>
    Right,

    /// <summary>More ease than the wear window.</summary>
    Loose,
}

/// <summary>A quantity that has a window: what it is now and where it should lie.</summary>
/// <param name="Millimetres">What it is.</param>
/// <param name="From">Lower end of the window; null when it is shown, not judged.</param>
/// <param name="To">Upper end of the window; null when more is always as good.</param>
/// <param name="Text">What it is, in words with the unit.</param>
/// <param name="Inches">The same in inches.</param>
public sealed record Ruler(decimal Millimetres, decimal? From, decimal? To, string Text, string Inches)
{
    /// <summary>Whether it lies in its window, or has none.</summary>
    public bool Inside => (From is not { } from || Millimetres >= from) && (To is not { } to || Millimetres <= to);

    /// <summary>A ruler for a length.</summary>
    public static Ruler Of(Length length, Length from, Length? to) =>
        new(length.Millimetres, from.Millimetres, to?.Millimetres, length.ToTenths(), length.ToInches());
}

/// <summary>The four rulers that tell the whole fit.</summary>
/// <param name="Ease">How loose it is worn.</param>
/// <param name="Temper">Tight, right or loose.</param>
/// <param name="OffCentre">How far the clasp sits past the lowest point, positive toward the 6 side; null where that is not known.</param>
/// <param name="Tighter">Left to tighten.</param>
/// <param name="Looser">Left to loosen.</param>
public sealed record FitRulers(Ruler Ease, Temper Temper, Ruler? OffCentre, Ruler Tighter, Ruler Looser)
{
    /// <summary>The rulers of a bracelet.</summary>
    /// <param name="figures">What the arrangement comes to.</param>
    /// <param name="request">What was wanted.</param>
    /// <param name="needed">Length at zero ease, in millimetres.</param>
    /// <param name="wear">The wear window.</param>
    public static FitRulers Of(PlanFigures figures, PlanRequest request, double needed, Wear wear) =>
        Of(
            figures.Length - Length.Nearest(needed),
            wear,
            figures.TwiceOffCentre,
            (request.Centring.Desired - request.Centring.Tolerance, request.Centring.Desired + request.Centring.Tolerance),
            Ruler.Of(figures.Tighter, request.Reserve.Tighter, null),
            Ruler.Of(figures.Looser, request.Reserve.Looser, null));

    /// <summary>The rulers of a strap: one hole is wanted each way; where the buckle sits is shown, not judged.</summary>
    /// <param name="fit">The strap closed in a hole.</param>
    /// <param name="strap">The strap.</param>
    /// <param name="needed">Length at zero ease, in millimetres.</param>
    /// <param name="wear">The wear window.</param>
    public static FitRulers Of(StrapFit fit, HoledBand strap, double needed, Wear wear) =>
        Of(
            fit.Length - Length.Nearest(needed),
            wear,
            fit.TwiceOffCentre,
            null,
            Ruler.Of(fit.Tighter, strap.Step, null),
            Ruler.Of(fit.Looser, strap.Step, null));

    private static FitRulers Of(
        Length ease, Wear wear, Length? twiceOffCentre, (Length From, Length To)? centre, Ruler tighter, Ruler looser)
    {
        var temper = ease < wear.Least ? Temper.Tight : ease > wear.Most ? Temper.Loose : Temper.Right;
        return new FitRulers(Ruler.Of(ease, wear.Least, wear.Most), temper, twiceOffCentre is { } twice ? OffBy(twice.Millimetres / 2, centre) : null, tighter, looser);
    }

    private static Ruler OffBy(decimal offCentre, (Length From, Length To)? centre)
    {
        var away = Math.Round(Math.Abs(offCentre), 1, MidpointRounding.AwayFromZero);
        var side = away == 0 ? "" : offCentre > 0 ? " to 6" : " to 12";
        return new Ruler(
            offCentre,
            centre?.From.Millimetres,
            centre?.To.Millimetres,
            string.Create(CultureInfo.InvariantCulture, $"{away:0.0} mm{side}"),
            string.Create(CultureInfo.InvariantCulture, $"{Math.Abs(offCentre) / Length.MillimetresPerInch:0.00} in"));
    }
}
