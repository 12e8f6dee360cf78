using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Tray;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Stations;
using IronLoop.Server.Stations.Bench;
using IronLoop.Storage;

namespace IronLoop.Server.Host.Demo;

/// <summary>Works jobs through the stations with the same storage and core as the fitter's screens do.</summary>
internal sealed class DemoDay(ShopWork work, TimeProvider clock, Dictionary<string, long> stock)
{
    private readonly HashSet<string> _own = new(StringComparer.Ordinal);

    public long TakeIn(string client, string contact, string watch, Request request, string words, int daysAgo, int promisedIn, string by)
    {
        var at = clock.GetUtcNow().AddDays(-daysAgo).AddMinutes(-37);
        var owner = Clients.FindOrAdd(work, client, contact);
        var id = Storage.Jobs.Add(work, owner, Watches.FindOrAdd(work, owner, watch), request, words, clock.Today().AddDays(promisedIn), null, at, by);
        Log.Write(work, id, at, by, Station.TakeIn, LogLine.Of(LogKind.TakenIn, request.ToString()).Saying(Wording.Words, words));
        return id;
    }

    public void Sees(long job, params ReadOnlySpan<(DamagePlace Place, DamageKind Kind, string Note)> marks)
    {
        foreach (var (place, kind, note) in marks)
            TakeIns.Mark(work, job, place, kind, note);
    }

    public void Came(long job, params ReadOnlySpan<(CameWith What, int Count)> lines)
    {
        foreach (var (what, count) in lines)
            TakeIns.Count(work, job, what, count);
    }

    public void Refers(long job, params OutsideCraft[] reasons) =>
        TakeIns.Refer(work, job, reasons, Referral.Note(reasons), clock.GetUtcNow(), meanwhile: false, clock.GetUtcNow(), Storage.Jobs.Find(work, job)!.TakenInBy);

    public void Gauge(long job, Figures figures)
    {
        var at = TheJob.Read(work, job).Job.TakenInAt;
        foreach (var (figure, readings) in figures.Read)
            foreach (var reading in readings.Each)
                Gaugings.Read(work, job, figure, reading, byLine: false, at);
        Gaugings.Choose(work, job, figures);
    }

    public void Reads(long job, params ReadOnlySpan<(GaugedFigure Figure, decimal Mm)> readings)
    {
        foreach (var (figure, mm) in readings)
            Gaugings.Read(work, job, figure, Length.FromMillimetres(mm), byLine: false, TheJob.Read(work, job).Job.TakenInAt);
    }

    public void GoesBack(long job, ReturnTerms terms, bool postagePaid) => Storage.Jobs.Agree(work, job, Craft.BenchOnly, terms, postagePaid);

    public void GoesAlong(long job, string article) =>
        AlsoBands.Add(work, job, new AlsoBand(Bands.Find(work, stock[article])!, PullThroughWay.Double, AlsoAs.ForTheBag), TheJob.Read(work, job).Job.TakenInAt);

    public void Choose(long job, string article) => Storage.Jobs.ChooseBand(work, job, stock[article]);

    public void ChooseOwn(long job, Func<long, StockBand> own)
    {
        var band = own(TheJob.Read(work, job).Job.Client.Id);
        Storage.Jobs.ChooseBand(work, job, Bands.Add(work, _own.Add(band.Article) ? band : band with { Article = Bands.NextArticle(work, "OWN") }));
    }

    public void KeepClasp(long job) => Storage.Jobs.KeepClasp(work, job, clock.GetUtcNow());

    public void CameOn(long job, OnTheWatch on, HeldBy held, bool isWanted = false) => CameAs.Set(work, job, new AsItCame(on, held, isWanted));

    public void Works(long job, BenchSetup setup) => BenchSetups.Set(work, job, setup);

    public void Finds(long job, params ReadOnlySpan<(JointGroup Group, Fastener Fastener)> looks)
    {
        foreach (var (group, fastener) in looks)
            JointLooks.Set(work, job, group, new JointLook(fastener));
    }

    public void NobodyTries(long job) => Storage.Jobs.Wears(work, job, hasWearer: false);

    public void TakesLinks(long job, string article, int count) =>
        LinksToTry.SetTaken(work, job, LinksToTry.LinkFor(work, TheJob.Read(work, job), Parts.Find(work, article)!.Id), count);

    public void Lends(long job, params Lent[] lent) => LentThings.Set(work, job, lent);

    public void Frees(long job, Side side, Length endPiece) => MarkedLinks.Free(work, job, side, endPiece);

    public void Inspects(long job, OwnPart part) => OwnParts.Set(work, job, part);

    public void SeesClasp(long job, JobClasp seen) => JobClasps.Set(work, job, seen);

    /// <summary>Opens what can be gauged only then, before anything is agreed.</summary>
    public void OpensToGauge(long job, params JointGroup[] groups)
    {
        ToBeGauged.Set(work, job, groups);
        TickAll(job);
    }

    /// <summary>A piece of work of some time ago, from its take-in to its hand-over three days later.</summary>
    /// <param name="choose">What is chosen and said of it before it is agreed.</param>
    public void Piece(int daysAgo, string client, string contact, string watch, Request request, string words, string by, Figures figures, Action<long> choose)
    {
        var job = TakeIn(client, contact, watch, request, words, daysAgo + 3, 1 - daysAgo, by);
        Gauge(job, figures);
        choose(job);
        if (TheJob.Read(work, job).OtherClasp is null)
            KeepClasp(job);
        Agree(job);
        Signs(job, client);
        Tick(job, _ => true, clock.GetUtcNow().AddDays(-daysAgo).AddHours(-2), 1.1);
        HandOver(job, daysAgo);
    }

