using System.Text.Json.Serialization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Size;

internal sealed record HeadWire(Length BarToBarMm, Length BarRiseMm);

/// <summary>A figure of the wrist or head that may be assumed instead of measured.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<AssumedFigure>))]
internal enum AssumedFigure
{
    [JsonStringEnumMemberName("aspect")] Aspect,
    [JsonStringEnumMemberName("barRiseMm")] BarRise,
    [JsonStringEnumMemberName("barToBarMm")] BarToBar,
}

internal sealed record NeedRequest(
    Length WristMm, decimal Aspect, HeadWire Head, Length PivotHeightMm, IReadOnlyList<AssumedFigure>? Assumed = null)
{
    /// <summary>Said of a head whose pivots lie inside the band's path.</summary>
    public const string Outside = "The head’s pivots lie inside the band’s path round this wrist, where the model does not hold; check barToBarMm, barRiseMm and pivotHeightMm.";

    public void Check(Refusals refusals, string at = "$")
    {
        refusals.Check($"{at}.wristMm", FitRanges.Wrist, WristMm);
        refusals.Check($"{at}.aspect", FitRanges.Aspect, Aspect);
        refusals.Check($"{at}.head.barToBarMm", FitRanges.BarToBar, Head.BarToBarMm);
        refusals.Check($"{at}.head.barRiseMm", FitRanges.BarRise, Head.BarRiseMm);
        refusals.Check($"{at}.pivotHeightMm", FitRanges.PivotHeight, PivotHeightMm);
    }

    public Assumed ToAssumed() => new(
        Assumed?.Contains(AssumedFigure.Aspect) ?? false,
        Assumed?.Contains(AssumedFigure.BarRise) ?? false,
        Assumed?.Contains(AssumedFigure.BarToBar) ?? false);
}

internal sealed record NeedAnswer(double NeededMm, double SigmaMm);

internal sealed record EaseFromGapRequest(Length WristMm, decimal Aspect, Length GapMm, Length? WedgeWidthMm = null)
{
    public void Check(Refusals refusals)
    {
        refusals.Check("$.wristMm", FitRanges.Wrist, WristMm);
        refusals.Check("$.aspect", FitRanges.Aspect, Aspect);
        refusals.Check("$.gapMm", FitRanges.Gap, GapMm);
        if (WedgeWidthMm is { } width)
            refusals.Check("$.wedgeWidthMm", FitRanges.WedgeWidth, width);
    }
}

internal sealed record EaseFromGapAnswer(double EaseMm);

[method: JsonConstructor]
internal readonly record struct LinkWire(Length PitchMm, bool Removable);

internal sealed record BraceletWire(IReadOnlyList<LinkWire> Twelve, IReadOnlyList<LinkWire> Six);

[method: JsonConstructor]
internal readonly record struct SpareWire(Length PitchMm, int Count);

internal sealed record ClaspWire(Length TwelveMm, Length SixMm, Side MicroSide, int Positions, int Position, Length? StepMm = null);

/// <param name="SigmaMm">How well the length is known, one standard deviation: then the chance to be right the first time comes first in the order.</param>
internal sealed record TargetWire(Length LengthMm, Length WindowMm, Length ToleranceMm, Length? SigmaMm = null);

internal sealed record CentringWire(Length DesiredMm, Length ToleranceMm);

internal sealed record ReserveWire(Length TighterMm, Length LooserMm);

