using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Jobs;

/// <summary>A job as it is known at one moment. What follows from it is worked out when it is first asked for, and never stored.</summary>
public sealed class JobSnapshot
{
    private readonly StockBand? _stock;
    private readonly Lazy<JobBench> _bench;
    private readonly Lazy<FitTarget?> _target;
    private readonly Lazy<Progress> _progress;
    private readonly Lazy<Arrangement?> _planned;
    private readonly Lazy<IReadOnlyList<RuleVerdict>> _goingOn;
    private readonly Lazy<IReadOnlyList<PieceOfWork>> _claspWork;
    private readonly Figures _gauged;
    private JobSnapshot? _before;

    /// <summary>Takes a job as it is known.</summary>
    /// <param name="job">What was taken in and decided.</param>
    /// <param name="figures">What was gauged.</param>
    /// <param name="stock">The band chosen, as it lies in stock; null while none is.</param>
    /// <param name="plan">The arrangement it stands in; null while none was stored.</param>
    /// <param name="account">What is stored of its bench work.</param>
    /// <param name="house">The shop's spring bars and limits.</param>
    /// <param name="clasp">What was seen of its clasp and decided about it.</param>
    /// <param name="taken">What it takes of the parts in stock.</param>
    /// <param name="marks">Links never to take, and links freed at the clasp.</param>
    /// <param name="before">The job as it was known before; null where it was not.</param>
    public JobSnapshot(
        Job job, Figures figures, StockBand? stock, JobPlan? plan, BenchAccount account, House house, JobClasp clasp, IReadOnlyList<PartTaken> taken, LinkMarks marks,
        JobSnapshot? before = null)
    {
        (Job, _stock, _gauged, Plan, Account, House, Clasp, Taken, Marks) = (job, stock, figures, plan, account, house, clasp, taken, marks);
        // It is not kept for its own sake, nor what came before it.
        _before = before is { _bench.IsValueCreated: true } && IsAsBefore(before) ? before : null;
        Work = account.ByHand ?? (stock is null ? UsualWork() : null);
        Chosen = (Work is null ? Punched(stock, job.ExtraHole) : Outlined(Work, figures)) is { } band ? ChosenBand.Of(band, marks, clasp, taken) : null;
        // The layers of a band pulled through lie under the head: everything that is worked out here knows it raised.
        Figures = figures with { Raise = Band?.Raise(job.Way) ?? Length.Zero };
        _bench = new Lazy<JobBench>(WorkOut);
        // What is only outlined has no length.
        _target = new Lazy<FitTarget?>(() => Work is null ? Figures.Target(PivotHeight) : null);
        _progress = new Lazy<Progress>(HowFar);
        _planned = new Lazy<Arrangement?>(Recommended);
        _goingOn = new Lazy<IReadOnlyList<RuleVerdict>>(() => GoingOn(Job.Way));
        _claspWork = new Lazy<IReadOnlyList<PieceOfWork>>(WorkOfTheClasp);
    }

    /// <summary>What was taken in and decided.</summary>
    public Job Job { get; }

    /// <summary>Whether it is the same as one that was known before: nothing it is worked out from is another.</summary>
    /// <param name="before">The one before.</param>
    public bool IsStill(JobSnapshot before) => Job.Version == before.Job.Version && ReferenceEquals(Account.Done, before.Account.Done) && IsAsBefore(before);

    /// <summary>Whether nothing the bench hangs on is another but what is done on it.</summary>
    private bool IsAsBefore(JobSnapshot before) =>
        Job with { Version = before.Job.Version } == before.Job && Account with { Done = before.Account.Done } == before.Account
        && ReferenceEquals(_gauged, before._gauged) && ReferenceEquals(_stock, before._stock) && ReferenceEquals(Plan, before.Plan) && ReferenceEquals(House, before.House)
        && ReferenceEquals(Clasp, before.Clasp) && Taken.SequenceEqual(before.Taken) && ReferenceEquals(Marks, before.Marks);

    private JobBench WorkOut()
    {
        var bench = _before?.Bench.After(Account.Done) ?? JobBench.Of(this);
        _before = null;
        return bench;
    }

