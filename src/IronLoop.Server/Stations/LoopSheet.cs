using System.Text.Json.Serialization;
using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations;

internal sealed record PointWire(double X, double Y)
{
    public static PointWire Of(DrawnPoint point) => new(Math.Round(point.X, 2), Math.Round(point.Y, 2));
}

/// <summary>A piece of the band round the wrist; its points are x, y, x, y… in millimetres, y upward.</summary>
internal sealed record PieceWire(PieceKind Kind, Side Side, int Ordinal, LinkFate? Fate, IReadOnlyList<double> Points);

/// <summary>Neighbouring links that leave, and where the loop closes over them.</summary>
/// <param name="First">The one nearest the case, counted from there, 0 first.</param>
internal sealed record LeavingWire(Side Side, int First, int Count, PointWire At);

/// <summary>The loop to scale, in millimetres round the wrist's centre.</summary>
internal sealed record DrawingWire(
    double HalfWidthMm,
    double HalfDepthMm,
    Length BarToBarMm,
    Length BarRiseMm,
    Length? LugToLugMm,
    bool HeadAssumed,
    bool BandChosen,
    bool Tried,
    Length ThicknessMm,
    IReadOnlyList<PieceWire> Pieces,
    PointWire Lowest,
    PointWire ClaspCentre)
{
    /// <summary>Where links leave.</summary>
    public IReadOnlyList<LeavingWire> Leaving { get; init; } = [];
}

/// <summary>A link where it lies.</summary>
/// <param name="Mark">The letter that tells it from others of its pitch; empty where nothing does.</param>
/// <param name="Pinned">Whether the fitter said never to take it.</param>
/// <param name="OneSided">Whether it goes on its own side only.</param>
internal sealed record PlacedLinkWire(Length PitchMm, LinkFate Fate, string Mark, bool Pinned, bool OneSided)
{
    public static PlacedLinkWire Of(PlacedLink link, bool pinned = false) =>
        new(link.Pitch, link.Fate, link.Mark == '\0' ? "" : link.Mark.ToString(), pinned, link.OneSided);
}

/// <summary>A loose link to put in.</summary>
/// <param name="Mark">The letter that tells it from others of its pitch; empty where nothing does.</param>
/// <param name="OneSided">Whether it goes on its own side only.</param>
internal sealed record LooseLinkWire(Length PitchMm, string Mark = "", bool OneSided = false)
{
    public PlacedLink ToJoin() => new(PitchMm, LinkFate.Joins) { Mark = Mark is [var mark] ? mark : '\0', OneSided = OneSided };
}

/// <summary>A side's last link, freed at the clasp's joint or not.</summary>
/// <param name="CanBeFreed">Whether it looks fixed, so that it may come free at the clasp.</param>
/// <param name="EndPieceMm">What stays with the clasp; null while it is not freed.</param>
internal sealed record AtTheClaspWire(bool CanBeFreed, Length? EndPieceMm);

internal sealed record LayOutClaspWire(string Name, Length TwelveMm, Length SixMm, Length MicroMm, Side MicroSide, int Positions, int Position, int PositionNow);

internal sealed record LayOutStrapWire(Length BucklePieceMm, Length TailMm, IReadOnlyList<Length> HolesMm, int Hole, Length PastBuckleMm, bool KeepersHold)
{
    /// <summary>The keepers' edges on the tail, from its lug end, in pairs; none for what has no keepers.</summary>
    public IReadOnlyList<Length> KeepersMm { get; init; } = [];
}

/// <summary>The band opened flat: rows from case to clasp.</summary>
internal sealed record LayOutWire(
    IReadOnlyList<PlacedLinkWire> Twelve,
    IReadOnlyList<PlacedLinkWire> Six,
    IReadOnlyList<PlacedLinkWire> Spares,
    LayOutClaspWire? Clasp,
    LayOutStrapWire? Strap)
{
    /// <summary>Joints opened on the 12 side, numbered from the case; the last is at the clasp.</summary>
    public IReadOnlyList<int> TwelveJoints { get; init; } = [];

    /// <summary>The same on the 6 side.</summary>
    public IReadOnlyList<int> SixJoints { get; init; } = [];

    /// <summary>The 12 side's link beside the clasp.</summary>
    public AtTheClaspWire? TwelveAtTheClasp { get; init; }

    /// <summary>The 6 side's.</summary>
    public AtTheClaspWire? SixAtTheClasp { get; init; }
}

