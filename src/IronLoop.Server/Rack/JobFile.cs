using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Rack;

/// <summary>Everything that is known of one job, read in one piece of work; every station asks it.</summary>
internal sealed class JobFile
{
    private readonly Lazy<IReadOnlyList<BenchStep>> _steps;
    private readonly Lazy<TrayLedger> _tray;

    private JobFile(
        Job job, Figures figures, StockBand? stock, StoredPlan? plan, BenchFile bench, House house, PullThroughWay way, JobClasp clasp,
        IReadOnlyList<PartTaken> taken, LinkMarks marks)
    {
        (Unmarked, Marks, Clasp, Taken) = (stock?.Band, marks, clasp, taken);
        if (stock is not null)
            stock = stock with { Band = marks.On(stock.Band) };
        OwnClaspBand = stock?.Band;
        OtherClasp = clasp.PartId is { } other ? taken.FirstOrDefault(t => t.Use == PartsTaken.ForClasp && t.Part.Id == other)?.Part : null;
        if (stock is not null && OtherClasp is { Part.Clasp: { } replacing } part)
            stock = stock with { Band = ClaspOnBand.With(stock.Band, part.Part.Name, replacing) };
        if (stock is not null && LinksTaken.ToList() is { Count: > 0 } links)
            stock = stock with { Band = stock.Band with { Spares = [.. stock.Band.Spares, .. links.Select(l => new SpareLinks(l.Part.Part.Link!.Pitch, l.Count))] } };
        // The layers of a band pulled through lie under the head: everything that is computed here knows it raised.
        (Job, Figures, Stock, Plan, Bench, House, Way) =
            (job, figures with { Raise = stock?.Band.Raise(way) ?? Length.Zero }, stock, plan, bench, house, way);
        Ticks = bench.Done.Select(d => d.Key).ToHashSet();
        Setup = bench.Setup ?? new BenchSetup(stock?.Band.Fastener, Pin: stock?.Band.Pin);
        _steps = new Lazy<IReadOnlyList<BenchStep>>(() => Facts() is { } facts ? BenchSteps.Of(facts) : []);
        _tray = new Lazy<TrayLedger>(() => Opening().With(bench.Tray.Select(t => t.Move)));
    }

    public Job Job { get; }

    /// <summary>The shop's spring bars and limits.</summary>
    public House House { get; }

    /// <summary>How a pull-through band is worn.</summary>
    public PullThroughWay Way { get; }

    /// <summary>What the band closes in, when it is no link bracelet.</summary>
    public HoledBand? Holed => Band?.Holed(Figures.BareHead);

    public Figures Figures { get; }

    /// <summary>The band chosen, with the clasp that goes on it.</summary>
    public StockBand? Stock { get; }

    /// <summary>The band as it came, without what was marked on its links.</summary>
    public Band? Unmarked { get; }

    /// <summary>Links never to take, and links freed at the clasp.</summary>
    public LinkMarks Marks { get; }

    /// <summary>Loose links taken from stock for it.</summary>
    public IEnumerable<PartTaken> LinksTaken => Taken.Where(t => t is { Part.Part.Link: not null, BookedAt: null });

    /// <summary>The band with its own clasp.</summary>
    public Band? OwnClaspBand { get; }

    /// <summary>What was seen of the clasp and decided about it.</summary>
    public JobClasp Clasp { get; }

    /// <summary>The clasp that goes on instead of the band's own.</summary>
    public StoredPart? OtherClasp { get; }

    /// <summary>What the job takes of the parts in stock.</summary>
    public IReadOnlyList<PartTaken> Taken { get; }

    /// <summary>The kind of the band's own clasp: as seen, else as its name says.</summary>
    public ClaspKind? ClaspKind => Clasp.Kind ?? (OwnClaspBand is { } band ? ClaspWords.KindOf(band.ClaspName) : null);

    /// <summary>What clasps are judged by here; null while no band is chosen.</summary>
    public ClaspBench? ClaspBench(ShopWork work) => OwnClaspBand is not { } band || Stock is not { } stock ? null : new ClaspBench(
        band, BandEnd(stock, band), Figures.Target(band.PivotHeight), Figures.BareHead,
        [.. Parts.All(work, Core.Stock.PartKind.Pin).Where(p => p.Count.Free > 0).Select(p => p.Part.Pin!)], House.Limits, Clasp.Fit, Figures.Habits);

    /// <summary>The band's clasp end: as gauged, and as it was seen.</summary>
    public BandEndFacts BandEnd(StockBand stock, Band band) => ClaspSheet.End(band, Figures, stock.Finish, stock.Colour) with
    {
        Pierced = Clasp.Pierced,
        NotchedEnd = Clasp.Notched,
        OtherEndPlain = Clasp.OtherPlain,
    };

