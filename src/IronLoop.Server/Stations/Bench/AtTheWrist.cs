using System.Globalization;
using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Server.Stations.Size;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Bench;

/// <summary>The try-on, of whatever band: what was found, and what it changes of the rest.</summary>
internal static class AtTheWrist
{
    /// <summary>What should be felt when the next step is a try-on; null when it is another, or nothing can be said.</summary>
    public static string? Foretold(JobSnapshot file)
    {
        if (file.Bench is not { Facts: { } facts, Now: { } stands, Left: [{ Row: StepRow.TryOn }, ..] } || file.Target is not { } target || file.Plan is not { } plan)
            return null;
        if (file.Holed is { } holed)
            return Core.Bench.Foretold.Of(holed, plan.Arrangement.Position, target);
        return file.Band is { Clasp: not null } band && Lying.Of(facts, stands.Stand) is { } now
            ? Core.Bench.Foretold.Of(now, Planner.Judge(Sizing.Request(band, target, file.Figures.Habits), now), target)
            : null;
    }

    /// <summary>Takes where a strap or a mesh was closed, and how it felt there.</summary>
    /// <param name="work">The piece of work; it is left to the caller to keep it.</param>
    /// <param name="file">The job.</param>
    /// <param name="tried">What was found.</param>
    /// <param name="at">When.</param>
    /// <param name="seconds">How long the step took; null where that is not known.</param>
    /// <exception cref="RefusedException">The try-on is not the next step, or what was found cannot be.</exception>
    public static TriedSheet Closed(ShopWork work, JobSnapshot file, TriedWire tried, DateTimeOffset at, int? seconds)
    {
        if (file.Bench is not { Facts: { } facts, Now: { } stands, Left: [{ Row: StepRow.TryOn } next, ..] } || file is not { Plan: { } plan, Holed: { } holed })
            throw RefusedException.Conflict("The try-on is not the next step.");
        var refusals = new Refusals();
        var position = Position(holed, tried.ClosedIn, refusals) ?? plan.Arrangement.Position;
        var tail = refusals.Typed("$.tail", tried.Tail, AllowedLength.Mm(0, 120));
        if (tried.Ease is null && tried.ClosedIn.Length == 0 && tail is null)
            refusals.Add("$.closedIn", $"Say where it was closed, how it felt, or both; a {holed.Place} is counted from the tight end.");
        refusals.ThrowIfAny("The try-on is not taken.");
        var same = position == plan.Arrangement.Position;
        var felt = new Felt(TryOnOutcome.Felt, next.Acts.OfType<Act.TryOn>().First().Final) { Position = position, Ease = tried.Ease, Tail = tail };
        if (tried.Take)
        {
            var id = file.Job.Id;
            BenchChange.Begin(work, file);
            var step = next;
            if (!same)
            {
                Plans.Set(work, id, plan with { Arrangement = plan.Arrangement with { Position = position } });
                var (joint, to) = (stands.Stand.Joints.First(j => j is { Closed: true, Position: not null } && j.Fastener == Fastener.ByHand), ToTheWatch.PositionOf(facts, position));
                step = next with { Acts = [new Act.Adjust(joint.Id, to), .. next.Acts] };
                var stored = BenchWork.Plan(work, id)!;
                BenchWork.Set(work, id, stored with { Plan = stored.Plan.ClosedAt(joint.Id, to) });
            }
            BenchWork.Do(work, id, step with { Says = $"{next.Says} {felt.Says(holed)}" }, null, at, file.Job.TakenInBy, seconds);
            TriedOns.Keep(work, id, felt);
            Log.Write(work, id, at, file.Job.TakenInBy, Station.Bench, LogLine.Of(LogKind.TriedOn, felt.Says(holed)));
        }
        var length = holed.LengthIn(position);
        return new TriedSheet(
            felt.Says(holed), same, false, false, file.Target?.Length ?? length, length, holed.TwiceOffCentre(position)?.Millimetres / 2, null,
            BenchSheet.Of(work, tried.Take ? TheJob.Read(work, file.Job.Id) : file));
    }

    /// <summary>A hole or notch by its number from the tight end; on what locks anywhere, how far from its tightest.</summary>
    private static int? Position(HoledBand holed, string typed, Refusals refusals)
    {
        if (typed.Trim() is not { Length: > 0 } said)
            return null;
        if (holed.LocksAnywhere)
        {
            var looser = refusals.Typed("$.closedIn", said, new AllowedLength(Length.Zero, holed.Looser(holed.Holes - 1)));
            return looser is { } far ? (int)((far.Micrometres + (HoledBand.Anywhere.Micrometres / 2)) / HoledBand.Anywhere.Micrometres) : null;
        }
        if (int.TryParse(said, NumberStyles.None, CultureInfo.InvariantCulture, out var number) && number >= 1 && number <= holed.Holes)
            return number - 1;
        refusals.Add("$.closedIn", $"closedIn is {said}; allowed is 1 to {holed.Holes}, the {holed.Place}s counted from the tight end.");
        return null;
    }

