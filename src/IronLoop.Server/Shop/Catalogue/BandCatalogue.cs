using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>A catalogue of bands: what a band is entered by, under the names of the band sheet.</summary>
internal sealed class BandCatalogue : CatalogueKind
{
    /// <summary>All columns, in the order they are written.</summary>
    public static readonly IReadOnlyList<string> Written =
    [
        "article", "name", "kind", "material", "finish", "colour", "attaches", "width", "thickness", "end", "endThickness", "tubeBore", "claspEnd",
        "solidEnd", "nickelSafe", "boreToFace", "firm", "family", "price", "inStock", "claspName", "bucklePiece", "tail", "firstHole", "holePitch", "holes", "underRun", "closure", "farthest", "whole",
        "shortest", "longest", "notches", "twelve", "six", "spares", "claspTwelve", "claspSix", "microSide", "positions", "step", "position",
    ];

    public override string Of => "bands";

    public override string KeyColumn => "article";

    public override IReadOnlyList<string> All => Written;

    public override IReadOnlyList<string> Needed => ["article", "name", "kind", "material", "attaches", "width", "thickness"];

    public override IReadOnlyDictionary<string, string?> Known(ShopWork work) =>
        Bands.Articles(work).ToDictionary(a => a.Key, a => a.Value ? "This article number belongs to an owner’s own band." : null, StringComparer.Ordinal);

    public override void Store(ShopWork work, CatalogueItem item, DateTimeOffset at)
    {
        var band = (StockBand)item.What;
        try
        {
            Bands.AddOrReplace(work, band);
        }
        catch (PlanTooLargeException tooLarge)
        {
            throw new PlanTooLargeException($"{band.Article}: {tooLarge.Message}", tooLarge);
        }
    }

    public override CatalogueItem Read(Func<string, string> cell)
    {
        var band = ReadBand(cell);
        return new CatalogueItem(band.Article, string.Create(CultureInfo.InvariantCulture, $"{band.Name}, {band.Article}, {band.Band.Facts.Width}, {CatalogueCells.Word(band.Band.Facts.Material)}, {band.Band.ClaspName}"), band);
    }

    private static StockBand ReadBand(Func<string, string> cell)
    {
        var refusals = new Refusals();
        var article = refusals.Text("$.article", cell("article"), 40, required: true);
        var kind = CatalogueCells.Choice<BandKind>(refusals, "kind", cell);
        var material = CatalogueCells.Choice<BandMaterial>(refusals, "material", cell);
        var attaches = CatalogueCells.Choice<BandAttachment>(refusals, "attaches", cell);
        var end = CatalogueCells.Choice<BandEnd>(refusals, "end", cell, BandEnd.Straight);
        var closure = CatalogueCells.Choice<OnePieceClosure>(refusals, "closure", cell, OnePieceClosure.Buckle);
        var micro = CatalogueCells.Choice<Side>(refusals, "microSide", cell, Side.Twelve);
        var inStock = CatalogueCells.Count(refusals, "inStock", cell, 0);
        var holes = CatalogueCells.Count(refusals, "holes", cell, 0);
        var notches = CatalogueCells.Count(refusals, "notches", cell, 0);
        var positions = CatalogueCells.Count(refusals, "positions", cell, 1);
        var position = CatalogueCells.Count(refusals, "position", cell, 1);
        var (solid, nickelSafe, firm) = (CatalogueCells.YesOrNo(refusals, "solidEnd", cell), CatalogueCells.YesOrNo(refusals, "nickelSafe", cell), CatalogueCells.YesOrNo(refusals, "firm", cell));
        refusals.ThrowIfAny();
        var claspName = cell("claspName") is { Length: > 0 } named ? named : kind switch
        {
            BandKind.Mesh => "slide clasp",
            BandKind.LinkBracelet => "fold-over",
            _ => "pin buckle",
        };
        return new BandSheet(
            cell("name"), material, attaches, cell("width"), cell("thickness"), claspName, inStock, cell("colour"), cell("finish"), cell("family"), cell("price"),
            kind == BandKind.LinkBracelet
                ? new BraceletSheet(cell("twelve"), cell("six"), cell("claspTwelve"), cell("claspSix"), micro, positions, position, cell("step"), cell("spares"), solid)
                : null,
            kind == BandKind.TwoPiece ? new StrapSheet(cell("bucklePiece"), cell("tail"), cell("firstHole"), cell("holePitch"), holes) : null,
            kind == BandKind.OnePiece ? new OnePieceSheet(cell("firstHole"), cell("holePitch"), holes, cell("underRun"), closure, cell("farthest"), cell("whole")) : null,
            kind == BandKind.Mesh ? new MeshSheet(cell("shortest"), cell("longest"), notches) : null,
            end, cell("endThickness"), cell("tubeBore"), cell("claspEnd"), nickelSafe, cell("boreToFace"), firm).Read(article, owner: null);
    }