    public Band? Band => Stock?.Band;

    public StoredPlan? Plan { get; }

    /// <summary>What was done at the bench so far.</summary>
    public BenchFile Bench { get; }

    /// <summary>How it is worked at the bench.</summary>
    public BenchSetup Setup { get; }

    /// <summary>The keys of the steps done.</summary>
    public IReadOnlySet<string> Ticks { get; }

    /// <summary>The bench steps of this round; none before a plan is agreed, or while it is not known what joins the links.</summary>
    public IReadOnlyList<BenchStep> Steps => _steps.Value;

    /// <summary>What was done in earlier rounds, before a try-on changed the plan.</summary>
    public IReadOnlyList<BenchTick> Earlier => [.. Bench.Done.Where(d => d.Round < (Bench.Round?.Round ?? 1))];

    /// <summary>The account of every small part.</summary>
    public TrayLedger Tray => _tray.Value;

    /// <summary>The length wanted with the band chosen, or with a usual bracelet while none is.</summary>
    public FitTarget? Target => Figures.Target(PivotHeight);

    public Need? Need => Figures.Need(PivotHeight);

    public Length PivotHeight => Band?.PivotHeight ?? UsualPivotHeight;

    public Progress Progress => new(
        Figures,
        Stock is not null,
        Job.ClaspKeptAt is not null,
        Plan?.AgreedAt is not null,
        Steps.Count == 0 ? 0 : Earlier.Count + Steps.Count(s => Ticks.Contains(s.Key)),
        Steps.Count == 0 ? 0 : Earlier.Count + Steps.Count,
        Job.ClosedAt is not null,
        Job.ReferredAt is not null,
        Job.Request)
    {
        OtherClasp = OtherClasp?.Part.Name,
        Awaited = [.. Taken.Where(t => t is { IsReserved: false, BookedAt: null }).Select(t => $"{t.Count} {t.Part.Part.Name}, {t.Part.Part.Article}")],
    };

    private static Length UsualPivotHeight => Length.FromMillimetres(1.75m);

    /// <summary>Reads a job.</summary>
    /// <exception cref="RefusedException">There is no job of that number.</exception>
    public static JobFile Read(ShopWork work, long id) =>
        Of(work, Storage.Jobs.Find(work, id) ?? throw RefusedException.NotFound($"There is no job with tag {id}."), HouseOf(work));

    /// <summary>Several jobs, one after the other; what the house has is read once for all.</summary>
    public static IEnumerable<JobFile> Each(ShopWork work, IEnumerable<Job> jobs)
    {
        var house = HouseOf(work);
        return jobs.Select(job => Of(work, job, house));
    }

    private static JobFile Of(ShopWork work, Job job, House house) => new(
        job,
        Gaugings.Of(work, job.Id),
        job.BandId is { } band ? Bands.Find(work, band) : null,
        Plans.Find(work, job.Id),
        BenchFile.Read(work, job.Id),
        house,
        job.Way,
        JobClasps.Of(work, job.Id),
        PartsTaken.Of(work, job.Id),
        MarkedLinks.Of(work, job.Id));

    /// <summary>The shop's spring bars and limits.</summary>
    public static House HouseOf(ShopWork work)
    {
        var bars = SpringBars.All(work);
        return new House(bars.Count > 0 ? bars : null, Limits.Of(work));
    }

    /// <summary>The job as it would be with a band, before any commitment.</summary>
    public JobFile Trying(StockBand stock, PullThroughWay way) => new(Job, Figures, stock, null, Bench, House, way, new JobClasp(), [], LinkMarks.None);

    /// <summary>The arrangement the job stands in: as stored, else as the planner recommends; null while figures are missing.</summary>
    public Arrangement? Arrangement() => Plan?.Arrangement ?? Planned();

    /// <summary>The planner's own arrangement; for a strap, no links and the nearest hole.</summary>
    public Arrangement? Planned()
    {
        if (Band is not { } band || Target is not { } target)
            return null;
        return band switch
        {
            { Links: { } links } => Core.Fitting.Arrangement.Of(links, Planner.Recommend(Sizing.Request(band, target, Figures.Habits))),
            _ => Holed is { } holed ? new Arrangement([], [], holed.Nearest(target).Hole) : null,
        };
    }

    /// <summary>Refuses a change to a job that is in the log.</summary>
    public void MustBeOpen()
    {
        if (Job.ClosedAt is not null)
            throw RefusedException.Conflict($"Job {Job.Id} is handed over and in the log; it cannot be changed.");
    }

