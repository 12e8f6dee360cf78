using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>Asks every rule about one band for one job.</summary>
public static class MatchBand
{
    /// <summary>The judgement, the rules in the order a fitter asks them.</summary>
    public static Judgement Judge(Figures figures, Band band) =>
        new([
            LugWidthRule.Judge(figures.Watch, band.Facts),
            AttachmentRule.Judge(figures.Watch, band.Facts),
            Wearer(figures, band),
        ]);

    /// <summary>What the best closing of this band leaves, the lesser way; nought when it cannot be worn.</summary>
    public static Length ReserveEachWay(Figures figures, Band band)
    {
        if (figures.Target(band.PivotHeight) is not { } target)
            return Length.Zero;
        if (band.Strap is { } strap)
        {
            var fit = strap.Nearest(target);
            return fit.Misfit > Length.Zero ? Length.Zero : Lesser(fit.Tighter, fit.Looser);
        }
        var plan = Planner.Recommend(Sizing.Request(band, target)).Figures;
        return plan.Misfit > Length.Zero ? Length.Zero : Lesser(plan.Tighter, plan.Looser);
    }

    private static RuleVerdict Wearer(Figures figures, Band band)
    {
        var target = figures.Target(band.PivotHeight);
        if (band.Strap is { } strap)
            return WearerRule.Judge(strap.Reach(), target?.Length, target?.Window ?? Length.Zero, "hole");
        if (target is not { } wanted)
            return WearerRule.Judge(Reach.Of([]), null, Length.Zero, "position");
        return WearerRule.Judge(Reach.Of(Sizing.Request(band, wanted)), wanted.Length, wanted.Window, "position");
    }

    private static Length Lesser(Length a, Length b) => a < b ? a : b;
}
