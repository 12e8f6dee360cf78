using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Jobs;

/// <summary>What the bench works from, gathered from a job.</summary>
public static class BenchFactsOf
{
    /// <summary>The facts of a job.</summary>
    /// <remarks>
    /// While no band is chosen, they tell of the watch and of what is on it alone. How the watch takes a band is taken to be by sprung bars
    /// until somebody looked, which the first step is then.
    /// </remarks>
    public static BenchFacts Of(JobSnapshot job)
    {
        var facts = AsKnown(job);
        return job.Work?.On(facts) ?? facts with { ShutAs = job.Plan is { Target: null } ? HandWork.Picked : null };
    }

    private static BenchFacts AsKnown(JobSnapshot job)
    {
        var attachment = job.Figures.Attachment ?? Attachment.SpringBarBlind;
        if (job.Stock is not { } stock || job.Chosen?.Unmarked is not { } band)
            return new BenchFacts(attachment, job.Came, NoneYet, "band", Owner.Shop, job.Account.Setup)
            {
                IsChosen = false,
                Looks = job.Account.Looks,
                Wall = job.Account.Wall,
                Hands = job.Account.Hands,
                OpenToGauge = job.Account.ToGauge,
                Condition = job.Account.Condition,
                IsDirty = job.Account.IsDirty,
                BarGap = job.Figures[GaugedFigure.BarGap],
            };
        var came = job.Came;
        var work = job.BandWork();
        var other = Other(job, came);
        return new BenchFacts(attachment, came, WithSpares(job, band), job.Work is null ? stock.Name : $"own {HandWork.BandOf(job.Work.Of)}", stock.OwnerClientId is null ? Owner.Shop : Owner.Client, job.Account.Setup)
        {
            Looks = Looks(job, band),
            Wall = job.Account.Wall,
            Hands = job.Account.Hands,
            OpenToGauge = job.Account.ToGauge,
            Lent = job.Account.Lent,
            HasWearer = job.Job.HasWearer,
            Marks = job.Marks,
            Plan = job.Plan?.Arrangement,
            Holed = job.Holed,
            Way = job.Way,
            ClaspKind = job.ClaspKind,
            HasFlap = band.HasFlap,
            Pierced = job.Clasp.Pierced,
            Other = other,
            NewPins = NewPins(job),
            SwapEnds = job.Clasp.SwapEnds,
            Prepare = [.. PrepareFrom.Work(work, PreparedAt.LugEnds), .. PrepareFrom.Work(job.ClaspWork(), PreparedAt.ClaspEnds)],
            Bars = Bars(job),
            ReuseBars = job.Account.Own.FirstOrDefault(p => p.Kind == OwnPartKind.SpringBars) is not { IsReused: false },
            CurvedBars = band.Facts.End == BandEnd.Curved || work.Any(w => w.Kind == WorkKind.CurvedBar),
            FromStock = [.. job.Taken.Where(t => t.IsLinksToTry).Select(t => new StockLinks(new LinkKind(t.Part.Part.Link!.Pitch), t.Count, t.Part.Part.Article, t.Part.Place))],
            Condition = job.Account.Condition,
            IsDirty = job.Account.IsDirty,
            BarGap = job.Figures[GaugedFigure.BarGap],
        };
    }

    /// <summary>Stands in for the band while none is chosen.</summary>
    private static Band NoneYet { get; } = new TwoPieceBand(
        new BandFacts(BandKind.TwoPiece, BandMaterial.Leather, Length.FromMillimetres(20), BandAttachment.LooseBar, null, null), Length.FromMillimetres(3), "pin buckle",
        new TwoPieceStrap(Length.FromMillimetres(75), Length.FromMillimetres(115), Length.FromMillimetres(55), Length.FromMillimetres(6), 7));

    /// <summary>The band with the clasp's rows as the plan has them: another clasp's where one goes on.</summary>
    private static Band WithSpares(JobSnapshot job, Band band) =>
        job.OtherClasp?.Part.Clasp is { Loop: { } loop } && band is LinkBracelet own ? own with { Closes = loop with { Position = own.Closes.Position } } : band;

