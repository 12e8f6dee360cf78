using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;
using IronLoop.Server.Clasp;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Bench;

/// <summary>What the bench works from, gathered from a job's file.</summary>
internal static class BenchFactsOf
{
    /// <summary>The facts of a job.</summary>
    /// <returns>Null while the watch's attachment is not known. While no band is chosen, they tell of the watch and of what is on it alone.</returns>
    public static BenchFacts? Of(JobFile file)
    {
        if (file.Figures.Attachment is not { } attachment)
            return null;
        if (file.Stock is not { } stock || file.Unmarked is not { } band)
            return new BenchFacts(attachment, file.Came, NoneYet, "band", Owner.Shop, file.BenchFile.Setup)
            {
                IsChosen = false,
                Looks = file.BenchFile.Looks,
                Wall = file.BenchFile.Wall,
                Hands = file.BenchFile.Hands,
                OpenToGauge = file.BenchFile.ToGauge,
                Condition = file.BenchFile.Condition,
                BarGap = file.Figures[GaugedFigure.BarGap],
            };
        var came = file.Came;
        var work = file.BandWork();
        var other = Other(file, came);
        return new BenchFacts(attachment, came, WithSpares(file, band), stock.Name, stock.OwnerClientId is null ? Owner.Shop : Owner.Client, file.BenchFile.Setup)
        {
            Looks = Looks(file, band),
            Wall = file.BenchFile.Wall,
            Hands = file.BenchFile.Hands,
            OpenToGauge = file.BenchFile.ToGauge,
            Lent = file.BenchFile.Lent,
            HasWearer = file.Job.HasWearer,
            Marks = file.Marks,
            Plan = file.Plan?.Arrangement,
            Holed = file.Holed,
            Way = file.Way,
            ClaspKind = file.ClaspKind,
            HasFlap = ClaspWords.HasFlap(band.ClaspName),
            Pierced = file.Clasp.Pierced,
            Other = other,
            NewPins = NewPins(file),
            SwapEnds = file.Clasp.SwapEnds,
            Prepare = [.. PrepareFrom.Work(work, PreparedAt.LugEnds), .. PrepareFrom.Work(file.ClaspWork(), PreparedAt.ClaspEnds)],
            Bars = Bars(file),
            ReuseBars = file.BenchFile.Own.FirstOrDefault(p => p.Kind == OwnPartKind.SpringBars) is not { IsReused: false },
            CurvedBars = band.Facts.End == BandEnd.Curved || work.Any(w => w.Kind == WorkKind.CurvedBar),
            FromStock = [.. file.LinksTaken.Select(t => new StockLinks(new LinkKind(t.Part.Part.Link!.Pitch), t.Count, t.Part.Part.Article, t.Part.Place))],
            Condition = file.BenchFile.Condition,
            BarGap = file.Figures[GaugedFigure.BarGap],
        };
    }

    /// <summary>Stands in for the band while none is chosen.</summary>
    private static Band NoneYet { get; } = new(
        new BandFacts(BandKind.TwoPiece, BandMaterial.Leather, Length.FromMillimetres(20), BandAttachment.LooseBar, null, null), Length.FromMillimetres(3), "pin buckle", null, [], null, null);

    /// <summary>The band with the clasp's rows as the plan has them: another clasp's where one goes on.</summary>
    private static Band WithSpares(JobFile file, Band band) =>
        file.OtherClasp?.Part.Clasp is { Loop: { } loop } && band.Clasp is { } own ? band with { Clasp = loop with { Position = own.Position } } : band;

