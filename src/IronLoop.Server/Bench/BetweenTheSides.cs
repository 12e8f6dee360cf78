using System.Globalization;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Bench;

/// <summary>The try-on of a bracelet: what was felt and seen there, and what it changes of the rest.</summary>
internal static class BetweenTheSides
{
    /// <summary>Judges what was felt, and takes the new plan where that is asked for.</summary>
    /// <param name="work">The piece of work; it is left to the caller to keep it.</param>
    /// <param name="file">The job.</param>
    /// <param name="tried">What was felt and seen.</param>
    /// <param name="at">When.</param>
    /// <param name="seconds">How long the step took; null where that is not known.</param>
    /// <exception cref="RefusedException">The try-on is not the next step, or what was felt cannot be.</exception>
    public static TriedSheet TriedOn(ShopWork work, JobFile file, TriedWire tried, DateTimeOffset at, int? seconds)
    {
        var refusals = new Refusals();
        var bench = file.Bench;
        if (bench is not { Facts: { Band.Links: { } links } facts, Plan: { } agreed, Now: { } stands, Left: [{ Row: StepRow.TryOn } next, ..] }
            || file.Plan is null || file.Band is not { Clasp: { } clasp } band || Lying.Of(facts, stands.Stand) is not { } now)
            throw RefusedException.Conflict("The try-on is not the next step.");
        var first = agreed.Targets[0].First;
        var usual = links.Twelve.Concat(links.Six).GroupBy(l => l.Pitch).OrderByDescending(g => g.Count()).ThenBy(g => g.Key).First().Key;
        var loop = now.Sum(Side.Twelve) + now.Sum(Side.Six) + clasp.Twelve + clasp.Six + clasp.Tighter(now.Position);
        var judged = new Gauge.TryOnWire(tried.By, tried.Over, tried.Amount, Wedge: tried.Wedge).Into(new TryOn(), refusals) with
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
        var sits = (now.Sum(Side.Twelve) + clasp.Twelve + (clasp.MicroSide == Side.Twelve ? clasp.Tighter(now.Position) : Length.Zero)
            - now.Sum(Side.Six) - clasp.Six - (clasp.MicroSide == Side.Six ? clasp.Tighter(now.Position) : Length.Zero)).Millimetres / 2;
        var seenSays = seen is { } far ? SeenSays(tried.Toward == Side.Six ? far.Millimetres : -far.Millimetres, sits) : null;
        if (tried.Take)
        {
            var id = file.Job.Id;
            BenchChange.Begin(work, file);
            Gaugings.TryOn(work, id, judged);
            Plans.Set(work, id, new StoredPlan(rest.Plan, rest.Target.Length, file.Plan.AgreedAt));
            BenchWork.Do(work, id, next with { Says = $"{next.Says} {rest.Says}" }, null, at, file.Job.TakenInBy, seconds);
            if (!rest.Same)
                BenchChange.Agreed(work, id);
            Log.Write(work, id, at, file.Job.TakenInBy, Station.Bench, $"Tried on. {rest.Says} {seenSays}".TrimEnd());
        }
        return new TriedSheet(
            rest.Says, rest.Same, rest.OnlyMicro, rest.FirstSideAgain, target.Length, comes.Length, comes.OffCentreMillimetres, seenSays,
            BenchSheet.Of(work, tried.Take ? JobFile.Read(work, file.Job.Id) : file));
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