internal sealed record RulerWire(decimal Mm, decimal? FromMm, decimal? ToMm, bool Inside, string Text, string Inches)
{
    public static RulerWire Of(Ruler ruler) =>
        new(ruler.Millimetres, ruler.From, ruler.To, ruler.Inside, ruler.Text, ruler.Inches);
}

/// <summary>One side by hand, as the size call takes it.</summary>
/// <param name="Out">Places of the links that are out, counted from the case, 0 first.</param>
/// <param name="In">The links put in at the clasp.</param>
internal sealed record PlanSideWire(IReadOnlyList<int> Out, IReadOnlyList<LooseLinkWire> In)
{
    public static PlanSideWire Of(IReadOnlyList<PlacedLink> row) => new(
        [.. Enumerable.Range(0, row.Count).Where(i => row[i].Fate == LinkFate.Leaves)],
        [.. row.Where(l => l.Fate == LinkFate.Joins).Select(l => new LooseLinkWire(l.Pitch, l.Mark == '\0' ? "" : l.Mark.ToString(), l.OneSided))]);
}

/// <summary>A plan beside the recommended one, and what it trades.</summary>
internal sealed record AlternativeWire(
    PlanSideWire Twelve, PlanSideWire Six, int Position, string Does, string Trades, Length LengthMm, decimal OffCentreMm, Length TighterMm, Length LooserMm, int LinksMoved);

/// <summary>All lengths that can be made near what is wanted, and the wrists that can be served.</summary>
/// <param name="Lengths">With the clasp in its place, in millimetres, shortest first.</param>
/// <param name="OffItsPlace">What can be made only with the clasp further off than is wanted; none of a band with holes.</param>
/// <param name="BelowMm">The nearest below, when none can be worn.</param>
/// <param name="AboveMm">The nearest above.</param>
/// <param name="SmallestWristMm">The smallest wrist it serves; null when that is beyond what is gauged.</param>
internal sealed record ReachHere(
    IReadOnlyList<decimal> Lengths, IReadOnlyList<decimal> OffItsPlace, Length? ShortestMm, Length? LongestMm, Length? LargestGapMm, Length? BelowMm, Length? AboveMm, Length TargetMm, Length WindowMm,
    Length? SmallestWristMm, Length? LargestWristMm);

/// <summary>A hot or a cold day.</summary>
internal sealed record DayWire(Length WantedMm, int Position, Length LengthMm, bool Covered);

/// <summary>Hot and cold days, with the micro-adjust or the holes alone.</summary>
internal sealed record DaysWire(DayWire Hot, DayWire Cold, bool BothCovered, string Says)
{
    public static DaysWire Of(HotAndCold days, Func<int, string> said) => new(Of(days.Hot), Of(days.Cold), days.BothCovered, days.Says(said));

    private static DayWire Of(Day day) => new(day.Wanted, day.Position, day.Length, day.IsCovered);
}

/// <summary>Which way the head leans.</summary>
internal sealed record LeanWire(double Degrees, Side? Toward, string Says);

internal sealed record RulersWire(RulerWire Ease, Temper Temper, RulerWire OffCentre, RulerWire Tighter, RulerWire Looser);

/// <summary>What the loop comes to.</summary>
internal sealed record LoopFiguresWire(Length LengthMm, Length TargetMm, double NeededMm, double SigmaMm, int ChancePercent, int LinksMoved, Length MisfitMm, decimal TroubleMm);

