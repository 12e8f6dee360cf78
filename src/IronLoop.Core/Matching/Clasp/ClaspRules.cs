using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>The rule <c>clasp-kind</c>: which clasp goes on which band.</summary>
public static class ClaspKindRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "clasp-kind";

    /// <summary>Judges the pair.</summary>
    public static RuleVerdict Judge(BandEndFacts end, ClaspFacts clasp)
    {
        var goes = clasp.Kind switch
        {
            ClaspKind.PinBuckle or ClaspKind.StrapFolding => end.Kind == BandKind.TwoPiece,
            ClaspKind.Butterfly => end.Kind is BandKind.LinkBracelet || end.Kind == BandKind.TwoPiece && end.Notch is not null,
            ClaspKind.FoldOver or ClaspKind.Extending => end.Kind == BandKind.LinkBracelet,
            ClaspKind.Slide => end.Kind == BandKind.Mesh,
            _ => throw new ArgumentOutOfRangeException(nameof(clasp), clasp.Kind, "Not a clasp."),
        };
        return goes
            ? new RuleVerdict(Name, Verdict.Fits, "This clasp is made for such a band.")
            : new RuleVerdict(Name, Verdict.No, "This clasp is not made for such a band.");
    }
}

/// <summary>The rule <c>clasp-width</c>: the clasp's inner width against the band at its clasp end; not for butterflies.</summary>
public static class ClaspWidthRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "clasp-width";

    /// <summary>Judges the widths.</summary>
    /// <returns>Null for a butterfly, which is judged by tube and buttons.</returns>
    public static RuleVerdict? Judge(BandEndFacts end, ClaspFacts clasp, HouseLimits limits)
    {
        if (clasp.Kind == ClaspKind.Butterfly)
            return null;
        if (end.Width is not { } width)
            return Say(Verdict.Unknown, "Measure the band at its clasp end; the lug width says nothing about it.");
        if (clasp.InnerWidth is not { } inner)
            return Say(Verdict.Unknown, "Measure the clasp’s inner width.");
        var c = inner - width;
        var isSoft = end.Material != BandMaterial.Metal;
        var widths = $"{inner} clasp on a {width} end";
        if (c > limits[isSoft ? Limit.ClaspSoftShows : Limit.ClaspMetalPlay])
            return Say(Verdict.No, $"{widths}: {c} too wide.");
        if (c > limits[isSoft ? Limit.ClaspSoftFits : Limit.ClaspMetalFits])
            return Say(Verdict.Compromise, $"{widths}: {c} of {(isSoft ? "gap shows" : "side play")}.");
        if (c >= Length.Zero)
            return Say(Verdict.Fits, $"{widths}: {(c == Length.Zero ? "just right" : $"{c} to spare")}.");
        return -c <= limits[isSoft ? Limit.ClaspSoftSqueeze : Limit.ClaspMetalReading]
            ? Say(Verdict.Compromise, isSoft ? $"{widths}: {-c} too narrow, it goes in with a squeeze." : $"{widths}: {-c} too narrow, which is inside the reading error; gauge again.")
            : Say(Verdict.No, $"{widths}: {-c} too narrow.");
    }

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}

/// <summary>The rule <c>end-tube</c>: a butterfly's tube in the band's notch.</summary>
public static class EndTubeRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "end-tube";

    /// <summary>Judges tube and notch.</summary>
    /// <returns>Null for other clasps.</returns>
    public static RuleVerdict? Judge(BandEndFacts end, ClaspFacts clasp, HouseLimits limits)
    {
        if (clasp.Kind != ClaspKind.Butterfly)
            return null;
        if (end.Notch is not { } notch)
            return Say(Verdict.Unknown, "Measure the notch in the band’s end.");
        if (clasp.Tube is not { } tube)
            return Say(Verdict.Unknown, "Measure the clasp’s end tube.");
        var t = notch - tube;
        var says = $"{tube} tube in a {notch} notch";
        if (t < Length.Zero)
            return Say(Verdict.No, $"{says}: {-t} too long.");
        if (t <= limits[Limit.TubeFits])
            return Say(Verdict.Fits, $"{says}: {(t == Length.Zero ? "just right" : $"{t} to spare")}.");
        return t <= limits[Limit.TubePlay] ? Say(Verdict.Compromise, $"{says}: {t} of play.") : Say(Verdict.No, $"{says}: {t} too short.");
    }

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}