    /// <summary>Takes back where it was found to be closed: what was planned before is planned again.</summary>
    public static void TakeBack(ShopWork work, JobSnapshot file, WorkedStep step)
    {
        if (step.Acts!.OfType<Act.Adjust>().FirstOrDefault() is not { } found || step.Row != StepRow.TryOn || file is not { Holed: { } holed, Plan: { } plan, Bench.Facts: { } facts })
            return;
        var before = Worked.After(file.Bench.Plan!.From, file.Bench.Done.Where(d => d.Seq != step.Seq).SelectMany(d => d.Acts!)).Stand.Joint(found.Joint)!.Position!.Value;
        var stored = BenchWork.Plan(work, file.Job.Id)!;
        BenchWork.Set(work, file.Job.Id, stored with { Plan = stored.Plan.ClosedAt(found.Joint, before) });
        Plans.Set(work, file.Job.Id, plan with { Arrangement = plan.Arrangement with { Position = Enumerable.Range(0, holed.Holes).First(p => ToTheWatch.PositionOf(facts, p) == before) } });
    }

    /// <summary>Notes a try-on that was as planned, or why there was none.</summary>
    public static void Note(ShopWork work, JobSnapshot file, BenchStep step, string notTried)
    {
        var felt = new Felt(notTried.Length > 0 ? TryOnOutcome.NotTried : TryOnOutcome.AsPlanned, step.Acts.OfType<Act.TryOn>().First().Final)
        {
            Position = file.Holed is null ? null : file.Plan?.Arrangement.Position,
            Reason = notTried,
        };
        TriedOns.Keep(work, file.Job.Id, felt);
    }

    /// <summary>Judges what was felt of a bracelet, and takes the new plan where that is asked for.</summary>
    /// <param name="work">The piece of work; it is left to the caller to keep it.</param>
    /// <param name="file">The job.</param>
    /// <param name="tried">What was felt and seen.</param>
    /// <param name="at">When.</param>
    /// <param name="seconds">How long the step took; null where that is not known.</param>
    /// <exception cref="RefusedException">The try-on is not the next step, or what was felt cannot be.</exception>
    public static TriedSheet TriedOn(ShopWork work, JobSnapshot file, TriedWire tried, DateTimeOffset at, int? seconds)
    {
        var refusals = new Refusals();
        var bench = file.Bench;
        if (bench is not { Facts: { Band.Links: { } links } facts, Plan: { } agreed, Now: { } stands, Left: [{ Row: StepRow.TryOn } next, ..] }
            || file.Plan is null || file.Band is not { Clasp: { } clasp } band || Lying.Of(facts, stands.Stand) is not { } now)
            throw RefusedException.Conflict("The try-on is not the next step.");
        var first = agreed.Targets[0].First;
        var usual = links.Twelve.Concat(links.Six).GroupBy(l => l.Pitch).OrderByDescending(g => g.Count()).ThenBy(g => g.Key).First().Key;
        var loop = now.LoopLength(clasp);
        var judged = new TryOnWire(tried.By, tried.Over, tried.Amount, Wedge: tried.Wedge).Into(new TryOn(), refusals) with
        {
            Loop = loop,
            Pitch = usual,
            Thickness = band.Thickness,
        };
        var seen = refusals.Typed("$.seen", tried.Seen, AllowedLength.Mm(0, 30));
        if (judged.Amount is null)
            refusals.Add("$.amount", "Enter the surplus that was felt.");
        refusals.ThrowIfAny("The try-on is not taken.");
        var figures = file.Figures with { TryOn = judged };
        if (figures.Target(band.PivotHeight) is not { } target)
            throw RefusedException.Conflict("With this surplus no length can be worked out; judge it again.");
        var rest = Core.Bench.TriedOn.Of(band, now, file.Plan.Arrangement, first, target, file.Figures.Habits);
        var comes = Planner.Judge(Sizing.Request(band, target, file.Figures.Habits), rest.Plan);
        var sits = (now.Half(Side.Twelve, clasp) - now.Half(Side.Six, clasp)).Millimetres / 2;
        var seenSays = seen is { } far ? SeenSays(tried.Toward == Side.Six ? far.Millimetres : -far.Millimetres, sits) : null;
        if (tried.Take)
        {
            var id = file.Job.Id;
            BenchChange.Begin(work, file);
            Gaugings.TryOn(work, id, judged);
            Plans.Set(work, id, new JobPlan(rest.Plan, rest.Target.Length, file.Plan.AgreedAt));
            BenchWork.Do(work, id, next with { Says = $"{next.Says} {rest.Says}" }, null, at, file.Job.TakenInBy, seconds);
            TriedOns.Keep(work, id, new Felt(TryOnOutcome.Felt, next.Acts.OfType<Act.TryOn>().First().Final) { Surplus = loop - target.Length });
            if (!rest.Same)
                BenchChange.Agreed(work, id);
            Log.Write(work, id, at, file.Job.TakenInBy, Station.Bench, LogLine.Of(LogKind.TriedOn, $"Tried on. {rest.Says}", seenSays ?? ""));
        }
        return new TriedSheet(
            rest.Says, rest.Same, rest.OnlyMicro, rest.FirstSideAgain, target.Length, comes.Length, comes.OffCentreMillimetres, seenSays,
            BenchSheet.Of(work, tried.Take ? TheJob.Read(work, file.Job.Id) : file));
    }

    private static string SeenSays(decimal seen, decimal computed)
    {
        static string At(decimal mm) => Math.Abs(mm) < 0.05m ? "in the middle"
            : string.Create(CultureInfo.InvariantCulture, $"{Math.Abs(mm):0.0} mm toward the {(mm > 0 ? "6" : "12")} side");
        return Math.Abs(seen - computed) <= 3
            ? $"The clasp was seen {At(seen)}; by its links it sits {At(computed)}: they agree."
            : $"The clasp was seen {At(seen)}, by its links it sits {At(computed)}: look whether the clasp’s two lengths are right.";
    }
}