    private void Signs(long job, string by)
    {
        var file = TheJob.Read(work, job);
        foreach (var (topic, asked) in file.ConsentsNeeded())
            Consents.Set(work, job, new Consent(file.Stock!.Id, file.Lasting, by, file.Job.TakenInAt) { Kinds = PieceOfWork.LastingKinds(asked), OnPaper = true }, file.Job.TakenInBy, topic);
    }

    public void ToTheBench(long job, string article)
    {
        Choose(job, article);
        KeepClasp(job);
        Agree(job);
    }

    private void Agree(long job)
    {
        var file = TheJob.Read(work, job);
        Agree(job, file.Arrangement()!);
        file = TheJob.Read(work, job);
        if (file.Bench is { Facts: { } facts, Plan: { } plan } && Lying.Of(facts, plan.To) is { } told)
            Agree(job, told);
        DayBook.Expect(work, job, (int)Math.Ceiling(TheJob.Read(work, job).Bench.Left.Sum(s => s.Minutes)));
    }

    private void Agree(long job, Arrangement arrangement) =>
        Plans.Set(work, job, new JobPlan(arrangement, TheJob.Read(work, job).Target!.Value.Length, clock.GetUtcNow()));

    /// <summary>Another clasp than the band's own; where there is none in stock, the job waits for it.</summary>
    public void Replace(long job, string article) => ClaspChoice.Replace(work, TheJob.Read(work, job), Parts.Find(work, article)!.Id, TheJob.Read(work, job).Job.Client.Name, clock.GetUtcNow());

    public void TickAll(long job) => Tick(job, _ => true, clock.GetUtcNow());

    public void TickToTheTryOn(long job) => Tick(job, step => step.Row != StepRow.TryOn, clock.GetUtcNow());

    public void TickSome(long job, int steps) => Tick(job, _ => steps-- > 0, clock.GetUtcNow());

    /// <summary>A job of some time ago, from its take-in to its hand-over two days later.</summary>
    /// <param name="pace">How long its steps took, as a share of the house's figures.</param>
    /// <param name="felt">The surplus over comfort felt at the try-on between the sides, in mm; null where the plan held.</param>
    public void Past(
        int daysAgo, string client, string contact, string watch, Request request, string words, string by, Figures figures, string article, double pace, string? felt = null)
    {
        var job = TakeIn(client, contact, watch, request, words, daysAgo + 2, 1 - daysAgo, by);
        Gauge(job, figures);
        ToTheBench(job, article);
        Tick(job, _ => true, clock.GetUtcNow().AddDays(-daysAgo).AddHours(-2), pace, felt);
        HandOver(job, daysAgo);
    }

    /// <summary>A job is handed over, with all that its bag must hold.</summary>
    /// <param name="observeIn">In how many days from today the shop asks after it; null when it promised nothing.</param>
    public void HandOver(long job, int daysAgo, int? observeIn = null, string observeFor = "")
    {
        var file = TheJob.Read(work, job);
        PartsTaken.BookOut(work, job, file.Bench is { Plan: { } plan, Now: { } stands } ? Used.Of(plan.From, stands.Stand) : null, clock.GetUtcNow().AddDays(-daysAgo), file.Job.TakenInBy);
        var observe = observeIn is { } days ? clock.Today().AddDays(days) : (DateOnly?)null;
        Closing.Close(work, file, OwnersBag.Of(file, AlsoBands.Of(work, file.Job.Id)), new HandedOver(
            HowItGoesBack.Collected, file.Job.TakenInBy, "", null, null, observe, observeFor, null), clock.GetUtcNow().AddDays(-daysAgo));
    }

    private void Tick(long job, Func<BenchStep, bool> goesOn, DateTimeOffset at, double? pace = null, string? felt = null)
    {
        var file = TheJob.Read(work, job);
        if (file.Bench.Trouble is { } trouble)
            throw new InvalidOperationException($"{file.Job.Client.Name}: {trouble}");
        BenchChange.Begin(work, file);
        foreach (var step in file.Bench.Left.TakeWhile(goesOn))
        {
            Fetching.Fetch(work, TheJob.Read(work, job), Used.Fetched(TheJob.Read(work, job).Bench.Now!.Stand, step.Acts));
            int? seconds = pace is { } share ? (int)(step.Minutes * 60 * share) : null;
            at = at.AddSeconds(seconds ?? 0);
            if (felt is not null && step.Row == StepRow.TryOn)
                AtTheWrist.TriedOn(work, TheJob.Read(work, job), new TriedWire(SurplusBy.Millimetres, SurplusOver.Comfort, felt, Take: true), at, seconds);
            else
                BenchWork.Do(work, job, step, null, at, file.Job.TakenInBy, seconds);
            if (felt is null && step.Row == StepRow.TryOn)
                AtTheWrist.Note(work, file, step, "");
            if (step.Row != StepRow.Look && (felt is null || step.Row != StepRow.TryOn))
                continue;
            // What a look shows is written down by its pictures; what is left may be other steps now.
            foreach (var group in step.Acts.OfType<Act.Look>().Select(l => JointNames.GroupOf(l.Joint)).Distinct())
                Found(job, group);
            Tick(job, goesOn, at, pace, step.Row == StepRow.TryOn ? null : felt);
            return;
        }
    }

    private void Found(long job, JointGroup group)
    {
        if (group == JointGroup.Lugs)
            CameAs.Set(work, job, TheJob.Read(work, job).Came with { Held = HeldBy.LooseBars });
        else
            JointLooks.Set(work, job, group, new JointLook(group == JointGroup.Links ? Fastener.SplitPin : Fastener.SpringBar));
        BenchChange.Again(work, job);
    }
}
