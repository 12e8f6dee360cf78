using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Paper;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Bench;

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
        bench.MapPut("/open", Open).WithName("openToGauge").WithSummary("The joints that are opened to be gauged before the rest is agreed.")
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
        bench.MapGet("/referral.pdf", Referral).ExcludeFromDescription();
        bench.MapPut("/try-on", TryOn).WithName("benchTryOn").WithSummary("What was found at the try-on, and what that changes of the rest.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    /// <summary>The consents that a job's lasting work needs.</summary>
    internal static IEnumerable<ConsentTopic> TopicsOf(JobFile file)
    {
        if (file.BandWork().Any(w => !w.Reversible))
            yield return ConsentTopic.Band;
        if (file.ClaspWork().Any(w => !w.Reversible))
            yield return ConsentTopic.Clasp;
    }

    private static BenchSheet Look(long id, ShopFile shop)
    {
        using var work = shop.Look();
        return BenchSheet.Of(work, JobFile.Read(work, id));
    }

    private static BenchSheet SetUp(long id, SetupWire typed, ShopFile shop)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustNotBeReferred();
        file.MustBeOpen();
        BenchSetups.Set(work, id, typed.Read());
        BenchChange.Again(work, id);
        return Kept(work, id);
    }

    private static BenchSheet SetHands(long id, GripWire hands, ShopFile shop)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        BenchSetups.Set(work, Hand.AtWork?.By ?? file.Job.TakenInBy, new Hands(hands.Grip, hands.LeftHanded));
        return Kept(work, id);
    }

    private static BenchSheet Found(long id, LookWire seen, ShopFile shop)
    {
        var look = seen.Read();
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustNotBeReferred();
        file.MustBeOpen();
        if (file.Band?.Links is null && seen.Group != JointGroup.Lugs)
            throw RefusedException.Conflict("Only a link bracelet has such joints.");
        JointLooks.Set(work, id, seen.Group, look);
        BenchChange.Again(work, id);
        return Kept(work, id);
    }

    private static BenchSheet Came(long id, CameWire came, ShopFile shop)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        var refusals = new Refusals();
        if (came.IsWanted && file.Band is { } band && AsItCame.KindOf(band) != came.On)
            refusals.Add("$.on", $"on is {came.On}; the band of this job is {AsItCame.KindOf(band)}, so it can only be that, or another band.");
        if (came.On == OnTheWatch.Nothing && came.IsWanted)
            refusals.Add("$.isWanted", "isWanted is true; nothing is on the watch.");
        refusals.ThrowIfAny();
        CameAs.Set(work, id, new AsItCame(came.On, came.Held, came.IsWanted) { Position = file.BenchFile.Came?.Position });
        // How the old band is held is found at the bench too.
        BenchChange.Again(work, id);
        return Kept(work, id);
    }

    private static BenchSheet Open(long id, OpenWire open, ShopFile shop)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustNotBeOnTheBench();
        if (file.Bench is { IsOpened: false, Plan.IsToGauge: false })
            throw RefusedException.Conflict("The plan is agreed; its steps open what they need.");
        var may = BenchFactsOf.Of(file) is { } facts ? OpenedToGauge.Groups(facts) : [];
        var refusals = new Refusals();
        foreach (var group in open.Groups.Distinct().Except(may))
            refusals.Add("$.groups", $"groups has {group}; on this watch {(may.Count == 0 ? "nothing can be opened yet" : $"can be opened {string.Join(", ", may)}")}.");
        refusals.ThrowIfAny("This cannot be opened.");
        ToBeGauged.Set(work, id, open.Groups);
        BenchChange.Again(work, id);
        return Kept(work, id);
    }

    private static BenchSheet Lend(long id, LentWire lent, ShopFile shop)
    {
        var lines = lent.Read();
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        file.MustNotBeReferred();
        LentThings.Set(work, id, lines);
        BenchChange.Again(work, id);
        return Kept(work, id);
    }

    private static BenchSheet Tick(long id, string key, TickWire tick, ShopFile shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var skipped = refusals.Text("$.skipped", tick.Skipped, 300, required: false);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        file.MustNotBeReferred();
        var bench = file.Bench;
        if (bench.Trouble is { } trouble)
            throw RefusedException.Conflict(trouble);
        var now = clock.GetUtcNow();
        if (!tick.Done)
        {
            TakeBack(work, file, key);
            return Kept(work, id);
        }
        if (BenchSteps.WhyNot(bench.Left, bench.Steps, key, tick: true) is { } why)
            throw RefusedException.Conflict(why);
        var step = bench.Left[0];
        if (step.Waits is { } waits)
            throw RefusedException.Conflict(waits);
        if (skipped.Length > 0 && !step.MayBeSkipped)
            throw RefusedException.Conflict("This step cannot be left out: the plan would not be true. Take the plan back to Size instead, or stop and refer.");
        if (step.Row == StepRow.Consent && BenchSheet.ConsentOf(work, file) is { Signed: false })
            throw RefusedException.Conflict("The owner has not signed yet: have it signed here, or on the printed sheet.");
        if (step.Row == StepRow.TryOn && skipped.Length == 0 && !tick.AsPlanned)
            throw RefusedException.Conflict("Say how it was on the wrist: as planned, what was found instead, or why it was not tried.");
        BenchChange.Begin(work, file);
        if (bench.Now is { } stands)
            Fetch(work, file, Used.Fetched(stands.Stand, step.Acts));
        BenchWork.Do(work, id, step, skipped.Length > 0 ? skipped : null, now, file.Job.TakenInBy, Seconds(file, now));
        // A check that is not settled is a note that wants its answer.
        if (step.Row == StepRow.Check && skipped.Length > 0)
            StepNotes.Add(work, id, NoteEndpoints.FirstOf(step.Says), skipped, isSettled: false, null, now, file.Job.TakenInBy);
        if (step.Row == StepRow.TryOn)
            AtTheWrist.Note(work, file, step, skipped);
        file = JobFile.Read(work, id);
        if (file.Progress.Done(Station.Bench))
        {
            Log.Write(work, id, now, file.Job.TakenInBy, Station.Bench, LogLine.Of(LogKind.BenchDone, $"{file.Progress.Steps}"));
        }
        return Kept(work, id);
    }

    /// <summary>What a step takes out of its drawer is the job's from then on, if it was not before.</summary>
    internal static void Fetch(ShopWork work, JobFile file, IReadOnlyDictionary<string, int> fetched)
    {
        foreach (var (article, count) in fetched)
        {
            var more = count - file.Taken.Where(t => t.Part.Part.Article == article && t is { IsReserved: true, BookedAt: null }).Sum(t => t.Count);
            if (more <= 0 || Parts.Find(work, article) is not { } part)
                continue;
            if (!PartsTaken.Take(work, file.Job.Id, PartsTaken.Fetched(article), part.Id, more))
                throw RefusedException.Conflict($"{part.Part.Name}, {article}: {more} wanted, {part.Count.Free} free. Count the stock, or take others.");
        }
    }

    /// <summary>Takes the last step back; what happened to parts since has to hold without it.</summary>
    private static void TakeBack(ShopWork work, JobFile file, string key)
    {
        var (bench, id) = (file.Bench, file.Job.Id);
        var steps = bench.Done.Where(d => d.Row != StepRow.Tray).ToList();
        if (BenchSteps.WhyNot([], [.. steps.Select(d => d.Step)], key, tick: false) is { } why)
            throw RefusedException.Conflict(why);
        var last = steps[^1];
        if (last.Row == StepRow.Before)
            throw RefusedException.Conflict("That was done under a version before this one and cannot be taken back.");
        if (file.BenchFile.Plan is { AtSeq: var agreed } && bench.Done.Count <= agreed)
            throw RefusedException.Conflict("The plan was changed after that; what was done before it stays done.");
        try
        {
            _ = Worked.After(bench.Plan!.From, bench.Done.Where(d => d != last).SelectMany(d => d.Acts!));
        }
        catch (InvalidOperationException)
        {
            throw RefusedException.Conflict("Parts of it are gone or were replaced since; put that right at the Tray first.");
        }
        BenchWork.Undo(work, id, last.Seq);
        var before = Worked.After(bench.Plan.From, bench.Done.Where(d => d != last).SelectMany(d => d.Acts!));
        foreach (var article in Used.Fetched(before.Stand, last.Acts!).Keys)
            PartsTaken.Leave(work, id, PartsTaken.Fetched(article));
        AtTheWrist.TakeBack(work, file, last);
        if (bench.Done.Count == 1)
            BenchWork.Forget(work, id);
    }

    private static BenchSheet Sign(long id, SignWire signed, ShopFile shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var by = refusals.Text("$.signedBy", signed.SignedBy, 80, required: true);
        if (signed.Signature.Length > 20_000 || !Signature().IsMatch(signed.Signature))
            refusals.Add("$.signature", "A signature is drawn in moves and lines, at most 20 000 signs.");
        else if (signed.Signature.Length == 0 && !signed.OnPaper)
            refusals.Add("$.signature", "Let the owner sign here, or say that the printed sheet is signed.");
        refusals.ThrowIfAny("This is no consent yet.");
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        if (file.Lasting is not { Length: > 0 } lasting || file.Job.BandId is not { } band)
            throw RefusedException.Conflict("Nothing on this job asks for a consent.");
        var now = clock.GetUtcNow();
        foreach (var topic in TopicsOf(file))
        {
            var words = Consents.Of(work, id, topic)?.Work ?? lasting;
            Consents.Set(work, id, new Consent(band, words, by, now) { Signature = signed.Signature, OnPaper = signed.OnPaper }, file.Job.TakenInBy, topic);
        }
        Log.Write(work, id, now, file.Job.TakenInBy, Station.Bench, LogLine.Of(LogKind.Signed, signed.OnPaper ? "on paper" : "on the screen", lasting).Saying(Wording.SignedBy, by));
        return Kept(work, id);
    }

    private static BenchSheet Part(long id, TrayActWire act, ShopFile shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        refusals.Check("$.count", new AllowedNumber(1, 200), act.Count);
        var part = refusals.Text("$.part", act.Part, 80, required: true);
        var why = refusals.Text("$.why", act.Why, 300, required: false);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        if (file.Bench is not { Plan: { } plan, Now: { } now })
            throw RefusedException.Conflict("There is no tray before a plan is agreed.");
        if (!TrayLine.Of(plan.From, now.Stand, plan.To).Any(l => l.What == part))
            refusals.Add("$.part", $"The tray knows no {part}; it has {string.Join(", ", TrayLine.Of(plan.From, now.Stand, plan.To).Select(l => l.What))}.");
        refusals.ThrowIfAny("The tray is left as it was.");
        var at = clock.GetUtcNow();
        BenchChange.Begin(work, file);
        var booked = "";
        if (act.PartId is { } stocked && act.Act is TrayAct.FromStock or TrayAct.ToStock)
            booked = Book(work, file, stocked, act.Act == TrayAct.FromStock ? act.Count : -act.Count);
        var said = "";
        for (var i = 0; i < act.Count; i++)
            said = TrayActs.Do(work, JobFile.Read(work, id), part, act, booked, at);
        // What would leave an account that cannot be worked on is not put on it.
        if (JobFile.Read(work, id).Bench.Trouble is { } trouble)
            throw RefusedException.Conflict($"{part}: this does not go with what was done since; take back the steps after it first. {trouble}");
        BenchWork.Why(work, id, why, at, file.Job.TakenInBy);
        Log.Write(work, id, at, file.Job.TakenInBy, Station.Bench, LogLine.Of(LogKind.Tray, said, booked).Saying(Wording.Why, why));
        return Kept(work, id);
    }

    /// <summary>Takes parts of the shop's for the job, or gives them back; they are booked out when it is handed over.</summary>
    private static string Book(ShopWork work, JobFile file, long partId, int change)
    {
        var part = Parts.Find(work, partId) ?? throw RefusedException.NotFound($"There is no part {partId}.");
        var use = $"tray {part.Part.Article}";
        var count = change + file.Taken.Where(t => t.Use == use && t.BookedAt is null).Sum(t => t.Count);
        if (count < 0)
            throw RefusedException.Conflict($"This job has no {-change} of {part.Part.Article} to give back.");
        if (count == 0)
            PartsTaken.Leave(work, file.Job.Id, use);
        else if (!PartsTaken.Take(work, file.Job.Id, use, partId, count))
            throw RefusedException.Conflict($"{part.Part.Name}, {part.Part.Article}: {part.Count.Free} free, {change} wanted.");
        return part.Part.Article;
    }

    private static List<TrayStockWire> Stock(long id, ShopFile shop)
    {
        using var work = shop.Look();
        _ = JobFile.Read(work, id);
        return
        [
            .. ((PartKind[])[PartKind.Pin, PartKind.Bar, PartKind.Link]).SelectMany(kind => Parts.All(work, kind)).Where(p => p.Count.Free > 0)
                .Select(p => new TrayStockWire(p.Id, p.Part.Article, p.Part.Name, p.Part.Measured, p.Count.Free)),
        ];
    }

    private static IResult Referral(long id, string? paper, ShopFile shop)
    {
        var refusals = new Refusals();
        var size = refusals.Choice<PaperSize>("$.paper", paper) ?? PaperSize.A4;
        refusals.ThrowIfAny();
        using var work = shop.Look();
        var file = JobFile.Read(work, id);
        return file.Job.ReferredAt is null
            ? throw RefusedException.Conflict("This job is not referred to anybody.")
            : Results.File(ReferralNote.Draw(file, size), "application/pdf", $"referral-{id}.pdf");
    }

    private static TriedSheet TryOn(long id, TriedWire tried, ShopFile shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        file.MustNotBeReferred();
        var now = clock.GetUtcNow();
        var sheet = file.Holed is null ? AtTheWrist.TriedOn(work, file, tried, now, Seconds(file, now)) : AtTheWrist.Closed(work, file, tried, now, Seconds(file, now));
        if (tried.Take)
            work.Keep();
        return sheet;
    }

    /// <summary>How long the step took: since the one before, when that is not too long ago to be work on it.</summary>
    private static int? Seconds(JobFile file, DateTimeOffset now)
    {
        var since = file.BenchFile.Done.Count > 0 ? file.BenchFile.Done.Max(d => d.DoneAt) : file.Plan?.AgreedAt;
        return since is { } from && now > from && now - from < LongestStep ? (int)(now - from).TotalSeconds : null;
    }

    private static BenchSheet Kept(ShopWork work, long id)
    {
        var sheet = BenchSheet.Of(work, JobFile.Read(work, id));
        work.Keep();
        return sheet;
    }

    [System.Text.RegularExpressions.GeneratedRegex("^[ML0-9., ]*$", System.Text.RegularExpressions.RegexOptions.None, 200)]
    private static partial System.Text.RegularExpressions.Regex Signature();
}