/// <summary>The rule <c>button-span</c>: a butterfly's buttons beyond the band's edges.</summary>
public static class ButtonSpanRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "button-span";

    /// <summary>Judges the buttons.</summary>
    /// <returns>Null for other clasps.</returns>
    public static RuleVerdict? Judge(BandEndFacts end, ClaspFacts clasp, HouseLimits limits)
    {
        if (clasp.Kind != ClaspKind.Butterfly)
            return null;
        if (end.Width is not { } width)
            return Say(Verdict.Unknown, "Measure the band at its clasp end.");
        if (clasp.OverButtons is not { } over)
            return Say(Verdict.Unknown, "Measure over the clasp’s buttons, not pressed.");
        var w = over - width;
        if (w < Length.Zero)
            return Say(Verdict.No, $"The buttons, {over} over all, would vanish inside a {width} band.");
        if (w < limits[Limit.ButtonsLeast])
            return Say(Verdict.Compromise, $"The buttons stand out by {w} only: hard to press.");
        return w <= limits[Limit.ButtonsMost] ? Say(Verdict.Fits, $"The buttons stand out by {w}.") : Say(Verdict.No, $"The buttons stand out by {w}, too far.");
    }

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}

/// <summary>The rule <c>clasp-bar</c>: the clasp's bar in the bore of the band's end, at both joints of the clasp.</summary>
public static class ClaspBarRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "clasp-bar";

    /// <summary>Judges bar and bores.</summary>
    /// <param name="end">The band's clasp end.</param>
    /// <param name="clasp">The clasp.</param>
    /// <param name="limits">The house's limits.</param>
    /// <param name="fit">How an opened hole is to hold the bar; both are offered when null.</param>
    /// <returns>Null when nothing was measured, and for butterflies, whose pins have a rule of their own.</returns>
    public static RuleVerdict? Judge(BandEndFacts end, ClaspFacts clasp, HouseLimits limits, BarFit? fit = null)
    {
        if (clasp.Kind is ClaspKind.Butterfly or ClaspKind.Slide || end.Bore is null && clasp.Bar is null && end.Pierced != false)
            return null;
        if (end.Pierced == false)
            return NotPierced(clasp.Bar);
        if (clasp.Bar is not { } bar)
            return new RuleVerdict(Name, Verdict.Unknown, "Measure the clasp’s bar; at both joints, for they may differ.");
        if (end.Bore is { } gauged)
            return Through(gauged);
        return OverRange.Judge(
            [new OpenRange(OpenFigure.ClaspBore, "bore at the clasp", UsualRange.ClaspBore(end.Material != BandMaterial.Metal, limits), MoreIsBetter: true)],
            (at, _) => Tight(at).Count == 0 || KeepsItsOwn() ? Verdict.Fits : Verdict.Work, (at, _) => Through(at),
            verdict => verdict == Verdict.Fits ? $"a {bar} bar goes through" : $"it has to be {(end.Material == BandMaterial.Metal ? "opened" : "pierced wider")} for a {bar} bar");

        // Before a bore is opened: can the slim bar be kept?
        bool KeepsItsOwn() => end is { KeepsItsBars: true, Material: BandMaterial.Metal };

        List<Length> Tight(Length bore) => (end.OtherBore is { } other ? (Length[])[bore, other] : [bore]).Where(b => b < bar + limits[Limit.TubeRoom]).Distinct().ToList();

        RuleVerdict Through(Length bore)
        {
            var tight = Tight(bore);
            if (tight.Count == 0)
            {
                return new RuleVerdict(Name, Verdict.Fits, end.OtherBore is { } both && both != bore
                    ? $"A {bar} bar goes through both bores, {bore} and {both}."
                    : $"A {bar} bar goes through a {bore} bore.");
            }
            if (KeepsItsOwn())
                return new RuleVerdict(Name, Verdict.Fits, $"The band’s own bars are kept for it: a {bar} one would not go through a {string.Join(" or a ", tight)} bore. See that they sit in the clasp’s holes.");
            var says = end.OtherBore is { } second && second != bore && tight.Count == 1
                ? $"A {bar} bar goes through one joint, but not through the other’s {tight[0]} bore."
                : $"A {bar} bar does not go through a {string.Join(" or a ", tight)} bore.";
            return new RuleVerdict(Name, Verdict.Work, says,
                [end.Material == BandMaterial.Metal ? Open(bar, limits, fit) : Pierce($"Pierce the strap’s end wider for a {bar} bar", wider: true)]);
        }
    }

    /// <summary>The hole of a bar that is opened: the bar's own size for a snug one, what a bar needs to turn for a free one.</summary>
    public static Length Drill(Length bar, BarFit fit, HouseLimits limits) => fit == BarFit.Free ? bar + limits[Limit.TubeRoom] : bar;

    /// <summary>A strap's end without a hole is pierced, whatever clasp goes on.</summary>
    public static RuleVerdict NotPierced(Length? bar)
    {
        var (which, gauge) = bar is { } gauged ? ($"a {gauged} bar", "") : ("the clasp’s bar", "; gauge the bar first");
        return new RuleVerdict(Name, Verdict.Work, $"The strap’s end has no hole for {which} yet{gauge}.",
            [Pierce($"Pierce the strap’s end for {which}, clean through both sides{gauge}", wider: false)]);
    }

    private static PieceOfWork Open(Length bar, HouseLimits limits, BarFit? fit)
    {
        var (free, snug) = (Drill(bar, BarFit.Free, limits), Drill(bar, BarFit.Snug, limits));
        return new PieceOfWork(WorkKind.Bore, fit switch
        {
            BarFit.Free => $"Open the bore by hand to {free}, for a free bar; see that it breaks through on both sides",
            BarFit.Snug => $"Open the bore by hand to {snug}, for a snug bar; see that it breaks through on both sides",
            _ => $"Open the bore to {free} for a free bar, or to {snug} for a snug one",
        }, Reversible: false)
        { Tools = fit is { } chosen ? $"hand drill, gauged at {Drill(bar, chosen, limits)}" : "hand drill, gauged", Minutes = 30, Caution = PieceOfWork.Filing };
    }

    /// <summary>An end that is pierced for the first time is used as it is sold; one that is pierced wider is not what it was.</summary>
    private static PieceOfWork Pierce(string what, bool wider) => new(WorkKind.Pierce, what, Reversible: !wider) { Tools = "awl, punch", Minutes = 10, Caution = PieceOfWork.Blades };
}