internal sealed record PlanRequestWire(
    BraceletWire Bracelet,
    ClaspWire Clasp,
    TargetWire Target,
    IReadOnlyList<SpareWire>? Spares = null,
    CentringWire? Centring = null,
    ReserveWire? Reserve = null)
{
    /// <summary>Checks every figure and, when all can be taken, makes the planner's request of them.</summary>
    public PlanRequest Read()
    {
        var refusals = new Refusals();
        Check(refusals, "$.bracelet.twelve", Bracelet.Twelve);
        Check(refusals, "$.bracelet.six", Bracelet.Six);
        var spares = Spares ?? [];
        for (var i = 0; i < spares.Count; i++)
        {
            refusals.Check($"$.spares[{i}].pitchMm", FitRanges.Pitch, spares[i].PitchMm);
            refusals.Check($"$.spares[{i}].count", FitRanges.Spares, spares[i].Count);
        }
        if (!refusals.Any && !FitRanges.Spares.Holds(spares.Sum(s => (long)s.Count)))
            refusals.Add("$.spares", FitRanges.Spares.Refuse("The number of spares", spares.Sum(s => (long)s.Count)));
        CheckClasp(refusals);
        refusals.Check("$.target.lengthMm", FitRanges.Target, Target.LengthMm);
        refusals.Check("$.target.windowMm", FitRanges.Tolerance, Target.WindowMm);
        refusals.Check("$.target.toleranceMm", FitRanges.Tolerance, Target.ToleranceMm);
        if (Target.SigmaMm is { } sigma)
            refusals.Check("$.target.sigmaMm", FitRanges.Sigma, sigma);
        if (Centring is { } centring)
        {
            refusals.Check("$.centring.desiredMm", FitRanges.DesiredOffCentre, centring.DesiredMm);
            refusals.Check("$.centring.toleranceMm", FitRanges.Tolerance, centring.ToleranceMm);
        }
        if (Reserve is { } reserve)
        {
            refusals.Check("$.reserve.tighterMm", FitRanges.Reserve, reserve.TighterMm);
            refusals.Check("$.reserve.looserMm", FitRanges.Reserve, reserve.LooserMm);
        }
        refusals.ThrowIfAny();
        return new PlanRequest(
            new Bracelet(Row(Bracelet.Twelve), Row(Bracelet.Six)),
            [.. spares.Select(s => new SpareLinks(s.PitchMm, s.Count))],
            new BraceletClasp(Clasp.TwelveMm, Clasp.SixMm, Clasp.MicroSide, Clasp.Positions, Clasp.StepMm ?? Length.Zero, Clasp.Position),
            new FitTarget(Target.LengthMm, Target.WindowMm, Target.ToleranceMm) { Sigma = Target.SigmaMm ?? Length.Zero },
            Centring is { } c ? new Centring(c.DesiredMm, c.ToleranceMm) : PlanRequest.HouseCentring,
            Reserve is { } r ? new Reserve(r.TighterMm, r.LooserMm) : PlanRequest.HouseReserve);
    }

    private static void Check(Refusals refusals, string path, IReadOnlyList<LinkWire> row)
    {
        refusals.Check(path, FitRanges.LinksASide, row.Count);
        for (var i = 0; i < row.Count; i++)
            refusals.Check($"{path}[{i}].pitchMm", FitRanges.Pitch, row[i].PitchMm);
    }

    private void CheckClasp(Refusals refusals)
    {
        refusals.Check("$.clasp.twelveMm", FitRanges.ClaspSide, Clasp.TwelveMm);
        refusals.Check("$.clasp.sixMm", FitRanges.ClaspSide, Clasp.SixMm);
        refusals.Check("$.clasp.positions", FitRanges.Positions, Clasp.Positions);
        if (!FitRanges.Positions.Holds(Clasp.Positions))
            return;
        refusals.Check("$.clasp.position", new AllowedNumber(0, Clasp.Positions - 1), Clasp.Position);
        if (Clasp.Positions == 1)
            return;
        if (Clasp.StepMm is { } step)
            refusals.Check("$.clasp.stepMm", FitRanges.Step, step);
        else
            refusals.Add("$.clasp.stepMm", $"stepMm is missing; with {Clasp.Positions} positions it is needed, {FitRanges.Step}.");
    }

    private static Link[] Row(IReadOnlyList<LinkWire> row) => [.. row.Select(l => new Link(l.PitchMm, l.Removable))];
}

internal sealed record LinkCountWire(Length PitchMm, int Count);

