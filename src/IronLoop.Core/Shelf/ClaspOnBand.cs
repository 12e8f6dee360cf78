using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Shelf;

/// <summary>Puts a clasp on a band in place of its own, and works out what that does to the fit.</summary>
public static class ClaspOnBand
{
    /// <summary>The band with another clasp.</summary>
    /// <param name="band">The band with its own.</param>
    /// <param name="name">What the other is called.</param>
    /// <param name="clasp">The other.</param>
    /// <returns>A link bracelet keeps its own half lengths while the other's were not measured.</returns>
    public static Band With(Band band, string name, StockedClasp clasp) => band.ClosedWith(name, clasp.Facts.Kind, clasp.Loop, clasp.Adds);

    /// <summary>What a band with its clasp comes to on a wrist.</summary>
    /// <param name="band">The band.</param>
    /// <param name="target">The length wanted.</param>
    /// <param name="bareHead">The head, not raised; only a pull-through band needs it.</param>
    /// <param name="habits">How the client wears it.</param>
    /// <returns>Null for a pull-through band while the head is unknown.</returns>
    public static ClaspEffect? Effect(Band band, FitTarget target, Head? bareHead, Habits? habits = null)
    {
        if (band is { Links: not null, Clasp: { } clasp })
        {
            var request = Sizing.Request(band, target, habits);
            var plan = Planner.Recommend(request).Figures;
            return new ClaspEffect(
                plan.Length, plan.OffCentreMillimetres, plan.WanderMillimetres, plan.Misfit, plan.Shortfall, plan.Tighter, plan.Looser, plan.LinksMoved, clasp.Positions > 1,
                Reach.Of(request));
        }
        if (band.Holed(bareHead) is not { } holed)
            return null;
        var fit = holed.Nearest(target);
        // A hole left each way is what a strap calls reserve.
        var shortfall = fit.HolesTighter > 0 && fit.HolesLooser > 0 ? Length.Zero : holed.Step;
        return new ClaspEffect(fit.Length, 0, 0, fit.Misfit, shortfall, fit.Tighter, fit.Looser, 0, holed.Holes > 1, holed.Reach());
    }

    /// <summary>What a clasp nobody measured usually adds to a bracelet's loop.</summary>
    /// <param name="kind">What kind it is.</param>
    /// <param name="micro">The side its micro-adjust is on.</param>
    /// <param name="limits">The house's limits.</param>
    public static BraceletClasp UsualLoop(ClaspKind kind, Side micro, HouseLimits limits)
    {
        if (kind == Matching.ClaspKind.Butterfly)
            return new BraceletClasp(UsualRange.WingHalf(limits).Middle, UsualRange.WingHalf(limits).Middle, micro, 1, Length.Zero, 0);
        var (here, there) = (UsualRange.MicroHalf(limits).Middle, UsualRange.OtherHalf(limits).Middle);
        var places = Math.Max(1, (int)((limits.Thousandths(Limit.MicroFewest) + limits.Thousandths(Limit.MicroMost)) / 2_000));
        return new BraceletClasp(micro == Side.Twelve ? here : there, micro == Side.Twelve ? there : here, micro, places, UsualRange.MicroStep(limits).Middle, 0);
    }

    /// <summary>Whether a clasp's half lengths are known, so that a bracelet can be planned with it.</summary>
    public static bool CanPlan(Band band, StockedClasp clasp) => band.Links is null || clasp.Loop is not null;
}
