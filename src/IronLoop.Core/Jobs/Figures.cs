using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>What was gauged of a watch and a wrist so far; null where nobody measured yet.</summary>
/// <param name="LugWidth">Clear distance between the lugs.</param>
/// <param name="Attachment">How the watch takes a band.</param>
/// <param name="LugToLug">From lug tip to lug tip, along the wrist's round.</param>
/// <param name="BarToBar">Straight distance between the two bars.</param>
/// <param name="BarRise">Height of the bars above the plane the case back rests on.</param>
/// <param name="Wrist">Tape reading.</param>
/// <param name="Wear">How loose the wearer likes it.</param>
/// <param name="Family">The maker's family code, of a case with a shape of its own.</param>
public sealed record Figures(
    Length? LugWidth,
    Attachment? Attachment,
    Length? LugToLug,
    Length? BarToBar,
    Length? BarRise,
    Length? Wrist,
    WearPreference? Wear,
    string? Family)
{
    /// <summary>Clear distance between lugs that is taken.</summary>
    public static readonly AllowedLength AllowedLugWidth = AllowedLength.Mm(6, 40);

    /// <summary>Lug-to-lug that is taken: bars assumed from it stay within what the fit model takes.</summary>
    public static readonly AllowedLength AllowedLugToLug = AllowedLength.Mm(24, 74);

    /// <summary>What matching looks at.</summary>
    public WatchFacts Watch => new(LugWidth, Attachment, Family);

    /// <summary>The head as measured, else as assumed from the lug-to-lug; null when neither is known.</summary>
    public Head? Head
    {
        get
        {
            var barToBar = BarToBar ?? (LugToLug is { } tips ? Fitting.Head.AssumedFrom(tips).BarToBar : null);
            return barToBar is { } known ? new Head(known, BarRise ?? Fitting.Head.AssumedRise) : null;
        }
    }

    /// <summary>What is assumed, not measured. The wrist's aspect is not measured yet at all.</summary>
    public Assumed Assumed => new(Aspect: true, BarRise is null, BarToBar is null);

    /// <summary>Needed length and its uncertainty for a band of some pivot height.</summary>
    /// <returns>Null when wrist or head is unknown, or the model does not hold for them.</returns>
    public Need? Need(Length pivotHeight) =>
        Wrist is { } wrist && Head is { } head
            ? NeededLength.WithUncertainty(wrist, NeededLength.AssumedAspect, head, pivotHeight, Assumed)
            : null;

    /// <summary>The length wanted for a band of some pivot height: needed length and the ease to aim at.</summary>
    /// <returns>Null when a figure is missing.</returns>
    public FitTarget? Target(Length pivotHeight)
    {
        if (Wear is not { } preference || Need(pivotHeight) is not { } need)
            return null;
        var wear = Fitting.Wear.Of(preference);
        return new FitTarget(Length.Nearest(need.Needed) + wear.Aim, wear.Window, PlanRequest.HouseTolerance);
    }

    /// <summary>Whether the lugs reach past the wrist: it can be worn, but the owner is told.</summary>
    public bool LugsOverhang =>
        Wrist is { } wrist && LugToLug is { } tips
        && tips.ApproximateMillimetres > 2 * WristSection.FromTape(wrist.ApproximateMillimetres, (double)NeededLength.AssumedAspect).HalfWidth;

    /// <summary>The figures still to be gauged, in the order the tool is moved.</summary>
    public IReadOnlyList<string> Missing()
    {
        var missing = new List<string>();
        if (LugWidth is null) missing.Add("lug width");
        if (Attachment is null) missing.Add("attachment");
        if (LugToLug is null && BarToBar is null) missing.Add("lug-to-lug");
        if (Wrist is null) missing.Add("wrist");
        if (Wear is null) missing.Add("wear preference");
        return missing;
    }
}