    /// <summary>Writes a cell, as it is read.</summary>
    public static string Write(StockBand stock, string column)
    {
        var (band, facts, clasp) = (stock.Band, stock.Band.Facts, stock.Band.Clasp);
        return column switch
        {
            "article" => stock.Article,
            "name" => stock.Name,
            "kind" => CatalogueCells.Word(facts.Kind),
            "material" => CatalogueCells.Word(facts.Material),
            "finish" => stock.Finish,
            "colour" => stock.Colour,
            "attaches" => CatalogueCells.Word(facts.Attaches),
            "width" => CatalogueCells.Mm(facts.Width),
            "thickness" => CatalogueCells.Mm(band.Thickness),
            "end" => CatalogueCells.Word(facts.End),
            "endThickness" => CatalogueCells.Mm(facts.EndThickness),
            "tubeBore" => CatalogueCells.Mm(facts.TubeBore),
            "boreToFace" => CatalogueCells.Mm(facts.BoreToFace),
            "firm" => CatalogueCells.Word(facts.IsFirm),
            "claspEnd" => CatalogueCells.Mm(band.ClaspEnd),
            "solidEnd" => CatalogueCells.Word(facts.SolidEnd),
            "nickelSafe" => CatalogueCells.Word(facts.NickelSafe),
            "family" => facts.Family ?? "",
            "price" => (stock.PriceCents / 100m).ToString("0.00", CultureInfo.InvariantCulture),
            "inStock" => CatalogueCells.Word(stock.InStock),
            "claspName" => band.ClaspName,
            "bucklePiece" => CatalogueCells.Mm(band.Strap?.BucklePiece),
            "tail" => CatalogueCells.Mm(band.Strap?.Tail),
            "firstHole" => CatalogueCells.Mm(band.Strap?.FirstHole ?? band.OnePiece?.FirstHole),
            "holePitch" => CatalogueCells.Mm(band.Strap?.HolePitch ?? band.OnePiece?.HolePitch),
            "holes" => CatalogueCells.Word(band.Strap?.Sold ?? band.OnePiece?.Holes),
            "underRun" => CatalogueCells.Mm(band.OnePiece?.UnderRun),
            "closure" => band.OnePiece is { } through ? CatalogueCells.Word(through.Closure) : "",
            "farthest" => CatalogueCells.Mm(band.OnePiece?.Farthest),
            "whole" => CatalogueCells.Mm(band.OnePiece?.Whole),
            "shortest" => CatalogueCells.Mm(band.Mesh?.Shortest),
            "longest" => CatalogueCells.Mm(band.Mesh?.Longest),
            "notches" => CatalogueCells.Word(band.Mesh?.Notches),
            "twelve" => band.Links is null ? "" : LinkRowText.Print(band.Links.Twelve),
            "six" => band.Links is null ? "" : LinkRowText.Print(band.Links.Six),
            "spares" => LinkRowText.Print([.. band.Spares.SelectMany(s => Enumerable.Repeat(new Link(s.Pitch, true) { Mark = s.Mark }, s.Count))]),
            "claspTwelve" => CatalogueCells.Mm(clasp?.Twelve),
            "claspSix" => CatalogueCells.Mm(clasp?.Six),
            "microSide" => clasp is null ? "" : CatalogueCells.Word(clasp.MicroSide),
            "positions" => CatalogueCells.Word(clasp?.Positions),
            "step" => clasp is { Positions: > 1 } ? CatalogueCells.Mm(clasp.Step) : "",
            "position" => CatalogueCells.Word(clasp?.Position + 1),
            _ => throw new ArgumentOutOfRangeException(nameof(column), column, "Not a column."),
        };
    }
}
