using System.Runtime.CompilerServices;
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
    Picture? Drawing,
    LayOutWire? LayOut,
    RulersWire? Rulers,
    LoopFiguresWire? Figures)
{
    /// <summary>Which reading lifts the chance most, or that enough is known; null where nothing is said of it.</summary>
    public string? ReadNext { get; init; }

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

    /// <summary>What is left both ways and whether the keepers hold the tail, of what closes in places; null of a link bracelet.</summary>
    public string? Leaves { get; init; }

    /// <summary>Ease, centre and what is left, in one sentence.</summary>
    public string FinalFigures => Rulers is not { } rulers ? ""
        : Leaves is { } leaves ? $"Ease {rulers.Ease.Text}; {leaves}."
        : $"Ease {rulers.Ease.Text}, off-centre {rulers.OffCentre?.Text ?? "not known"}, {rulers.Tighter.Text} left to tighten and {rulers.Looser.Text} to loosen.";

    // Several sheets tell of it: it is worked out once, and let go with the job as it is known.
    private static readonly ConditionalWeakTable<JobSnapshot, LoopSheet> Known = [];

    // Who asks for the figures alone does not wait for the picture.
    private Lazy<Picture?>? _drawn;

    /// <summary>That of a job.</summary>
    public static LoopSheet Of(JobSnapshot file)
    {
        var sheet = Undrawn(file);
        return sheet with { Drawing = sheet._drawn?.Value };
    }

    /// <summary>The same without its picture.</summary>
    public static LoopSheet Undrawn(JobSnapshot file) => Known.GetValue(file, WorkOut);

    private static LoopSheet WorkOut(JobSnapshot file)
    {
        var figures = file.Figures;
        if (file.Work is not null)
            return Blank(ByCount.Of(file)?.Says ?? file.Progress.Says(Station.Size));
        if (figures.Head is not { } head || !figures.WristIsKnown || figures.Wear is null)
            return Unworn(file) ?? Blank(file.Progress.Says(Station.Size));
        if (file.Target is not { } target || file.Figures.Need(file.PivotHeight) is not { } need)
            return Blank("The head’s bars lie inside the band’s path on this wrist; gauge bar-to-bar and rise again.");
        if (file.Band is not { } band || file.Arrangement() is not { } arrangement)
        {
            return Blank("Wrist and head are known; no band is chosen yet.") with { _drawn = new(() => Draw(file, head, Sizing.DrawBare(figures, file.PivotHeight), null)) };
        }
        return (file.Holed is { } holed
            ? OfHoled(file, head, band, holed, arrangement, target, need)
            : OfBracelet(file, head, band, arrangement, target, need)) with
        { Variant = VariantWire.Of(file) };
    }

    /// <summary>What hot and cold days ask of the band as it stands; null while it is not sized.</summary>
    public static HotAndCold? DaysFor(JobSnapshot file)
    {
        if (file.WornOnUsualDays is not { } target || file.Band is not { } band || file.Arrangement() is not { } arrangement)
            return null;
        var (habits, limits) = (file.Figures.Habits, file.House.Limits);
        IReadOnlyList<Length> lengths;
        if (file.Holed is { } holed)
        {
            lengths = [.. Enumerable.Range(0, holed.Holes).Select(holed.LengthIn)];
        }
        else if (band.Clasp is { } clasp)
        {
            lengths = clasp.InEveryPosition(arrangement.LoopLength(clasp), arrangement.Position);
        }
        else
        {
            return null;
        }
        return HotAndCold.Of(lengths, target, habits.HotBy(limits), habits.ColdBy(limits));
    }

    /// <summary>A band that is sized by a loop that fits already, with nobody's wrist to draw; null where there is none.</summary>
    private static LoopSheet? Unworn(JobSnapshot file)
    {
        if (file is not { Target: { } target, Figures.Copy.By: var by } || file.Band is not { } band || file.ToBeAgreed is not { } arrangement)
            return null;
        var from = by switch { LoopBy.OldStrap => "the old strap", LoopBy.Sent => "the measure that was sent", _ => "the loop that fits" };
        var (length, place) = band switch
        {
            { Clasp: { } clasp } => (arrangement.LoopLength(clasp), ""),
            _ when file.Holed is { } holed => (holed.LengthIn(arrangement.Position), $"{char.ToUpperInvariant(holed.Said(arrangement.Position)[0])}{holed.Said(arrangement.Position)[1..]}: "),
            _ => (target.Length, ""),
        };
        var off = length - target.Length;
        var misses = off.Abs() <= target.Window ? "" : off > Length.Zero ? $", {off.ToTenths()} too loose" : $", {off.Abs().ToTenths()} too tight";
        return Blank($"{place}{length.ToTenths()}; by {from} {target.Length.ToTenths()} is wanted{misses}.");
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
        var isPlanned = arrangement.IsLike(planned);
        var lengths = clasp.InEveryPosition(judged.Length, arrangement.Position);
        var lean = Core.Fitting.Lean.Of(judged.TwiceOffCentre, judged.Length);
        return new LoopSheet(
            Tell(request, judged, isPlanned, answer.Recommended.Figures),
            Warn(file, target),
            isPlanned,
            answer.Says,
            null,
            LayOutWire.Of(Lay(file, head, arrangement, clasp)) with
            {
                Spares = [.. SparesLeft(band, arrangement)],
                Clasp = new LayOutClaspWire(
                    band.ClaspName, clasp.Twelve, clasp.Six, clasp.Tighter(arrangement.Position), clasp.MicroSide, clasp.Positions,
                    arrangement.Position, clasp.Position),
                TwelveAtTheClasp = AtTheClasp(file, Side.Twelve),
                SixAtTheClasp = AtTheClasp(file, Side.Six),
            },
            Draw(FitRulers.Of(judged, request, need.Needed, wear)),
            new LoopFiguresWire(
                judged.Length, target.Length, Math.Round(need.Needed, 2), Math.Round(need.Sigma, 2),
                Percent(judged.Chance ?? 0), FirstTimeChance.Says(judged.Chance ?? 0), judged.LinksMoved, judged.Misfit, judged.TroubleMillimetres))
        {
            _drawn = new(() => Draw(file, head, Sizing.Draw(file.Figures, band, arrangement), arrangement)),
            ReadNext = file.Plan is { AgreedAt: not null } ? null : WhatToRead.Next(file.Figures, request, need)?.Says,
            // What cannot be worn is none beside what can.
            Alternatives = [.. answer.Alternatives.Where(plan => answer.Recommended.Figures.Misfit > Length.Zero || plan.Figures.Misfit == Length.Zero).Select(plan => Alternative(request, answer.Recommended, plan))],
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
        var (smallest, largest) = WristServed.Range(reach.Shortest, reach.Longest, wear, file.Figures.Aspect, head, file.PivotHeight);
        var gap = reach.GapAt(target.Length, target.Window);
        return new ReachHere(
            Near(reach.Lengths.Select(l => l.Length)), Near(offItsPlace),
            reach.Shortest, reach.Longest, reach.LargestGap, gap?.Below, gap?.Above, target.Length, target.Window, smallest, largest);
    }

    /// <summary>What is left both ways; what locks anywhere is said in millimetres.</summary>
    private static string Left(HoledBand strap, StrapFit best) => strap.LocksAnywhere
        ? $"{best.Tighter.ToTenths()} left to tighten, {best.Looser.ToTenths()} to loosen"
        : $"{best.HolesTighter} left to tighten, {best.HolesLooser} to loosen";

    private static LoopSheet OfHoled(
        JobSnapshot file, Head head, Band band, HoledBand strap, Arrangement arrangement, FitTarget target, Need need)
    {
        var fit = strap.In(arrangement.Position, target);
        var best = strap.Nearest(target);
        var wear = Wear.Of(file.Figures.Wear!.Value);
        var isPlanned = fit.Hole == best.Hole;
        static string Capital(string said) => char.ToUpperInvariant(said[0]) + said[1..];
        var isTailKnown = band.Strap is not null || band.OnePiece is { Whole: not null };
        var tail = !isTailKnown ? ""
            : best.KeepersHold ? $"; the tail passes the buckle by {best.PastBuckle.ToTenths()}, both keepers hold it"
            : $"; the tail passes the buckle by only {best.PastBuckle.ToTenths()}, too little for both keepers";
        var chance = FirstTimeChance.Of(need, strap.Reach().Lengths.Select(l => l.Length), wear);
        return new LoopSheet(
            fit.Misfit == Length.Zero && isPlanned && strap.SaysBetween(target) is { } between
                ? $"What is wanted lies {between}."
                : fit.Misfit == Length.Zero
                ? $"{Capital(strap.Said(fit.Hole))} can be worn."
                : $"{Capital(strap.Said(fit.Hole))} misses what can be worn by {fit.Misfit.ToTenths()}.",
            Warn(file, target),
            isPlanned,
            $"{Capital(strap.Said(best.Hole))} is nearest: {Left(strap, best)}{tail}.",
            null,
            LayOutWire.Of(Lay(head, band, strap, fit)) with
            {
                Strap = new LayOutStrapWire(
                    file.Band?.Strap?.BucklePiece ?? strap.Tightest.Half(), TailOf(band, strap), HolesOf(band, strap), fit.Hole, fit.PastBuckle,
                    fit.KeepersHold),
            },
            InPlaces(Draw(FitRulers.Of(fit, strap, need.Needed, wear)), strap, fit.Hole),
            new LoopFiguresWire(
                fit.Length, target.Length, Math.Round(need.Needed, 2), Math.Round(need.Sigma, 2),
                Percent(chance), FirstTimeChance.Says(chance), 0, fit.Misfit, fit.Misfit.Millimetres))
        {
            _drawn = new(() => Draw(file, head, Sizing.Draw(file.Figures, band, fit), null)),
            Leaves = $"{strap.Leaves(fit.Hole)}{(!isTailKnown ? "" : fit.KeepersHold ? "; both keepers hold the tail" : "; the tail is too short for both keepers")}",
            Reach = ReachOf(strap.Reach(), [], file, head, target with { Window = strap.WindowFor(target) }, wear),
            Days = DaysOf(file, [.. Enumerable.Range(0, strap.Holes).Select(strap.LengthIn)], target, strap.Said),
        };
    }

    /// <summary>Rulers of what closes in places say how many of them are left.</summary>
    private static RulersWire InPlaces(RulersWire rulers, HoledBand strap, int hole) => strap.LocksAnywhere ? rulers : rulers with
    {
        Tighter = rulers.Tighter with { Text = strap.Tighter(hole) },
        Looser = rulers.Looser with { Text = strap.LeftLooser(hole) },
    };

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
        if (judged is { Chance: { } byHand } && planned is { Chance: { } best } && best - byHand >= 0.05)
            against += $" It is right the first time in {FirstTimeChance.Says(byHand)} instead of {FirstTimeChance.Says(best)}.";
        if (judged.Misfit > Length.Zero)
            return $"By hand: {judged.Misfit.ToTenths()} outside what can be worn.{against}";
        var worse = (judged.TwiceTrouble - planned.TwiceTrouble).Half();
        return (worse > Length.Zero ? $"By hand: {worse.ToTenths()} more amiss than the planner’s answer." : "By hand: as little amiss as the planner’s answer.") + against;
    }

    private static string? Warn(JobSnapshot file, FitTarget target)
    {
        var notices = new List<string>();
        if (file.Plan?.Target is { } wanted && (wanted - target.Length).Abs() > Length.FromMillimetres(0.05m))
            notices.Add($"The figures have changed since this arrangement was stored: {wanted.ToTenths()} was wanted, {target.Length.ToTenths()} is now.");
        if (file.Figures.Ways(file.PivotHeight)?.RestsOn is { } restsOn)
            notices.Add(restsOn);
        if (file.Figures.LugsOverhang)
            notices.Add("The lugs reach past this wrist; tell the owner.");
        notices.AddRange(Core.HandOver.Drawbacks.Of(file));
        return notices.Count == 0 ? null : string.Join(' ', notices);
    }

    private static Picture? Draw(JobSnapshot file, Head head, LoopDrawing? drawing, Arrangement? arrangement) => drawing is null ? null
        : LoopPicture.Of(drawing, new LoopLook(head, file.Figures.LugToLug, file.Band?.Thickness ?? 2 * file.PivotHeight)
        {
            HeadAssumed = file.Figures.IsUnconfirmed(GaugedFigure.BarToBar) || file.Figures.IsUnconfirmed(GaugedFigure.BarRise),
            BandChosen = file.Band is not null,
            Tried = file.Job.BandId != file.Stock?.Id,
            Arrangement = file.Band?.Links is null ? null : arrangement,
        });

    private static LayOut Lay(JobSnapshot file, Head head, Arrangement arrangement, BraceletClasp clasp) => new(arrangement.Twelve, arrangement.Six, head.BarToBar)
    {
        Pinned = file.Marks.Pinned,
        Clasp = new LaidClasp(clasp.Twelve, clasp.Six, clasp.Tighter(arrangement.Position), clasp.MicroSide, clasp.Positions, arrangement.Position),
        TwelveJoints = arrangement.JointsOpened(Side.Twelve),
        SixJoints = arrangement.JointsOpened(Side.Six),
    };

    private static LayOut Lay(Head head, Band band, HoledBand strap, StrapFit fit) => new([], [], head.BarToBar)
    {
        Strap = new LaidStrap(
            band.Strap?.BucklePiece ?? strap.Tightest.Half(), TailOf(band, strap), HolesOf(band, strap), fit.Hole,
            band.Strap is { } pieces ? [.. TwoPieceStrap.Keepers.Select(k => (pieces.HoleAt(fit.Hole) + k.From, pieces.HoleAt(fit.Hole) + k.To))] : [],
            fit.KeepersHold),
    };

    private static RulersWire Draw(FitRulers rulers) => new(
        RulerWire.Of(rulers.Ease), rulers.Temper, rulers.OffCentre is { } centre ? RulerWire.Of(centre) : null, RulerWire.Of(rulers.Tighter), RulerWire.Of(rulers.Looser));

    private static AtTheClaspWire AtTheClasp(JobSnapshot file, Side side) => new(
        LinkMarks.WhyNotFreed(file.Chosen?.Unmarked.Links?.On(side) ?? [], side, Length.Zero) is null,
        file.Marks.Freed.TryGetValue(side, out var end) ? end : null);

    private static IEnumerable<PlacedLinkWire> SparesLeft(Band band, Arrangement arrangement)
    {
        foreach (var loose in arrangement.LooseLinks(band.Spares))
            for (var i = 0; i < loose.Count; i++)
                yield return PlacedLinkWire.Of(PlacedLink.Joining(loose.Kind) with { Fate = LinkFate.Leaves });
    }

    private static int Percent(double chance) => (int)Math.Round(100 * chance);
}
