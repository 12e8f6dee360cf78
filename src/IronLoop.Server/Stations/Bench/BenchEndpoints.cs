using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Bench;

/// <summary>Bench: the agreed plan as steps, one at a time, with every small part on account.</summary>
internal static partial class BenchEndpoints
{
    // Longer between two steps is no work on this one.
    private static readonly TimeSpan LongestStep = TimeSpan.FromMinutes(45);

    public static void MapBench(this IEndpointRouteBuilder routes)
    {
        var bench = routes.MapGroup("/api/jobs/{id:long}/bench").WithTags("bench");
        bench.MapGet("", Look).WithName("bench").WithSummary("The steps of the agreed plan, the tray, how it is worked.").ProducesProblem(StatusCodes.Status404NotFound);
        bench.MapPut("/setup", SetUp).WithName("setUpBench").WithSummary("With which tools it is worked, and how its fitter does what others do differently.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        bench.MapPut("/hands", SetHands).WithName("setHands").WithSummary("How the fitter at work holds and turns; asked once of each.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        bench.MapPut("/joints", Found).WithName("foundJoints").WithSummary("What holds a group of joints, as a look showed or a gauge told.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        bench.MapPut("/came", Came).WithName("cameAs").WithSummary("What is on the watch now, and how it is held.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        bench.MapPut("/open", Open).WithName("openToGauge").WithSummary("The joints that are opened to be gauged before the rest is approved.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        bench.MapPut("/lent", Lend).WithName("lendForTheWork").WithSummary("What the shop lends for the work, and takes back before the watch goes.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        bench.MapPut("/steps/{key}", Tick).WithName("tickStep").WithSummary("Does the next step, leaves it out with a reason, or takes the last one back.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        bench.MapPut("/consent", Sign).WithName("signConsent").WithSummary("The owner’s signature to work that cannot be undone.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        bench.MapPost("/tray", Part).WithName("trayAct").WithSummary("A part lost, found, thrown away, taken from stock or given back.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        bench.MapGet("/tray/stock", Stock).WithName("trayStock").WithSummary("Small parts in stock that could take a lost one’s place.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        bench.MapPut("/try-on", TryOn).WithName("benchTryOn").WithSummary("What was found at the try-on, and what that changes of the rest.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static BenchSheet Look(long id, OpenShop shop)
    {
        using var work = shop.Look();
        return BenchSheet.Of(work, TheJob.Read(work, id));
    }

    private static BenchSheet SetUp(long id, SetupWire typed, OpenShop shop)
    {
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.SetUpBench);
        BenchSetups.Set(work, id, typed.Read());
        BenchChange.Again(work, id);
        return Kept(work, id);
    }

    private static BenchSheet SetHands(long id, GripWire hands, OpenShop shop)
    {
        using var work = shop.Begin();
        var file = TheJob.Read(work, id);
        BenchSetups.Set(work, shop.By ?? file.Job.TakenInBy, new Hands(hands.Grip, hands.LeftHanded));
        return Kept(work, id);
    }

    private static BenchSheet Found(long id, LookWire seen, OpenShop shop, TimeProvider clock)
    {
        var look = seen.Read();
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.SetUpBench);
        var refusals = new Refusals();
        if (file.Band?.Links is null && seen.Group != JointGroup.Lugs)
            refusals.Add("$.group", $"group is {seen.Group}; only a link bracelet has such joints.");
        refusals.ThrowIfAny();
        JointLooks.Set(work, id, seen.Group, look);
        BenchChange.Again(work, id);
        ModelBook.Learn(work, TheJob.Read(work, id), work.By ?? file.Job.TakenInBy, clock.GetUtcNow());
        return Kept(work, id);
    }

    private static BenchSheet Came(long id, CameWire came, OpenShop shop)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Note);
        var refusals = new Refusals();
        if (came.IsWanted && file.Band is { } band && AsItCame.KindOf(band) != came.On)
            refusals.Add("$.on", $"on is {came.On}; the band of this job is {AsItCame.KindOf(band)}, so it can only be that, or another band.");
        if (came.On == OnTheWatch.Nothing && came.IsWanted)
            refusals.Add("$.isWanted", "isWanted is true; nothing is on the watch.");
        refusals.ThrowIfAny();
        CameAs.Set(work, id, new AsItCame(came.On, came.Held, came.IsWanted) { Position = file.Account.Came?.Position, BandId = file.Stock?.Id });
        // How the old band is held is found at the bench too.
        BenchChange.Again(work, id);
        return Kept(work, id);
    }

    private static BenchSheet Open(long id, OpenWire open, OpenShop shop)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.OpenToGauge);
        var may = OpenedToGauge.Groups(BenchFactsOf.Of(file));
        var refusals = new Refusals();
        foreach (var group in open.Groups.Distinct().Except(may))
            refusals.Add("$.groups", $"groups has {group}; on this watch {(may.Count == 0 ? "nothing can be opened yet" : $"can be opened {string.Join(", ", may)}")}.");
        refusals.ThrowIfAny("This cannot be opened.");
        ToBeGauged.Set(work, id, open.Groups);
        BenchChange.Again(work, id);
        return Kept(work, id);
    }

    private static BenchSheet Lend(long id, LentWire lent, OpenShop shop)
    {
        var lines = lent.Read();
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.SetUpBench);
        LentThings.Set(work, id, lines);
        BenchChange.Again(work, id);
        return Kept(work, id);
    }