    /// <summary>A strap with the hole that is to be punched.</summary>
    private static StockBand? Punched(StockBand? stock, int? after) => stock is { Band: TwoPieceBand { Lengths.ExtraAfter: null } strap } && after is { } hole && hole < strap.Lengths.Holes - 1
        ? stock with { Band = strap with { Lengths = strap.Lengths.WithExtra(hole) } } : stock;

    /// <summary>
    /// Work that the hands know without a figure; null where a band is chosen, sized or worked link by link. The band it is about is then
    /// told apart only as far as it is worked.
    /// </summary>
    public HandWork? Work { get; }

    /// <summary>The shop's spring bars and limits.</summary>
    public House House { get; }

    /// <summary>What was gauged, the head raised by what lies under it.</summary>
    public Figures Figures { get; }

    /// <summary>The band chosen; null while none is.</summary>
    public ChosenBand? Chosen { get; }

    /// <summary>Links never to take, and links freed at the clasp.</summary>
    public LinkMarks Marks { get; }

    /// <summary>What was seen of the clasp and decided about it.</summary>
    public JobClasp Clasp { get; }

    /// <summary>What the job takes of the parts in stock.</summary>
    public IReadOnlyList<PartTaken> Taken { get; }

    /// <summary>The arrangement it stands in; null while none was stored.</summary>
    public JobPlan? Plan { get; }

    /// <summary>What is stored of the bench work.</summary>
    public BenchAccount Account { get; }

    /// <summary>The bench: what is done, what is left, and how it stands.</summary>
    public JobBench Bench => _bench.Value;

    /// <summary>How a pull-through band is worn.</summary>
    public PullThroughWay Way => Job.Way;

    /// <summary>The band chosen, with its price and article.</summary>
    public StockBand? Stock => Chosen?.Stock;

    /// <summary>The band chosen, with the clasp that goes on it.</summary>
    public Band? Band => Stock?.Band;

    /// <summary>The clasp that goes on instead of the band's own.</summary>
    public StockPart? OtherClasp => Chosen?.OtherClasp;

    /// <summary>What the band closes in, when it is no link bracelet.</summary>
    public HoledBand? Holed => Band?.Holed(Figures.BareHead);

    /// <summary>The kind of the band's own clasp: as seen, else as it was entered.</summary>
    public ClaspKind? ClaspKind => Clasp.Kind ?? (Chosen is { WithOwnClasp: { } band } ? band.ClaspKind : null);

    /// <summary>The length wanted with the band chosen, or with a usual bracelet while none is.</summary>
    public FitTarget? Target => _target.Value;

    /// <summary>
    /// The length it is worn in on a usual day: that of the hole or notch it was found to be closed in, which says more than the tape;
    /// else what is wanted.
    /// </summary>
    public FitTarget? WornOnUsualDays => (Target, Holed, Account.Tried) is ({ } target, { } holed, { Outcome: TryOnOutcome.Felt, Position: { } found })
        ? target with { Length = holed.LengthIn(found) } : Target;

    /// <summary>How high the pivots of the band lie, or a usual bracelet's while none is chosen.</summary>
    public Length PivotHeight => Band?.PivotHeight ?? UsualPivotHeight;

    private static Length UsualPivotHeight => Length.FromMillimetres(1.75m);

    /// <summary>What a request that needs no figures comes to, before anybody says more.</summary>
    private HandWork? UsualWork()
    {
        var on = (Account.Came ?? AsItCame.Usual(Job.Request, null, false, Account.BandBefore?.Band)).On;
        return Job.Request switch
        {
            Request.ReplaceClasp when on != OnTheWatch.Nothing => new HandWork.OtherClasp(on),
            Request.OffAndOn when on != OnTheWatch.Nothing => new HandWork.OffAndOn(on),
            Request.SomethingElse => new HandWork.AsTold(on),
            _ => null,
        };
    }