    /// <summary>What holds the joints: as somebody looked, else as the band is known, else as its clasp is made.</summary>
    private static Dictionary<JointGroup, JointLook> Looks(JobFile file, Band band)
    {
        var looks = new Dictionary<JointGroup, JointLook>();
        if (band.Fastener is { } fastener)
            looks[JointGroup.Links] = new JointLook(fastener) { Across = band.Pin };
        foreach (var (group, side) in ((JointGroup, Side)[])[(JointGroup.ClaspTwelve, Side.Twelve), (JointGroup.ClaspSix, Side.Six)])
        {
            if (file.ClaspKind == Core.Matching.ClaspKind.Butterfly)
                looks[group] = new JointLook(Fastener.FrictionPin) { Across = file.Figures[GaugedFigure.PinDiameter] };
            // A row of holes takes a sprung bar.
            else if (band.Clasp is { Positions: > 1 } clasp && clasp.MicroSide == side)
                looks[group] = new JointLook(Fastener.SpringBar) { Across = file.Figures[GaugedFigure.ClaspBar] };
        }
        foreach (var (group, look) in file.BenchFile.Looks)
            looks[group] = look.Fastener == Fastener.NotLookedAt && looks.GetValueOrDefault(group) is { } known ? look with { Fastener = known.Fastener } : look;
        return looks;
    }

    private static OtherClosure? Other(JobFile file, AsItCame came)
    {
        if (file.OtherClasp is { Part.Clasp: { } clasp } part)
        {
            var pins = file.Taken.FirstOrDefault(t => t.Use == PartsTaken.ForClaspPins)?.Part;
            return new OtherClosure(part.Part.Name, clasp.Facts.Kind)
            {
                Article = part.Part.Article,
                Drawer = part.Place,
                KeepsFasteners = file.BenchFile.Own.FirstOrDefault(p => p.Kind == OwnPartKind.ClaspPins) is { IsReused: true },
                Pins = pins is { Part.Pin: { } pin } ? (pins.Part.Article, pins.Place, pin.Diameter) : null,
            };
        }
        // The owner's own buckle, looked at and found good, goes on the new strap.
        var own = file.BenchFile.Own.FirstOrDefault(p => p.Kind == OwnPartKind.Clasp);
        return own is { IsReused: true } && file.Band?.Strap is not null && came is { IsWanted: false, On: OnTheWatch.Soft }
            ? new OtherClosure(ClaspWords.Of(file.ClaspKind is Core.Matching.ClaspKind.StrapFolding ? Core.Matching.ClaspKind.StrapFolding : Core.Matching.ClaspKind.PinBuckle),
                file.ClaspKind is Core.Matching.ClaspKind.StrapFolding ? Core.Matching.ClaspKind.StrapFolding : Core.Matching.ClaspKind.PinBuckle)
            { FromOldBand = true }
            : null;
    }

    /// <summary>Pins taken in the place of the owner's own at a clasp that is kept.</summary>
    private static (string Article, string Drawer, Length Diameter)? NewPins(JobFile file) =>
        file.OtherClasp is null && file.Taken.FirstOrDefault(t => t.Use == ClaspSheetWire.UseOf(OwnPartKind.ClaspPins))?.Part is { Part.Pin: { } pin } part
            ? (part.Part.Article, part.Place, pin.Diameter)
            : null;

    /// <summary>The bars taken for the lugs, else those the rules of matching name.</summary>
    private static StockBars? Bars(JobFile file)
    {
        var taken = file.Taken.FirstOrDefault(t => t.Use == ClaspSheetWire.UseOf(OwnPartKind.SpringBars))?.Part;
        // Those fetched already stay the ones, though none like them may be free any more.
        var fetched = file.Taken.FirstOrDefault(t => t.Part.Part.Bar is not null && t.Use == PartsTaken.Fetched(t.Part.Part.Article))?.Part.Part.Bar;
        return taken is { Part.Bar: { } bar } ? Named(bar, taken.Place)
            : fetched is not null ? Named(fetched, "bar case")
            : file.Band is { } band && MatchBand.BarFor(file.Figures, band, file.House) is { } right ? Named(right, "bar case") : null;
    }

    private static StockBars Named(SpringBar bar, string drawer) => new(
        string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{(bar.Curved ? "curved " : "")}spring bar {Mm(bar.Length)} × {Mm(bar.Body)}"), bar.Article, drawer, bar.Curved);

    private static string Mm(Length length) => length.Millimetres.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture);
}