/// <summary>The loop, the lay-out and the rulers of a job, as far as it is known.</summary>
/// <param name="Says">What is known and what is next, or why nothing is drawn.</param>
/// <param name="Notice">What the fitter must know before going on; null when nothing.</param>
/// <param name="IsPlanned">Whether the arrangement is the planner's own.</param>
/// <param name="PlannersSay">The planner's answer in words; null where there is none.</param>
internal sealed record LoopSheet(
    string Says,
    string? Notice,
    bool IsPlanned,
    string? PlannersSay,
    DrawingWire? Drawing,
    LayOutWire? LayOut,
    RulersWire? Rulers,
    LoopFiguresWire? Figures)
{
    /// <summary>Plans that trade something against the recommended one.</summary>
    public IReadOnlyList<AlternativeWire> Alternatives { get; init; } = [];

    /// <summary>What the band can make.</summary>
    public ReachHere? Reach { get; init; }

    /// <summary>Whether hot and cold days are served.</summary>
    public DaysWire? Days { get; init; }

    /// <summary>Which way the head leans.</summary>
    public LeanWire? Lean { get; init; }

    /// <summary>What it is tried with, so that it can be returned to; null while nothing is.</summary>
    public VariantWire? Variant { get; init; }

    // Wide enough to see the neighbours of a gap.
    private static readonly Length ReachShown = Length.FromMillimetres(18);

    /// <summary>Ease, centre and what is left, in one sentence.</summary>
    public string FinalFigures => Rulers is not { } rulers
        ? ""
        : $"Ease {rulers.Ease.Text}, off-centre {rulers.OffCentre.Text}, {rulers.Tighter.Text} left to tighten and {rulers.Looser.Text} to loosen.";

    public static LoopSheet Of(JobSnapshot file)
    {
        var figures = file.Figures;
        if (figures.Head is not { } head || !figures.WristIsKnown || figures.Wear is null)
            return Blank(file.Progress.Says(Station.Size));
        if (file.Target is not { } target || file.Figures.Need(file.PivotHeight) is not { } need)
            return Blank("The head’s bars lie inside the band’s path on this wrist; gauge bar-to-bar and rise again.");
        if (file.Band is not { } band || file.Arrangement() is not { } arrangement)
        {
            var bare = Sizing.DrawBare(figures, file.PivotHeight);
            return Blank("Wrist and head are known; no band is chosen yet.") with { Drawing = Draw(file, head, bare, null) };
        }
        return (file.Holed is { } holed
            ? OfHoled(file, head, band, holed, arrangement, target, need)
            : OfBracelet(file, head, band, arrangement, target, need)) with
        { Variant = VariantWire.Of(file) };
    }

    /// <summary>What hot and cold days ask of the band as it stands; null while it is not sized.</summary>
    public static HotAndCold? DaysFor(JobSnapshot file)
    {
        if (file.Target is not { } target || file.Band is not { } band || file.Arrangement() is not { } arrangement)
            return null;
        var (habits, limits) = (file.Figures.Habits, file.House.Limits);
        List<Length> lengths;
        if (file.Holed is { } holed)
        {
            lengths = [.. Enumerable.Range(0, holed.Holes).Select(holed.LengthIn)];
        }
        else if (band.Clasp is { } clasp)
        {
            var bare = arrangement.Sum(Side.Twelve) + arrangement.Sum(Side.Six) + clasp.Twelve + clasp.Six;
            lengths = [.. Enumerable.Range(0, clasp.Positions).Select(m => bare + clasp.Tighter(m))];
        }
        else
        {
            return null;
        }
        return HotAndCold.Of(lengths, target, habits.HotBy(limits), habits.ColdBy(limits));
    }

    private static LoopSheet Blank(string says) => new(says, null, true, null, null, null, null, null);

    private static LoopSheet OfBracelet(JobSnapshot file, Head head, Band band, Arrangement arrangement, FitTarget target, Need need)
    {
        var request = Sizing.Request(band, target, file.Figures.Habits);
        var clasp = request.Clasp;
        var answer = Planner.Answer(request);
        var planned = Arrangement.Of(request.Bracelet, answer.Recommended);
        var judged = Planner.Judge(request, arrangement);
        var wear = Wear.Of(file.Figures.Wear!.Value);
        var isPlanned = Same(arrangement, planned);
        var lengths = Enumerable.Range(0, clasp.Positions)
            .Select(m => judged.Length - clasp.Tighter(arrangement.Position) + clasp.Tighter(m)).ToList();
        var lean = Core.Fitting.Lean.Of(judged.TwiceOffCentre, judged.Length);
        return new LoopSheet(
            Tell(request, judged, isPlanned, answer.Recommended.Figures),
            Warn(file, target),
            isPlanned,
            answer.Says,
            Draw(file, head, Sizing.Draw(file.Figures, band, arrangement), arrangement),
            new LayOutWire(
                Row(file, arrangement, Side.Twelve),
                Row(file, arrangement, Side.Six),
                [.. SparesLeft(band, arrangement)],
                new LayOutClaspWire(
                    band.ClaspName, clasp.Twelve, clasp.Six, clasp.Tighter(arrangement.Position), clasp.MicroSide, clasp.Positions,
                    arrangement.Position, clasp.Position),
                null)
            {
                TwelveJoints = arrangement.JointsOpened(Side.Twelve),
                SixJoints = arrangement.JointsOpened(Side.Six),
                TwelveAtTheClasp = AtTheClasp(file, Side.Twelve),
                SixAtTheClasp = AtTheClasp(file, Side.Six),
            },
            Draw(FitRulers.Of(judged, request, need.Needed, wear)),
            new LoopFiguresWire(
                judged.Length, target.Length, Math.Round(need.Needed, 2), Math.Round(need.Sigma, 2),
                Percent(FirstTimeChance.Of(need, lengths, wear)), judged.LinksMoved, judged.Misfit, judged.TroubleMillimetres))
        {
            Alternatives = [.. answer.Alternatives.Select(plan => Alternative(request, answer.Recommended, plan))],
            Reach = ReachOf(answer.Reach, Core.Fitting.Reach.OffItsPlace(request), file, head, target, wear),
            Days = DaysOf(file, lengths, target, p => $"position {p + 1}"),
            Lean = new LeanWire(Math.Round(lean.Degrees, 1), lean.Toward, lean.Says),
        };
    }

    private static AlternativeWire Alternative(PlanRequest request, Plan recommended, Plan plan)
    {
        var arrangement = Arrangement.Of(request.Bracelet, plan);
        var figures = plan.Figures;
        return new AlternativeWire(
            PlanSideWire.Of(arrangement.Twelve), PlanSideWire.Of(arrangement.Six), plan.Position, PlanWords.WhatToDo(request, plan) + ".",
            PlanWords.Trade(request, recommended.Figures, figures), figures.Length, figures.OffCentreMillimetres, figures.Tighter, figures.Looser, figures.LinksMoved);
    }

    private static DaysWire DaysOf(JobSnapshot file, IReadOnlyList<Length> lengths, FitTarget target, Func<int, string> said)
    {
        var (habits, limits) = (file.Figures.Habits, file.House.Limits);
        return DaysWire.Of(HotAndCold.Of(lengths, target, habits.HotBy(limits), habits.ColdBy(limits)), said);
    }

    /// <summary>The lengths near what is wanted, and the wrists whose wear window some length meets.</summary>
    private static ReachHere ReachOf(Reach reach, IReadOnlyList<Length> offItsPlace, JobSnapshot file, Head head, FitTarget target, Wear wear)
    {
        // Two tenths apart is as close as ticks are drawn.
        IReadOnlyList<decimal> Near(IEnumerable<Length> lengths) =>
            [.. lengths.Where(l => (l - target.Length).Abs() <= ReachShown).Select(l => Math.Round(l.Millimetres * 5) / 5).Distinct()];
        Length? Wrist(Length? loop, Length ease) =>
            loop is { } length ? WristServed.By((length - ease).ApproximateMillimetres, file.Figures.Aspect, head, file.PivotHeight) : null;
        var gap = reach.GapAt(target.Length, target.Window);
        return new ReachHere(
            Near(reach.Lengths.Select(l => l.Length)), Near(offItsPlace),
            reach.Shortest, reach.Longest, reach.LargestGap, gap?.Below, gap?.Above, target.Length, target.Window, Wrist(reach.Shortest, wear.Most),
            Wrist(reach.Longest, wear.Least));
    }

    /// <summary>What is left both ways; what locks anywhere is said in millimetres.</summary>
    private static string Left(HoledBand strap, StrapFit best) => strap is MeshBand { Notches: 0 }
        ? $"{(strap.Step * best.HolesTighter).ToTenths()} left to tighten, {(strap.Step * best.HolesLooser).ToTenths()} to loosen"
        : $"{best.HolesTighter} left to tighten, {best.HolesLooser} to loosen";

    private static LoopSheet OfHoled(
        JobSnapshot file, Head head, Band band, HoledBand strap, Arrangement arrangement, FitTarget target, Need need)
    {
        var fit = strap.In(arrangement.Position, target);
        var best = strap.Nearest(target);
        var wear = Wear.Of(file.Figures.Wear!.Value);
        var isPlanned = fit.Hole == best.Hole;
        static string Capital(string said) => char.ToUpperInvariant(said[0]) + said[1..];
        var tail = band.Strap is null ? ""
            : best.KeepersHold ? $"; the tail passes the buckle by {best.PastBuckle.ToTenths()}, both keepers hold it"
            : $"; the tail passes the buckle by only {best.PastBuckle.ToTenths()}, too little for both keepers";
        return new LoopSheet(
            fit.Misfit == Length.Zero
                ? $"{Capital(strap.Said(fit.Hole))} can be worn."
                : $"{Capital(strap.Said(fit.Hole))} misses what can be worn by {fit.Misfit.ToTenths()}.",
            Warn(file, target),
            isPlanned,
            $"{Capital(strap.Said(best.Hole))} is nearest: {Left(strap, best)}{tail}.",
            Draw(file, head, Sizing.Draw(file.Figures, band, fit), null),
            new LayOutWire(
                [], [], [], null,
                new LayOutStrapWire(
                    file.Band?.Strap?.BucklePiece ?? strap.Tightest.Half(), TailOf(band, strap), HolesOf(band, strap), fit.Hole, fit.PastBuckle,
                    fit.KeepersHold)
                {
                    KeepersMm = band.Strap is { } pieces
                        ? [.. TwoPieceStrap.Keepers.SelectMany(k => new[] { pieces.HoleAt(fit.Hole) + k.From, pieces.HoleAt(fit.Hole) + k.To })] : [],
                }),
            Draw(FitRulers.Of(fit, strap, need.Needed, wear)),
            new LoopFiguresWire(
                fit.Length, target.Length, Math.Round(need.Needed, 2), Math.Round(need.Sigma, 2),
                Percent(FirstTimeChance.Of(need, strap.Reach().Lengths.Select(l => l.Length), wear)), 0, fit.Misfit, fit.Misfit.Millimetres))
        {
            Reach = ReachOf(strap.Reach(), [], file, head, target, wear),
            Days = DaysOf(file, [.. Enumerable.Range(0, strap.Holes).Select(strap.LengthIn)], target, strap.Said),
        };
    }

    private static Length TailOf(Band band, HoledBand holed) =>
        band.Strap?.Tail ?? holed.LengthIn(holed.Holes - 1) - holed.Tightest.Half() + TwoPieceStrap.KeeperLength;

    /// <summary>Places from the tail's lug end; so many that they run together are not drawn one by one.</summary>
    private static Length[] HolesOf(Band band, HoledBand holed)
    {
        var lugEnd = band.Strap?.BucklePiece ?? holed.Tightest.Half();
        return [.. Enumerable.Range(0, holed.Holes).Select(h => holed.LengthIn(h) - lugEnd)];
    }

    private static string Tell(PlanRequest request, PlanFigures judged, bool isPlanned, PlanFigures planned)
    {
        if (isPlanned)
            return judged.Misfit == Length.Zero ? "This is the planner’s answer." : "This is the nearest there is; it cannot be worn yet.";
        var trade = PlanWords.Trade(request, planned, judged);
        var against = $" Against the planner’s: {char.ToLowerInvariant(trade[0])}{trade[1..]}";
        if (judged.Misfit > Length.Zero)
            return $"By hand: {judged.Misfit.ToTenths()} outside what can be worn.{against}";
        var worse = (judged.TwiceTrouble - planned.TwiceTrouble).Half();
        return (worse > Length.Zero ? $"By hand: {worse.ToTenths()} more amiss than the planner’s answer." : "By hand: as little amiss as the planner’s answer.") + against;
    }

    private static string? Warn(JobSnapshot file, FitTarget target)
    {
        var notices = new List<string>();
        if (file.Plan is { } plan && (plan.Target - target.Length).Abs() > Length.FromMillimetres(0.05m))
            notices.Add($"The figures have changed since this arrangement was stored: {plan.Target.ToTenths()} was wanted, {target.Length.ToTenths()} is now.");
        if (file.Figures.LugsOverhang)
            notices.Add("The lugs reach past this wrist; tell the owner.");
        return notices.Count == 0 ? null : string.Join(' ', notices);
    }

    private static DrawingWire? Draw(JobSnapshot file, Head head, LoopDrawing? drawing, Arrangement? arrangement) => drawing is null ? null : new DrawingWire(
        Math.Round(drawing.Wrist.HalfWidth, 2),
        Math.Round(drawing.Wrist.HalfDepth, 2),
        head.BarToBar,
        head.BarRise,
        file.Figures.LugToLug,
        file.Figures.Assumed.BarToBar || file.Figures.Assumed.BarRise,
        file.Band is not null,
        file.Job.BandId != file.Stock?.Id,
        file.Band?.Thickness ?? 2 * file.PivotHeight,
        [.. drawing.Pieces.Select(p => new PieceWire(
            p.Piece.Kind,
            p.Piece.Side,
            p.Piece.Ordinal,
            p.Piece.Kind == PieceKind.Link ? arrangement?.On(p.Piece.Side)[p.Piece.Ordinal].Fate : null,
            [.. p.Points.SelectMany(q => new[] { Math.Round(q.X, 2), Math.Round(q.Y, 2) })]))],
        PointWire.Of(drawing.Lowest),
        PointWire.Of(drawing.ClaspCentre))
    {
        Leaving = arrangement is null || file.Band?.Links is null
            ? [] : [.. drawing.WhereLinksLeave(arrangement).Select(r => new LeavingWire(r.Side, r.First, r.Count, PointWire.Of(r.At)))],
    };

    private static RulersWire Draw(FitRulers rulers) => new(
        RulerWire.Of(rulers.Ease), rulers.Temper, RulerWire.Of(rulers.OffCentre), RulerWire.Of(rulers.Tighter), RulerWire.Of(rulers.Looser));

    private static PlacedLinkWire[] Row(JobSnapshot file, Arrangement arrangement, Side side) =>
        [.. arrangement.On(side).Select((l, i) => PlacedLinkWire.Of(l, l.Fate != LinkFate.Joins && file.Marks.Pinned.Contains((side, i))))];

    private static AtTheClaspWire AtTheClasp(JobSnapshot file, Side side) => new(
        LinkMarks.WhyNotFreed(file.Chosen?.Unmarked.Links?.On(side) ?? [], side, Length.Zero) is null,
        file.Marks.Freed.TryGetValue(side, out var end) ? end : null);

    private static IEnumerable<PlacedLinkWire> SparesLeft(Band band, Arrangement arrangement)
    {
        foreach (var loose in arrangement.LooseLinks(band.Spares))
            for (var i = 0; i < loose.Count; i++)
                yield return PlacedLinkWire.Of(PlacedLink.Joining(loose.Kind) with { Fate = LinkFate.Leaves });
    }

    private static bool Same(Arrangement a, Arrangement b) =>
        a.Position == b.Position && a.Twelve.SequenceEqual(b.Twelve) && a.Six.SequenceEqual(b.Six);

    private static int Percent(double chance) => (int)Math.Round(100 * chance);
}