internal sealed record PlanWire(
    IReadOnlyList<LinkCountWire> Twelve,
    IReadOnlyList<LinkCountWire> Six,
    int Position,
    Length LengthMm,
    decimal OffCentreMm,
    Length MisfitMm,
    decimal TroubleMm,
    decimal WanderMm,
    Length ShortfallMm,
    int LinksMoved,
    Length TighterMm,
    Length LooserMm)
{
    /// <summary>The chance to be right the first time, 0 to 1; left out where nobody said how well the length is known.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Chance { get; init; }

    public static PlanWire Of(Plan plan) => new(
        Counts(plan.Twelve),
        Counts(plan.Six),
        plan.Position,
        plan.Figures.Length,
        plan.Figures.OffCentreMillimetres,
        plan.Figures.Misfit,
        plan.Figures.TroubleMillimetres,
        plan.Figures.WanderMillimetres,
        plan.Figures.Shortfall,
        plan.Figures.LinksMoved,
        plan.Figures.Tighter,
        plan.Figures.Looser)
    {
        Chance = plan.Figures.Chance is { } chance ? Math.Round(chance, 4) : null,
    };

    private static LinkCountWire[] Counts(IReadOnlyList<LinkCount> counts) => [.. counts.Select(c => new LinkCountWire(c.Pitch, c.Count))];
}

internal sealed record GapWire(Length? BelowMm, Length? AboveMm);

internal sealed record ReachWire(Length? ShortestMm, Length? LongestMm, Length? LargestGapMm, GapWire? GapAtTarget)
{
    public static ReachWire Of(Reach reach, FitTarget target) => new(
        reach.Shortest,
        reach.Longest,
        reach.LargestGap,
        reach.GapAt(target.Length, target.Window) is { } gap ? new GapWire(gap.Below, gap.Above) : null);
}

internal sealed record PlanAnswerWire(PlanWire Recommended, IReadOnlyList<PlanWire> Alternatives, ReachWire Reach, string Says);

/// <summary>A bracelet, what its wearer's wrist and head are known to be, and how it is worn.</summary>
internal sealed record NextReadingRequestWire(
    BraceletWire Bracelet,
    ClaspWire Clasp,
    NeedRequest Need,
    WearPreference Wear,
    IReadOnlyList<SpareWire>? Spares = null,
    CentringWire? Centring = null,
    ReserveWire? Reserve = null)
{
    /// <summary>Checks every figure and, when all can be taken, makes the planner's request of them.</summary>
    public (PlanRequest Request, Need Need) Read()
    {
        var refusals = new Refusals();
        Need.Check(refusals, "$.need");
        refusals.ThrowIfAny();
        if (NeededLength.WithUncertainty(Need.WristMm, Need.Aspect, new Head(Need.Head.BarToBarMm, Need.Head.BarRiseMm), Need.PivotHeightMm, Need.ToAssumed()) is not { } need)
        {
            refusals.Add("$.need.head", NeedRequest.Outside);
            refusals.ThrowIfAny();
            throw new InvalidOperationException();
        }
        var wear = Core.Fitting.Wear.Of(Wear);
        var target = new TargetWire(Length.Nearest(need.Needed) + wear.Aim, wear.Window, PlanRequest.HouseTolerance, Length.Nearest(need.Sigma));
        return (new PlanRequestWire(Bracelet, Clasp, target, Spares, Centring, Reserve).Read(), need);
    }
}

/// <summary>What can be read, by the name of its field in the request.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ReadableWire>))]
internal enum ReadableWire
{
    [JsonStringEnumMemberName("wristMm")] Wrist,
    [JsonStringEnumMemberName("aspect")] Aspect,
    [JsonStringEnumMemberName("barRiseMm")] BarRise,
    [JsonStringEnumMemberName("barToBarMm")] BarToBar,
    [JsonStringEnumMemberName("tryOn")] TryOn,
    [JsonStringEnumMemberName("copy")] Copy,
}

/// <summary>What a reading is expected to give.</summary>
[method: JsonConstructor]
internal readonly record struct WorthReadingWire(ReadableWire Figure, double ChanceAfter, double Gain);

/// <summary>The chance to be right the first time, and what each reading is expected to make of it; the one that gives most first.</summary>
internal sealed record NextReadingAnswer(double ChanceNow, IReadOnlyList<WorthReadingWire> Readings);