    /// <summary>Refuses to go on while parts are awaited.</summary>
    public void MustNotWait()
    {
        if (Progress.Awaited is { Count: > 0 } awaited)
            throw RefusedException.Conflict($"Still awaited: {string.Join(", ", awaited)}.");
    }

    /// <summary>Refuses a change of band or plan once bench work has begun.</summary>
    public void MustNotBeOnTheBench()
    {
        MustBeOpen();
        MustNotBeReferred();
        if (Ticks.Count > 0)
            throw RefusedException.Conflict("Bench work has begun; take back the ticked steps first.");
        if (HasMoved)
            throw RefusedException.Conflict("Parts of it are on account as moved; put them back in the tray first.");
    }

    /// <summary>Refuses what was just changed where the account of small parts, once begun, hangs on it: no figure may make a part vanish.</summary>
    public void MustHoldTheTray()
    {
        if (Opening().WhyNot(Bench.Tray.Select(t => t.Move)) is { } why)
            throw RefusedException.Conflict($"Bench work has begun, and the account of its parts hangs on this: {why} Take the steps back first.");
    }

    /// <summary>Whether any small part is elsewhere than when the work began.</summary>
    private bool HasMoved =>
        Bench.Tray.SelectMany(t => (((string Part, TrayPlace Place) At, int Count)[])[((t.Move.Part, t.Move.From), -t.Move.Count), ((t.Move.Part, t.Move.To), t.Move.Count)])
            .GroupBy(m => m.At).Any(at => at.Sum(m => m.Count) != 0);

    private TrayLedger Opening() => TrayLedger.Open(Facts() is { } facts ? BenchSteps.Opening(facts) : []);

    /// <summary>Refuses work on a job that a watchmaker has to see first.</summary>
    public void MustNotBeReferred()
    {
        if (Job.ReferredAt is not null)
            throw RefusedException.Conflict("This job is referred to a watchmaker; take it back at Take-in before working on it.");
    }

    /// <summary>The work on the clasp as decided: another goes on, or its own is kept.</summary>
    public IReadOnlyList<PieceOfWork> ClaspWork()
    {
        if (OwnClaspBand is not { } band || Stock is not { } stock)
            return [];
        var end = BandEnd(stock, band);
        if (OtherClasp?.Part is { Clasp: { } other } part)
            return Core.Jobs.ClaspWork.Replace(ClaspKind, other.Facts.Kind, part.Name, ClaspToBand.Judge(end, other.Facts, House.Limits, Clasp.Fit), Clasp.SwapEnds);
        return Core.Jobs.ClaspWork.Keep(end, Figures[GaugedFigure.ClaspBar], Clasp.SwapEnds);
    }

    /// <summary>Everything the bench steps follow from; null before a plan is agreed.</summary>
    public BenchFacts? Facts()
    {
        if (Plan is not { AgreedAt: not null } plan || Stock is not { } stock || Figures.Attachment is not { } attachment)
            return null;
        var fit = Holed?.In(plan.Arrangement.Position, new FitTarget(plan.Target, Length.Zero, Length.Zero));
        if (stock.Band.Links is null && fit is null)
            return null;
        return new BenchFacts(attachment, stock.Band, plan.Arrangement, Setup)
        {
            Before = Bench.Round?.Before,
            Round = Bench.Round?.Round ?? 1,
            FirstSide = Bench.Round?.FirstSide,
            GoesOn = stock.OwnerClientId is null,
            Holed = Holed,
            Fit = fit,
            Way = Way,
            FromStock = [.. LinksTaken.Select(t => (new LinkKind(t.Part.Part.Link!.Pitch), t.Count, t.Part.Part.Article))],
            OtherClasp = OtherClasp is { } other && OwnClaspBand is { } own ? (own.ClaspName, other.Part.Name) : null,
            OtherClaspAdds = OtherClasp is not null && OwnClaspBand?.Clasp is { } old && stock.Band.Clasp is { } now ? now.Twelve + now.Six - old.Twelve - old.Six : Length.Zero,
            // The ends are made ready before the screws, bars or lugs they go to have their turn.
            Work = [.. MatchBand.Judge(Figures, stock.Band, Way, House).Rules.OrderBy(r => r.Rule == AttachmentRule.Name).SelectMany(r => r.Work)],
            ClaspWork = [.. ClaspWork()],
            ClaspKind = OtherClasp?.Part.Clasp?.Facts.Kind ?? ClaspKind,
            Marks = Marks,
            Condition = Bench.Condition,
            LugWidth = Figures[GaugedFigure.LugWidth],
            BarGap = Figures[GaugedFigure.BarGap],
            OwnBar = Figures[GaugedFigure.OwnBar],
        };
    }
}