    private StockBand? Outlined(HandWork work, Figures figures)
    {
        var width = figures[GaugedFigure.BandWidth] ?? figures[GaugedFigure.LugWidth] ?? UsualWidth;
        return work.Outline(width) is { } band
            ? new StockBand(0, "", OutlineName(work.Of), Job.Client.Id, "", "", 0, 1, band with { ClaspEnd = figures[GaugedFigure.ClaspEnd] }) : null;
    }

    private static string OutlineName(OnTheWatch of) => of switch
    {
        OnTheWatch.Bracelet => "Own bracelet",
        OnTheWatch.Mesh => "Own mesh",
        OnTheWatch.PulledThrough => "Own pull-through band",
        _ => "Own strap",
    };

    // Nothing is reckoned with it where nobody gauged one.
    private static Length UsualWidth => Length.FromMillimetres(20);

    /// <summary>How far it has come.</summary>
    public Progress Progress => _progress.Value;

    private Progress HowFar() => new(
        Figures, Stock is not null || Work is not null, Job.ClaspKeptAt is not null, Plan?.AgreedAt is not null, Bench.IsOpened ? 0 : Bench.Done.Count, Bench.Done.Count + Bench.Left.Count,
        Job.ClosedAt is not null, Job.ReferredAt is not null && !Job.IsFittedMeanwhile, Uses, Asking.Missing(this))
    {
        OtherClasp = OtherClasp?.Part.Name,
        Opened = Bench.IsOpened ? Bench.Done.Count : 0,
        ToGauge = Account.ToGauge.Count > 0,
        TrayKept = Bench.IsTrayKept && Job.ClosedAt is null,
        Awaited = [.. Taken.Where(t => t is { IsReserved: false, BookedAt: null }).Select(t => $"{t.Count} {t.Part.Part.Name}, {t.Part.Part.Article}")],
    };

    /// <summary>The stations that what is asked uses.</summary>
    public IReadOnlySet<Station> Uses => field ??= Asking.Uses(this);

    /// <summary>What clasps are judged by here; null while no band is chosen.</summary>
    /// <param name="pins">The pins at hand.</param>
    public ClaspBench? ClaspBench(IReadOnlyList<FrictionPin> pins) => Chosen is not { } chosen ? null : new ClaspBench(
        chosen.WithOwnClasp, chosen.ClaspEnd(Figures, Clasp, Account), Figures.Target(chosen.WithOwnClasp.PivotHeight), Figures.BareHead, pins, House.Limits, Clasp.Fit, Figures.Habits);

    /// <summary>The job as it would be with a band, before any commitment.</summary>
    public JobSnapshot Trying(StockBand stock, PullThroughWay way) => new(Job with { Way = way }, Figures, stock, null, Account, House, new JobClasp(), [], LinkMarks.None);

    /// <summary>The job as it would be with another plan on account, and what it would take of the parts in stock then.</summary>
    public JobSnapshot Planned(JobPlan plan, BenchAccount account, IReadOnlyList<PartTaken> taken) =>
        new(Job, Figures, _stock, plan, account, House, Clasp, taken, Marks);

    /// <summary>The arrangement the job stands in: as stored, else as the planner recommends; null while figures are missing.</summary>
    public Arrangement? Arrangement() => Plan?.Arrangement ?? _planned.Value;

    /// <summary>What is agreed when it is taken to the bench: the arrangement it stands in, or the band as it is where its length is not judged.</summary>
    public Arrangement? ToBeAgreed => Arrangement() ?? (Band is { } band ? AsItIs(band) : null);

    private static Arrangement AsItIs(Band band) => band switch
    {
        { Links: { } links, Clasp: { } clasp } => Fitting.Arrangement.AsItIs(links, clasp),
        { OnePiece: { } through } => new Arrangement([], [], through.Holes / 2),
        _ => new Arrangement([], [], (band.Holed(null)?.Holes ?? 0) / 2),
    };

    /// <summary>The planner's own arrangement; for a strap, no links and the nearest hole.</summary>
    private Arrangement? Recommended()
    {
        if (Work is not null)
            return Work.Plan;
        if (Band is not { } band || Target is not { } target)
            return null;
        return band switch
        {
            { Links: { } links } => Fitting.Arrangement.Of(links, Planner.Recommend(Sizing.Request(band, target, Figures.Habits))),
            _ => Holed is { } holed ? new Arrangement([], [], holed.Nearest(target).Hole) : null,
        };
    }