    /// <summary>What holds the joints: as somebody looked, else as the band is known, else as its clasp is made.</summary>
    private static Dictionary<JointGroup, JointLook> Looks(JobSnapshot job, Band band)
    {
        var looks = new Dictionary<JointGroup, JointLook>();
        if (band.Fastener is { } fastener)
            looks[JointGroup.Links] = new JointLook(fastener) { Across = band.Pin };
        foreach (var (group, side) in ((JointGroup, Side)[])[(JointGroup.ClaspTwelve, Side.Twelve), (JointGroup.ClaspSix, Side.Six)])
        {
            if (job.ClaspKind == Matching.ClaspKind.Butterfly)
                looks[group] = new JointLook(Fastener.FrictionPin) { Across = job.Figures[GaugedFigure.PinDiameter] };
            // A row of holes takes a sprung bar.
            else if (band.Clasp is { Positions: > 1 } clasp && clasp.MicroSide == side)
                looks[group] = new JointLook(Fastener.SpringBar) { Across = job.Figures[GaugedFigure.ClaspBar] };
        }
        foreach (var (group, look) in job.Account.Looks)
            looks[group] = look.Fastener == Fastener.NotLookedAt && looks.GetValueOrDefault(group) is { } known ? look with { Fastener = known.Fastener } : look;
        return looks;
    }

    private static OtherClosure? Other(JobSnapshot job, AsItCame came)
    {
        if (job.OtherClasp is { Part.Clasp: { } clasp } part)
        {
            var pins = job.Taken.FirstOrDefault(t => t.Use == PartTaken.ForClaspPins)?.Part;
            return new OtherClosure(part.Part.Name, clasp.Facts.Kind)
            {
                Article = part.Part.Article,
                Drawer = part.Place,
                KeepsFasteners = job.Account.Own.FirstOrDefault(p => p.Kind == OwnPartKind.ClaspPins) is { IsReused: true },
                Pins = pins is { Part.Pin: { } pin } ? (pins.Part.Article, pins.Place, pin.Diameter) : null,
            };
        }
        // The owner's own buckle, looked at and found good, goes on the new strap.
        var own = job.Account.Own.FirstOrDefault(p => p.Kind == OwnPartKind.Clasp);
        return own is { IsReused: true } && job.Band?.Strap is not null && came is { IsWanted: false, On: OnTheWatch.Soft }
            ? new OtherClosure(ClaspWords.Of(job.ClaspKind is Matching.ClaspKind.StrapFolding ? Matching.ClaspKind.StrapFolding : Matching.ClaspKind.PinBuckle),
                job.ClaspKind is Matching.ClaspKind.StrapFolding ? Matching.ClaspKind.StrapFolding : Matching.ClaspKind.PinBuckle)
            { FromOldBand = true }
            : null;
    }

    /// <summary>Pins taken in the place of the owner's own at a clasp that is kept.</summary>
    private static (string Article, string Drawer, Length Diameter)? NewPins(JobSnapshot job) =>
        job.OtherClasp is null && job.Taken.FirstOrDefault(t => t.Use == PartTaken.InsteadOf(OwnPartKind.ClaspPins))?.Part is { Part.Pin: { } pin } part
            ? (part.Part.Article, part.Place, pin.Diameter)
            : null;

    /// <summary>The bars taken for the lugs, else those the rules of matching name.</summary>
    private static StockBars? Bars(JobSnapshot job)
    {
        var taken = job.Taken.FirstOrDefault(t => t.Use == PartTaken.InsteadOf(OwnPartKind.SpringBars))?.Part;
        // Those fetched already stay the ones, though none like them may be free any more.
        var fetched = job.Taken.FirstOrDefault(t => t.Part.Part.Bar is not null && t.Use == PartTaken.Fetched(t.Part.Part.Article))?.Part.Part.Bar;
        return taken is { Part.Bar: { } bar } ? Named(bar, taken.Place)
            : fetched is not null ? Named(fetched, "bar case")
            : job.Band is { } band && MatchBand.BarFor(job.Figures, band, job.House) is { } right ? Named(right, "bar case") : null;
    }

    private static StockBars Named(SpringBar bar, string drawer) => new(
        string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{(bar.Curved ? "curved " : "")}spring bar {Mm(bar.Length)} × {Mm(bar.Body)}"), bar.Article, drawer, bar.Curved);

    private static string Mm(Length length) => length.Millimetres.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture);
}