    private static BenchSheet Tick(long id, string key, TickWire tick, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var skipped = refusals.Text("$.skipped", tick.Skipped, 300, required: false);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Work);
        var bench = file.Bench;
        var now = clock.GetUtcNow();
        if (!tick.Done)
        {
            TakeBack(work, file, key);
            return Kept(work, id);
        }
        file.MayTick(key, skipped, tick.AsPlanned, isSigned: BenchSheet.ConsentOf(work, file) is not { Signed: false }).OrRefuse();
        var step = bench.Left[0];
        BenchChange.Begin(work, file);
        if (bench.Now is { } stands)
            Fetching.Fetch(work, file, Used.Fetched(stands.Stand, step.Acts));
        BenchWork.Do(work, id, step, skipped.Length > 0 ? skipped : null, now, file.Job.TakenInBy, Seconds(file, now));
        // A check that is not settled is a note that wants its answer.
        if (step.Row == StepRow.Check && skipped.Length > 0)
            StepNotes.Add(work, id, StepNote.StepOf(step.Says), skipped, isSettled: false, null, now, file.Job.TakenInBy);
        if (step.Row == StepRow.TryOn)
            AtTheWrist.Note(work, file, step, skipped);
        if (file.IsLast(step))
            Log.Write(work, id, now, file.Job.TakenInBy, Station.Bench, LogLine.Of(LogKind.BenchDone, $"{file.Progress.Steps}"));
        return Kept(work, id);
    }

    /// <summary>Takes the last step back; what happened to parts since has to hold without it.</summary>
    private static void TakeBack(ShopWork work, JobSnapshot file, string key)
    {
        var (bench, id) = (file.Bench, file.Job.Id);
        file.MayTakeBack(key).OrRefuse();
        var last = bench.Done.Last(d => d.Row != StepRow.Tray);
        BenchWork.Undo(work, id, last.Seq);
        var before = Worked.After(bench.Plan!.From, bench.Done.Where(d => d != last).SelectMany(d => d.Acts!));
        foreach (var article in Used.Fetched(before.Stand, last.Acts!).Keys)
            PartsTaken.Leave(work, id, PartTaken.Fetched(article));
        AtTheWrist.TakeBack(work, file, last);
        if (bench.Done.Count == 1)
            BenchWork.Forget(work, id);
    }

    private static BenchSheet Sign(long id, SignWire signed, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var by = refusals.Text("$.signedBy", signed.SignedBy, 80, required: true);
        if (signed.Signature.Length > 20_000 || !Signature().IsMatch(signed.Signature))
            refusals.Add("$.signature", "A signature is drawn in moves and lines, at most 20 000 signs.");
        else if (signed.Signature.Length == 0 && !signed.OnPaper)
            refusals.Add("$.signature", "Let the owner sign here, or say that the printed sheet is signed.");
        refusals.ThrowIfAny("This is no consent yet.");
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Sign);
        var (lasting, band) = (file.Lasting, file.Job.BandId!.Value);
        var now = clock.GetUtcNow();
        foreach (var (topic, asked) in file.ConsentsNeeded())
        {
            var words = Consents.Of(work, id, topic)?.Work ?? lasting;
            Consents.Set(work, id, new Consent(band, words, by, now) { Kinds = PieceOfWork.LastingKinds(asked), Signature = signed.Signature, OnPaper = signed.OnPaper }, file.Job.TakenInBy, topic);
        }
        Log.Write(work, id, now, file.Job.TakenInBy, Station.Bench, LogLine.Of(LogKind.Signed, signed.OnPaper ? "on paper" : "on the screen", lasting).Saying(Wording.SignedBy, by));
        return Kept(work, id);
    }

    private static BenchSheet Part(long id, TrayActWire act, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        refusals.Check("$.count", new AllowedNumber(1, 200), act.Count);
        var why = refusals.Text("$.why", act.Why, 300, required: false);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.UseTray);
        var (plan, now) = (file.Bench.Plan!, file.Bench.Now!);
        var lines = TrayLine.Of(plan.From, now.Stand, plan.To);
        var part = now.Stand.Find(act.Heap);
        if (part is null || !lines.Any(l => TrayLine.IsAlike(now.Stand[l.Key], part)))
            refusals.Add("$.heap", $"heap is “{act.Heap}”, which the tray does not know; it has {string.Join(", ", lines.Select(l => $"{l.Key} ({l.What})"))}.");
        refusals.ThrowIfAny("The tray is left as it was.");
        var at = clock.GetUtcNow();
        BenchChange.Begin(work, file);
        var booked = "";
        if (act.PartId is { } stocked && act.Act is TrayAct.FromStock or TrayAct.ToStock)
            booked = Fetching.Book(work, file, stocked, act.Act == TrayAct.FromStock ? act.Count : -act.Count);
        var said = "";
        for (var i = 0; i < act.Count; i++)
            said = TrayActs.Do(work, TheJob.Read(work, id), part!, act, booked, at);
        // What would leave an account that cannot be worked on is not put on it.
        TheJob.Read(work, id).MayStayInTheTray(TrayLine.NameOf(part!)).OrRefuse();
        BenchWork.Why(work, id, why, at, file.Job.TakenInBy);
        Log.Write(work, id, at, file.Job.TakenInBy, Station.Bench, LogLine.Of(LogKind.Tray, said, booked).Saying(Wording.Why, why));
        return Kept(work, id);
    }

    private static List<TrayStockWire> Stock(long id, OpenShop shop)
    {
        using var work = shop.Look();
        _ = TheJob.Read(work, id);
        return
        [
            .. ((PartKind[])[PartKind.Pin, PartKind.Bar, PartKind.Link]).SelectMany(kind => Parts.All(work, kind)).Where(p => p.Count.Free > 0)
                .Select(p => new TrayStockWire(p.Id, p.Part.Article, p.Part.Name, p.Part.Measured, p.Count.Free)),
        ];
    }

    private static TriedSheet TryOn(long id, TriedWire tried, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Work);
        var now = clock.GetUtcNow();
        var sheet = file.Holed is null ? AtTheWrist.TriedOn(work, file, tried, now, Seconds(file, now)) : AtTheWrist.Closed(work, file, tried, now, Seconds(file, now));
        if (tried.Take)
            work.Commit();
        return sheet;
    }

    /// <summary>How long the step took: since the one before, when that is not too long ago to be work on it.</summary>
    private static int? Seconds(JobSnapshot file, DateTimeOffset now)
    {
        var since = file.Account.Done.Count > 0 ? file.Account.Done.Max(d => d.DoneAt) : file.Plan?.AgreedAt;
        return since is { } from && now > from && now - from < LongestStep ? (int)(now - from).TotalSeconds : null;
    }

    private static BenchSheet Kept(ShopWork work, long id)
    {
        work.Commit();
        return BenchSheet.Of(work, TheJob.Read(work, id));
    }

    [System.Text.RegularExpressions.GeneratedRegex("^[ML0-9., ]*$", System.Text.RegularExpressions.RegexOptions.None, 5_000)]
    private static partial System.Text.RegularExpressions.Regex Signature();
}