    /// <summary>The work that the clasp's rules ask for: those of another that goes on, or a strap's end pierced for its own.</summary>
    public IReadOnlyList<PieceOfWork> ClaspWork() => _claspWork.Value;

    private IReadOnlyList<PieceOfWork> WorkOfTheClasp()
    {
        if (Chosen is not { } chosen)
            return [];
        var end = chosen.ClaspEnd(Figures, Clasp, Account);
        if (OtherClasp?.Part is { Clasp: { } other })
            return new Judgement(ClaspToBand.Judge(end, other.Facts, House.Limits, Clasp.Fit)).SureWork;
        return end.Pierced == false ? ClaspBarRule.NotPierced(Figures[GaugedFigure.ClaspBar]).Work : [];
    }

    /// <summary>The work that the band asks for before it goes on; one that is on the watch already asks for none.</summary>
    public IReadOnlyList<PieceOfWork> BandWork() => [.. new Judgement(_goingOn.Value).SureWork, .. Job.ExtraHole is { } after && Work is null && Band?.Strap?.ExtraAfter == after ? (PieceOfWork[])[Jobs.ExtraHole.Work(after)] : []];

    /// <summary>The rule that keeps the band off this watch, as it is gauged now; null where none does, or it is on already.</summary>
    public RuleVerdict? KeptOff => _goingOn.Value.FirstOrDefault(r => r.Refuses);

    /// <summary>The rule that keeps it off, worn in a way; null where none does.</summary>
    /// <param name="way">The way it is worn; not looked at where it is not pulled through.</param>
    public RuleVerdict? KeptOffWorn(PullThroughWay way) => GoingOn(way).FirstOrDefault(r => r.Refuses);

    // Whether it closes right on the wearer asks for no work, and keeps nothing off.
    private IReadOnlyList<RuleVerdict> GoingOn(PullThroughWay way) => Stock is { } stock && Work is null && !Came.IsWanted
        ? BandToWatch.Judge(Figures.Watch, stock.Band.FactsWorn(way), Figures.Wearer, House.Bars, House.Limits) : [];

    /// <summary>What of the agreed work cannot be undone, in the words a consent is given to; empty when all can.</summary>
    public string Lasting => Bench.Plan is null ? "" : PieceOfWork.Lasting(BandWork().Concat(ClaspWork()));

    /// <summary>What the owner's consent is needed to, with the work it is to.</summary>
    public IEnumerable<(ConsentTopic Topic, IReadOnlyList<PieceOfWork> Work)> ConsentsNeeded()
    {
        if (BandWork() is var band && band.Any(w => !w.Reversible))
            yield return (ConsentTopic.Band, band);
        if (ClaspWork() is var clasp && clasp.Any(w => !w.Reversible))
            yield return (ConsentTopic.Clasp, clasp);
    }

    /// <summary>How the watch came: as somebody said, else as is usual for what is asked.</summary>
    public AsItCame Came
    {
        get
        {
            var own = Stock?.OwnerClientId is not null;
            // What the owner brings to be put on lies beside the watch.
            var came = Work is HandWork.OwnBandOn ? Account.Came ?? new AsItCame(OnTheWatch.Nothing, HeldBy.NotLookedAt, false)
                : Account.Came?.With(Stock?.Id, Stock?.Band, own) ?? AsItCame.Usual(Job.Request, Stock?.Band, own, Account.BandBefore?.Band);
            return came with
            {
                // The places behind a hole that is to be punched count one more.
                Position = came.Position is { } at && Job.ExtraHole is { } after && at > after && came.IsWanted && Work is null && Band?.Strap?.ExtraAfter == after ? at + 1 : came.Position,
                IsWanted = came.IsWanted && Work is not HandWork.OwnBandOn,
                MissingBars = Account.MissingBars,
            };
        }
    }
}
