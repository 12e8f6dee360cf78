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
    public void Check(Refusals refusals)
    {
        refusals.Check("$.wristMm", FitRanges.Wrist, WristMm);
        refusals.Check("$.aspect", FitRanges.Aspect, Aspect);
        refusals.Check("$.head.barToBarMm", FitRanges.BarToBar, Head.BarToBarMm);
        refusals.Check("$.head.barRiseMm", FitRanges.BarRise, Head.BarRiseMm);
        refusals.Check("$.pivotHeightMm", FitRanges.PivotHeight, PivotHeightMm);
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

internal sealed record TargetWire(Length LengthMm, Length WindowMm, Length ToleranceMm);

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
            new FitTarget(Target.LengthMm, Target.WindowMm, Target.ToleranceMm),
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
        plan.Figures.Looser);

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
