using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// What the fit model takes (fit model, section 5, last paragraph). Figures outside are refused with the range named;
/// a range is not a judgement: an allowed figure may still be questioned.
/// </summary>
public static class FitRanges
{
    /// <summary>Wrist circumference.</summary>
    public static readonly AllowedLength Wrist = AllowedLength.Mm(120, 240);

    /// <summary>Wrist width over depth.</summary>
    public static readonly AllowedNumber Aspect = new(1.00m, 1.80m);

    /// <summary>Distance between the two bars of the head.</summary>
    public static readonly AllowedLength BarToBar = AllowedLength.Mm(20, 70);

    /// <summary>Height of the bars above the plane the case back rests on.</summary>
    public static readonly AllowedLength BarRise = AllowedLength.Mm(-2, 15);

    /// <summary>Height of the links' pivots above the skin.</summary>
    public static readonly AllowedLength PivotHeight = AllowedLength.Mm(0.3m, 6);

    /// <summary>Pivot-to-pivot length of a link.</summary>
    public static readonly AllowedLength Pitch = AllowedLength.Mm(2, 40);

    /// <summary>Links on one side.</summary>
    public static readonly AllowedNumber LinksASide = new(0, 40);

    /// <summary>Spare links in all.</summary>
    public static readonly AllowedNumber Spares = new(0, 60);

    /// <summary>What the closed clasp adds to one side.</summary>
    public static readonly AllowedLength ClaspSide = AllowedLength.Mm(0, 80);

    /// <summary>Positions of the micro-adjust, at least the one it stands in.</summary>
    public static readonly AllowedNumber Positions = new(1, 400);

    /// <summary>What one micro position adds. Not looked at when there is one position only.</summary>
    public static readonly AllowedLength Step = AllowedLength.Mm(0.05m, 10);

    /// <summary>Length the closed loop should have.</summary>
    public static readonly AllowedLength Target = AllowedLength.Mm(60, 400);

    /// <summary>How well a length is known, one standard deviation.</summary>
    public static readonly AllowedLength Sigma = AllowedLength.Mm(0.05m, 20);

    /// <summary>Half the wear window, and the tolerances of length and centre.</summary>
    public static readonly AllowedLength Tolerance = AllowedLength.Mm(0, 15);

    /// <summary>Off-centre that is wished for; no wrist has room for more.</summary>
    public static readonly AllowedLength DesiredOffCentre = AllowedLength.Mm(-60, 60);

    /// <summary>Reserve wanted to tighten or to loosen.</summary>
    public static readonly AllowedLength Reserve = AllowedLength.Mm(0, 20);

    /// <summary>Gap under the clasp when ease is felt with a wedge or finger.</summary>
    public static readonly AllowedLength Gap = AllowedLength.Mm(0, 40);

    /// <summary>Width of that wedge or finger.</summary>
    public static readonly AllowedLength WedgeWidth = AllowedLength.Mm(0, 40);
}
