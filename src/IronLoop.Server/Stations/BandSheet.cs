using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A bracelet as a fitter says it; lengths as typed.</summary>
/// <param name="Twelve">The 12 side from case to clasp, such as <c>2 fixed of 9; 7 of 8.2</c>.</param>
/// <param name="Six">The 6 side from case to clasp.</param>
/// <param name="Spares">Loose links that come with it, in the same words; may be empty.</param>
/// <param name="ClaspTwelve">From the last 12-side pivot to the clasp's centre, at its tightest.</param>
/// <param name="ClaspSix">From the clasp's centre to the last 6-side pivot.</param>
/// <param name="MicroSide">The side that carries the micro-adjust.</param>
/// <param name="Positions">Micro positions, 1 to 400.</param>
/// <param name="Step">What each adds; not looked at with one position.</param>
/// <param name="Position">The position it stands in, from 1, the tightest.</param>
/// <param name="SolidEnd">Whether its end links are solid.</param>
internal sealed record BraceletSheet(
    string Twelve, string Six, string ClaspTwelve, string ClaspSix, Side MicroSide, int Positions, int Position,
    string? Step = null, string? Spares = null, bool? SolidEnd = null);

/// <summary>A two-piece strap; lengths as typed.</summary>
internal sealed record StrapSheet(string BucklePiece, string Tail, string FirstHole, string HolePitch, int Holes);

/// <summary>A one-piece band; lengths as typed.</summary>
/// <param name="FirstHole">From the buckle's bar to the first hole.</param>
/// <param name="UnderRun">What passing under the case uses up, if it was measured.</param>
/// <param name="Closure">What closes it; a buckle when left out.</param>
/// <param name="Farthest">From ring or catch to the farthest place, where it closes anywhere; then pitch and holes are not looked at.</param>
/// <param name="Whole">From the buckle's bar, ring or catch to the tail's tip, if it was measured.</param>
internal sealed record OnePieceSheet(
    string FirstHole, string HolePitch = "", int Holes = 0, string? UnderRun = null, OnePieceClosure Closure = OnePieceClosure.Buckle, string? Farthest = null, string? Whole = null);

/// <summary>Mesh with a slide clasp; lengths as typed.</summary>
/// <param name="Notches">Notches on its back; 0 when the clasp locks anywhere.</param>
internal sealed record MeshSheet(string Shortest, string Longest, int Notches = 0);

