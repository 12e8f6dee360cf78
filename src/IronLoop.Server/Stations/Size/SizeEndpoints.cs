using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Size;

/// <summary>One side by hand.</summary>
/// <param name="Out">Places of the links taken out, counted from the case, 0 first.</param>
/// <param name="In">The links put in at the clasp.</param>
internal sealed record ByHandSide(IReadOnlyList<int> Out, IReadOnlyList<LooseLinkWire> In);

/// <summary>An arrangement by hand: of a bracelet both sides and the micro position; of a strap the hole alone.</summary>
internal sealed record ByHand(ByHandSide Twelve, ByHandSide Six, int Position)
{
    public Arrangement Read(Band band, HoledBand? holed)
    {
        var refusals = new Refusals();
        var positions = band.Clasp?.Positions ?? holed?.Holes ?? 1;
        refusals.Check("$.position", new AllowedNumber(0, positions - 1), Position);
        var arrangement = new Arrangement(
            Row(refusals, "$.twelve", band.Links?.Twelve ?? [], Twelve),
            Row(refusals, "$.six", band.Links?.Six ?? [], Six),
            Position);
        foreach (var loose in arrangement.LooseLinks(band.Spares).Where(l => l.Count < 0))
            refusals.Add("$.twelve.in", $"{-loose.Count} more of {loose.Kind} put in than there are loose.");
        refusals.ThrowIfAny("The links cannot lie like this.");
        return arrangement;
    }

    private static List<PlacedLink> Row(Refusals refusals, string path, IReadOnlyList<Link> row, ByHandSide side)
    {
        refusals.Check($"{path}.in", new AllowedNumber(0, FitRanges.Spares.Highest), side.In.Count);
        var placed = row.Select(PlacedLink.AsItIs).ToList();
        for (var i = 0; i < side.Out.Count; i++)
        {
            var ordinal = side.Out[i];
            if (ordinal < 0 || ordinal >= row.Count)
                refusals.Add($"{path}.out[{i}]", $"out is {ordinal}; this side has links 0 to {row.Count - 1}.");
            else if (!row[ordinal].Removable)
                refusals.Add($"{path}.out[{i}]", $"Link {ordinal + 1} from the case does not come out.");
            else
                placed[ordinal] = placed[ordinal] with { Fate = LinkFate.Leaves };
        }
        placed.AddRange(side.In.Take((int)FitRanges.Spares.Highest).Select(l => l.ToJoin()));
        return placed;
    }
}

/// <summary>How the client wears it; lengths as typed, empty where it is as the house has it.</summary>
/// <param name="OffCentre">How far off the middle the clasp is worn on purpose.</param>
/// <param name="Toward">Toward which side.</param>
/// <param name="Hot">How much more room a hot day asks for.</param>
/// <param name="Cold">How much less room a cold day asks for.</param>
internal sealed record HabitsWire(string OffCentre = "", Side Toward = Side.Six, string Hot = "", string Cold = "")
{
    public static HabitsWire Of(Habits habits) => new(
        habits.OffCentre == Length.Zero ? "" : habits.OffCentre.Abs().ToString(), habits.OffCentre < Length.Zero ? Side.Twelve : Side.Six,
        habits.Hot?.ToString() ?? "", habits.Cold?.ToString() ?? "");

    public Habits Read()
    {
        var refusals = new Refusals();
        var off = refusals.Typed("$.offCentre", OffCentre, AllowedLength.Mm(0, 20)) ?? Length.Zero;
        var habits = new Habits(
            Toward == Side.Six ? off : -off, refusals.Typed("$.hot", Hot, Habits.DayAllowed), refusals.Typed("$.cold", Cold, Habits.DayAllowed));
        refusals.ThrowIfAny("This cannot be taken.");
        return habits;
    }
}

/// <summary>Size: the plan, changed by hand or taken as it is.</summary>
internal static class SizeEndpoints
{
    public static void MapSize(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/jobs/{id:long}/loop", Loop).WithName("loop").WithTags("size")
            .WithSummary("The loop to scale, the lay-out, the rulers.").ProducesProblem(StatusCodes.Status404NotFound);
        var size = routes.MapGroup("/api/jobs/{id:long}/size").WithTags("size");
        size.MapPut("", ArrangeByHand).WithName("arrange").WithSummary("Takes an arrangement by hand and answers what it comes to.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        size.MapDelete("", BackToPlan).WithMetadata(new OverwritesWhatStands()).WithName("backToPlan").WithSummary("Back to the planner’s answer.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        size.MapGet("/habits", Habits).WithName("habits").WithSummary("How the client wears it.").ProducesProblem(StatusCodes.Status404NotFound);
        size.MapPut("/habits", Wears).WithName("setHabits").WithSummary("How the client wears it: off-centre on purpose, hot and cold days.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        size.MapPost("/agree", Agree).WithMetadata(new OverwritesWhatStands()).WithName("agree").WithSummary("Takes the arrangement as it stands to the bench.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static LoopSheet Loop(long id, OpenShop shop)
    {
        using var work = shop.Look();
        return LoopSheet.Of(TheJob.Read(work, id));
    }

    private static HabitsWire Habits(long id, OpenShop shop)
    {
        using var work = shop.Look();
        return HabitsWire.Of(TheJob.Read(work, id).Figures.Habits);
    }

    private static HabitsWire Wears(long id, HabitsWire typed, OpenShop shop)
    {
        var habits = typed.Read();
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Gauge);
        Clients.Wears(work, file.Job.Client.Id, habits);
        work.Commit();
        return HabitsWire.Of(habits);
    }

    private static LoopSheet ArrangeByHand(long id, ByHand byHand, OpenShop shop)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Arrange);
        Plans.Set(work, id, new JobPlan(byHand.Read(file.Band!, file.Holed), file.Target!.Value.Length, null));
        work.Commit();
        return LoopSheet.Of(TheJob.Read(work, id));
    }

    private static LoopSheet BackToPlan(long id, OpenShop shop)
    {
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.Arrange);
        Plans.Drop(work, id);
        work.Commit();
        return LoopSheet.Of(TheJob.Read(work, id));
    }

    private static JobWire Agree(long id, OpenShop shop, TimeProvider clock)
    {
        var at = clock.GetUtcNow();
        var foreseen = new Foreseen<(AgreedPlan, LogLine)>(shop, id, JobAct.Agree, job => Agreeing.WorkOut(job, at));
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Agree);
        Agreeing.Store(work, file, foreseen.Of(file), at);
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }
}