/// <summary>The rule <c>strap-thickness</c>: a strap's end in the clasp's throat.</summary>
public static class StrapThicknessRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "strap-thickness";

    /// <summary>Judges the thickness.</summary>
    /// <returns>Null when the band is no strap or neither was measured.</returns>
    public static RuleVerdict? Judge(BandEndFacts end, ClaspFacts clasp, HouseLimits limits)
    {
        if (end.Material == BandMaterial.Metal || end.Thickness is null && clasp.Throat is null)
            return null;
        if (clasp.Throat is not { } throat)
            return new RuleVerdict(Name, Verdict.Unknown, "Measure the clasp’s throat.");
        if (end.Thickness is { } thickness)
            return Through(thickness);
        return OverRange.Judge(
            [new OpenRange(OpenFigure.ClaspEndThickness, "thickness of the strap at the clasp", UsualRange.EndThickness(isSoft: true, limits), MoreIsBetter: false)],
            (at, _) => at <= throat ? Verdict.Fits : Verdict.No, (at, _) => Through(at), verdict => verdict == Verdict.Fits ? "it goes through the throat" : "it does not go through the throat");

        RuleVerdict Through(Length at) => at <= throat
            ? new RuleVerdict(Name, Verdict.Fits, $"A {at} strap goes through a {throat} throat.")
            : new RuleVerdict(Name, Verdict.No, $"A {at} strap does not go through a {throat} throat.");
    }
}

/// <summary>The rule <c>clasp-finish</c>: the clasp's looks beside the band.</summary>
public static class ClaspFinishRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "clasp-finish";

    /// <summary>Judges the looks.</summary>
    /// <returns>Null when nothing is known to compare.</returns>
    public static RuleVerdict? Judge(BandEndFacts end, ClaspFacts clasp) =>
        Looks.Judge(Name, [(end.Finish, clasp.Finish, "beside"), (end.Colour, clasp.Colour, "beside")], "Finish and colour are the band’s.");
}

/// <summary>The rule <c>open-look</c>: a notched end that would show when the clasp is open.</summary>
public static class OpenLookRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "open-look";

    /// <summary>Judges the looks when open.</summary>
    /// <returns>Null when the end is not notched, or nobody said.</returns>
    public static RuleVerdict? Judge(BandEndFacts end) => end.NotchedEnd switch
    {
        true when end.OtherEndPlain == true => new RuleVerdict(Name, Verdict.Work, "The notched end would show when the clasp is open; the other end is plain.",
            [new PieceOfWork(WorkKind.SwapEnds, "Swap the two ends", Reversible: true) { Tools = "as for the links", Minutes = 20 }]),
        true => new RuleVerdict(Name, Verdict.Compromise, "The notched end shows when the clasp is open."),
        _ => null,
    };
}

/// <summary>All rules about a clasp on a band's end that need no length, in the order a fitter asks them.</summary>
public static class ClaspToBand
{
    /// <summary>Asks every rule; those that do not apply are left out.</summary>
    /// <param name="end">The band's clasp end.</param>
    /// <param name="clasp">The clasp.</param>
    /// <param name="limits">The house's limits.</param>
    /// <param name="fit">How an opened hole is to hold the bar.</param>
    public static IReadOnlyList<RuleVerdict> Judge(BandEndFacts end, ClaspFacts clasp, HouseLimits limits, BarFit? fit = null)
    {
        RuleVerdict?[] asked =
        [
            ClaspKindRule.Judge(end, clasp),
            ClaspWidthRule.Judge(end, clasp, limits),
            EndTubeRule.Judge(end, clasp, limits),
            ButtonSpanRule.Judge(end, clasp, limits),
            ClaspBarRule.Judge(end, clasp, limits, fit),
            StrapThicknessRule.Judge(end, clasp, limits),
            ClaspFinishRule.Judge(end, clasp),
            OpenLookRule.Judge(end),
        ];
        return [.. asked.OfType<RuleVerdict>()];
    }
}