/// <summary>A band to be fitted; exactly one of bracelet, strap, one-piece and mesh is given.</summary>
internal sealed record BandSheet(
    string Name,
    BandMaterial Material,
    BandAttachment Attaches,
    string Width,
    string Thickness,
    string ClaspName,
    int InStock = 1,
    string? Colour = null,
    string? Finish = null,
    string? Family = null,
    string? Price = null,
    BraceletSheet? Bracelet = null,
    StrapSheet? Strap = null,
    OnePieceSheet? OnePiece = null,
    MeshSheet? Mesh = null,
    BandEnd End = BandEnd.Straight,
    string? EndThickness = null,
    string? TubeBore = null,
    string? ClaspEnd = null,
    bool? NickelSafe = null,
    string? BoreToFace = null,
    bool? Firm = null)
{
    private static readonly AllowedLength Thicknesses = AllowedLength.Mm(0.6m, 12);
    private static readonly AllowedLength StrapLengths = AllowedLength.Mm(20, 250);
    private static readonly AllowedLength HolePitches = AllowedLength.Mm(2, 20);
    private static readonly AllowedNumber HoleCounts = new(1, 40);
    private static readonly AllowedNumber Counts = new(0, 9_999);

    public StockBand Read(string article, long? owner)
    {
        var refusals = new Refusals();
        var name = refusals.Text("$.name", Name, Job.LongestName, required: true);
        var claspName = refusals.Text("$.claspName", ClaspName, Job.LongestName, required: true);
        var colour = refusals.Text("$.colour", Colour, 40, required: false);
        var finish = refusals.Text("$.finish", Finish, 40, required: false);
        var family = refusals.Text("$.family", Family, 20, required: false);
        refusals.Check("$.inStock", Counts, InStock);
        var price = ReadPrice(refusals);
        var facts = new BandFacts(
            Kind,
            Material,
            Needed(refusals, "$.width", Width, FigureKind.For(GaugedFigure.BandWidth).Allowed),
            Attaches,
            Bracelet?.SolidEnd,
            family.Length > 0 ? family : null)
        {
            End = End,
            EndThickness = refusals.Typed("$.endThickness", EndThickness, FigureKind.For(GaugedFigure.BandEnd).Allowed),
            TubeBore = refusals.Typed("$.tubeBore", TubeBore, BandFacts.Bores),
            BoreToFace = refusals.Typed("$.boreToFace", BoreToFace, FigureKind.For(GaugedFigure.BandEnd).Allowed),
            IsFirm = Firm,
            NickelSafe = NickelSafe,
            Finish = finish.Length > 0 ? finish : null,
            Colour = colour.Length > 0 ? colour : null,
        };
        if (new object?[] { Bracelet, Strap, OnePiece, Mesh }.Count(k => k is not null) != 1)
        {
            refusals.Add("$", "Give exactly one of bracelet, strap, onePiece and mesh.");
            refusals.ThrowIfAny("The band cannot be taken like this.");
        }
        else if ((Bracelet is not null || Mesh is not null) != (Material == BandMaterial.Metal))
            refusals.Add("$.material", Material == BandMaterial.Metal ? "A strap or one-piece band is leather, textile or rubber." : "Link bracelets and mesh are metal.");
        if (OnePiece is not null != (Attaches == BandAttachment.PullThrough))
            refusals.Add("$.attaches", "One-piece bands, and they alone, are pulled through.");
        if (Bracelet is not null && string.IsNullOrWhiteSpace(Bracelet.Twelve) && string.IsNullOrWhiteSpace(Bracelet.Six))
            refusals.Add("$.bracelet.twelve", "Both sides are empty; say the links of at least one, such as 2 fixed of 9; 7 of 8.2.");
        var thickness = Needed(refusals, "$.thickness", Thickness, Thicknesses);
        var claspEnd = refusals.Typed("$.claspEnd", ClaspEnd, FigureKind.For(GaugedFigure.ClaspEnd).Allowed);
        var band = Made(refusals, facts, thickness, claspName);
        refusals.ThrowIfAny("The band cannot be taken like this.");
        return new StockBand(0, article, name, owner, finish, colour, price, owner is null ? InStock : 1, band with { ClaspEnd = claspEnd });
    }

    private Band Made(Refusals refusals, BandFacts facts, Length thickness, string claspName) => this switch
    {
        { Bracelet: { } links } => new LinkBracelet(
            facts, thickness, claspName,
            new Bracelet(Row(refusals, "$.bracelet.twelve", "12 side", links.Twelve), Row(refusals, "$.bracelet.six", "6 side", links.Six)), ReadClasp(refusals, links))
        {
            Loose = ReadSpares(refusals, links),
        },
        { OnePiece: { } onePiece } => new PulledThroughBand(facts, thickness, claspName, ReadOnePiece(refusals, onePiece, thickness)),
        { Mesh: { } mesh } => new MeshBracelet(facts, thickness, claspName, ReadMesh(refusals, mesh)),
        { Strap: { } strap } => new TwoPieceBand(facts, thickness, claspName, ReadStrap(refusals, strap)),
        _ => throw new InvalidOperationException("None of the four was given."),
    };

    private BandKind Kind => (Bracelet, OnePiece, Mesh) switch
    {
        (not null, _, _) => BandKind.LinkBracelet,
        (_, not null, _) => BandKind.OnePiece,
        (_, _, not null) => BandKind.Mesh,
        _ => BandKind.TwoPiece,
    };

    private static OnePieceBand ReadOnePiece(Refusals refusals, OnePieceSheet sheet, Length layer)
    {
        var nearest = Needed(refusals, "$.onePiece.firstHole", sheet.FirstHole, AllowedLength.Mm(60, 400));
        var under = refusals.Typed("$.onePiece.underRun", sheet.UnderRun, AllowedLength.Mm(5, 80));
        var whole = refusals.Typed("$.onePiece.whole", sheet.Whole, AllowedLength.Mm(60, 500));
        if (sheet.Closure == OnePieceClosure.Buckle)
        {
            refusals.Check("$.onePiece.holes", HoleCounts, sheet.Holes);
            return new OnePieceBand(nearest, Needed(refusals, "$.onePiece.holePitch", sheet.HolePitch, HolePitches), sheet.Holes, layer, under) { Whole = whole };
        }
        var farthest = Needed(refusals, "$.onePiece.farthest", sheet.Farthest ?? "", AllowedLength.Mm(60, 400));
        if (!refusals.Any && farthest < nearest)
            refusals.Add("$.onePiece.farthest", $"farthest is {farthest}, less than firstHole, {nearest}.");
        return OnePieceBand.Anywhere(sheet.Closure, nearest, farthest < nearest ? nearest : farthest, layer, under) with { Whole = whole };
    }

    private static MeshBand ReadMesh(Refusals refusals, MeshSheet sheet)
    {
        refusals.Check("$.mesh.notches", new AllowedNumber(0, 400), sheet.Notches);
        var mesh = new MeshBand(
            Needed(refusals, "$.mesh.shortest", sheet.Shortest, AllowedLength.Mm(60, 400)),
            Needed(refusals, "$.mesh.longest", sheet.Longest, AllowedLength.Mm(60, 400)),
            Math.Max(0, sheet.Notches));
        if (!refusals.Any && mesh.Longest < mesh.Shortest)
            refusals.Add("$.mesh.longest", $"longest is {mesh.Longest}, less than shortest, {mesh.Shortest}.");
        return mesh;
    }

    private static BraceletClasp ReadClasp(Refusals refusals, BraceletSheet sheet)
    {
        refusals.Check("$.bracelet.positions", FitRanges.Positions, sheet.Positions);
        refusals.Check("$.bracelet.position", new AllowedNumber(1, Math.Max(1, sheet.Positions)), sheet.Position);
        return new BraceletClasp(
            Needed(refusals, "$.bracelet.claspTwelve", sheet.ClaspTwelve, FitRanges.ClaspSide),
            Needed(refusals, "$.bracelet.claspSix", sheet.ClaspSix, FitRanges.ClaspSide),
            sheet.MicroSide,
            (int)Math.Clamp(sheet.Positions, FitRanges.Positions.Lowest, FitRanges.Positions.Highest),
            sheet.Positions > 1 ? Needed(refusals, "$.bracelet.step", sheet.Step, FitRanges.Step) : Length.Zero,
            sheet.Position - 1);
    }

    private static TwoPieceStrap ReadStrap(Refusals refusals, StrapSheet sheet)
    {
        refusals.Check("$.strap.holes", HoleCounts, sheet.Holes);
        var strap = new TwoPieceStrap(
            Needed(refusals, "$.strap.bucklePiece", sheet.BucklePiece, StrapLengths),
            Needed(refusals, "$.strap.tail", sheet.Tail, StrapLengths),
            Needed(refusals, "$.strap.firstHole", sheet.FirstHole, StrapLengths),
            Needed(refusals, "$.strap.holePitch", sheet.HolePitch, HolePitches),
            sheet.Holes);
        if (!refusals.Any && strap.HoleAt(strap.Holes - 1) >= strap.Tail)
            refusals.Add("$.strap.tail", $"tail is {strap.Tail}, but its last hole would be {strap.HoleAt(strap.Holes - 1)} from the lug end.");
        return strap;
    }

    private static List<SpareLinks> ReadSpares(Refusals refusals, BraceletSheet sheet)
    {
        var spares = Row(refusals, "$.bracelet.spares", "Loose links", sheet.Spares);
        return [.. spares.GroupBy(l => (l.Pitch, l.Mark)).Select(g => new SpareLinks(g.Key.Pitch, g.Count()) { Mark = g.Key.Mark })];
    }

    private static IReadOnlyList<Link> Row(Refusals refusals, string path, string name, string? typed)
    {
        if (LinkRowText.TryParse(typed, out var row, out var why))
            return row;
        refusals.Add(path, $"{name}: {why}");
        return [];
    }

    private static Length Needed(Refusals refusals, string path, string? typed, AllowedLength allowed)
    {
        if (refusals.Typed(path, typed, allowed) is { } length)
            return length;
        refusals.Add(path, $"{path[(path.LastIndexOf('.') + 1)..]} is missing; give {allowed}.");
        return allowed.Lowest;
    }

    private long ReadPrice(Refusals refusals)
    {
        if (string.IsNullOrWhiteSpace(Price))
            return 0;
        if (!Money.TryParse(Price, out var cents))
            refusals.Add("$.price", Money.Refuse(Price));
        return cents;
    }
}
