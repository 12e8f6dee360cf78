using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;
using IronLoop.Server.Bench;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Rack;

/// <summary>Everything that is known of one job, read in one piece of work; every station asks it.</summary>
internal sealed class JobFile
{
    private readonly Lazy<JobBench> _bench;

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
        (Job, Figures, Stock, Plan, BenchFile, House, Way) =
            (job, figures with { Raise = stock?.Band.Raise(way) ?? Length.Zero }, stock, plan, bench, house, way);
        _bench = new Lazy<JobBench>(() => JobBench.Of(this));
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
        KeepsItsBars = BenchFile.Own.Any(p => p is { Kind: OwnPartKind.ClaspPins, IsReused: true }),
    };

    public Band? Band => Stock?.Band;

    public StoredPlan? Plan { get; }

    /// <summary>What is stored of the bench work.</summary>
    public BenchFile BenchFile { get; }

    /// <summary>The bench: what is done, what is left, and how it stands.</summary>
    public JobBench Bench => _bench.Value;

    /// <summary>The length wanted with the band chosen, or with a usual bracelet while none is.</summary>
    public FitTarget? Target => Figures.Target(PivotHeight);

    public Need? Need => Figures.Need(PivotHeight);

    public Length PivotHeight => Band?.PivotHeight ?? UsualPivotHeight;

    public Progress Progress => new(
        Figures,
        Stock is not null,
        Job.ClaspKeptAt is not null,
        Plan?.AgreedAt is not null,
        Bench.IsOpened ? 0 : Bench.Done.Count,
        Bench.Done.Count + Bench.Left.Count,
        Job.ClosedAt is not null,
        Job.ReferredAt is not null,
        Job.Request)
    {
        OtherClasp = OtherClasp?.Part.Name,
        Opened = Bench.IsOpened ? Bench.Done.Count : 0,
        ToGauge = BenchFile.ToGauge.Count > 0,
        TrayKept = Bench.IsTrayKept && Job.ClosedAt is null,
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
        BenchFile.Read(work, job),
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
    public JobFile Trying(StockBand stock, PullThroughWay way) => new(Job, Figures, stock, null, BenchFile, House, way, new JobClasp(), [], LinkMarks.None);

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
        if (Bench.IsBegun)
            throw RefusedException.Conflict("Bench work has begun; take back the steps that are done first.");
    }

    /// <summary>Refuses what was just changed where the bench that is begun hangs on it: how the watch takes its band.</summary>
    public void MustBeTheSameBench(JobFile before)
    {
        if ((before.Bench.IsBegun || before.Bench.IsOpened) && before.Figures.Attachment != Figures.Attachment)
            throw RefusedException.Conflict("Bench work has begun, and the account of its parts hangs on how the watch takes its band. Take the steps back first.");
        if (before.Bench is { IsOpened: true, Trouble: null } && Bench.Trouble is not null)
            throw RefusedException.Conflict("Something of this watch lies open to be gauged, and this would make another job of it; take those steps back first.");
    }

    /// <summary>Refuses work on a job that a watchmaker has to see first.</summary>
    public void MustNotBeReferred()
    {
        if (Job.ReferredAt is not null)
            throw RefusedException.Conflict("This job is referred to a watchmaker; take it back at Take-in before working on it.");
    }

    /// <summary>The work that the clasp's rules ask for: those of another that goes on, or a strap's end pierced for its own.</summary>
    public IReadOnlyList<PieceOfWork> ClaspWork()
    {
        if (OwnClaspBand is not { } band || Stock is not { } stock)
            return [];
        var end = BandEnd(stock, band);
        if (OtherClasp?.Part is { Clasp: { } other })
            return [.. ClaspToBand.Judge(end, other.Facts, House.Limits, Clasp.Fit).SelectMany(r => r.Work)];
        return end.Pierced == false ? ClaspBarRule.NotPierced(Figures[GaugedFigure.ClaspBar]).Work : [];
    }

    /// <summary>The work that the band asks for before it goes on; one that is on the watch already asks for none.</summary>
    public IReadOnlyList<PieceOfWork> BandWork() =>
        Stock is { } stock && !Came.IsWanted ? [.. MatchBand.Judge(Figures, stock.Band, Way, House).Rules.SelectMany(r => r.Work)] : [];

    /// <summary>What of the agreed work cannot be undone, in the words a consent is given to; empty when all can.</summary>
    public string Lasting => Bench.Plan is null ? "" : PieceOfWork.Lasting(BandWork().Concat(ClaspWork()));

    /// <summary>How the watch came: as somebody said, else as is usual for what is asked.</summary>
    public AsItCame Came => (BenchFile.Came ?? AsItCame.Usual(Job.Request, Stock?.Band, Stock?.OwnerClientId is not null, BenchFile.BandBefore)) with
    {
        MissingBars = BenchFile.MissingBars,
    };
}
