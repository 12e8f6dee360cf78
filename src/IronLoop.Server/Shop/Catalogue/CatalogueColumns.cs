using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>The columns of a catalogue: what a band is entered by, under the names of the band sheet.</summary>
internal static class CatalogueColumns
{
    /// <summary>All columns, in the order they are written.</summary>
    public static readonly IReadOnlyList<string> All =
    [
        "article", "name", "kind", "material", "finish", "colour", "attaches", "width", "thickness", "end", "endThickness", "tubeBore", "claspEnd",
        "solidEnd", "nickelSafe", "boreToFace", "firm", "family", "price", "inStock", "claspName", "bucklePiece", "tail", "firstHole", "holePitch", "holes", "underRun", "closure", "farthest", "whole",
        "shortest", "longest", "notches", "twelve", "six", "spares", "claspTwelve", "claspSix", "microSide", "positions", "step", "position",
    ];

    /// <summary>The columns without which no row is a band.</summary>
    public static readonly IReadOnlyList<string> Needed = ["article", "name", "kind", "material", "attaches", "width", "thickness"];

    /// <summary>The column a header most likely means; null when it means none.</summary>
    public static string? Guess(string header)
    {
        var plain = Plain(header);
        return All.FirstOrDefault(c => Plain(c) == plain) ?? All.FirstOrDefault(c => Plain(c) + "mm" == plain);
    }

    /// <summary>Reads a row.</summary>
    /// <exception cref="RefusedException">Something in it cannot be taken; the paths end in the column's name.</exception>
    public static StockBand Read(Func<string, string> cell)
    {
        var refusals = new Refusals();
        var article = refusals.Text("$.article", cell("article"), 40, required: true);
        var kind = Choice<BandKind>(refusals, "kind", cell);
        var material = Choice<BandMaterial>(refusals, "material", cell);
        var attaches = Choice<BandAttachment>(refusals, "attaches", cell);
        var end = Choice<BandEnd>(refusals, "end", cell, BandEnd.Straight);
        var closure = Choice<OnePieceClosure>(refusals, "closure", cell, OnePieceClosure.Buckle);
        var micro = Choice<Side>(refusals, "microSide", cell, Side.Twelve);
        var inStock = Count(refusals, "inStock", cell, 0);
        var holes = Count(refusals, "holes", cell, 0);
        var notches = Count(refusals, "notches", cell, 0);
        var positions = Count(refusals, "positions", cell, 1);
        var position = Count(refusals, "position", cell, 1);
        var (solid, nickelSafe, firm) = (YesOrNo(refusals, "solidEnd", cell), YesOrNo(refusals, "nickelSafe", cell), YesOrNo(refusals, "firm", cell));
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

    /// <summary>Writes a cell, as <see cref="Read"/> reads it.</summary>
    public static string Write(StockBand stock, string column)
    {
        var (band, facts, clasp) = (stock.Band, stock.Band.Facts, stock.Band.Clasp);
        return column switch
        {
            "article" => stock.Article,
            "name" => stock.Name,
            "kind" => Word(facts.Kind),
            "material" => Word(facts.Material),
            "finish" => stock.Finish,
            "colour" => stock.Colour,
            "attaches" => Word(facts.Attaches),
            "width" => Mm(facts.Width),
            "thickness" => Mm(band.Thickness),
            "end" => Word(facts.End),
            "endThickness" => Mm(facts.EndThickness),
            "tubeBore" => Mm(facts.TubeBore),
            "boreToFace" => Mm(facts.BoreToFace),
            "firm" => Word(facts.IsFirm),
            "claspEnd" => Mm(band.ClaspEnd),
            "solidEnd" => Word(facts.SolidEnd),
            "nickelSafe" => Word(facts.NickelSafe),
            "family" => facts.Family ?? "",
            "price" => (stock.PriceCents / 100m).ToString("0.00", System.Globalization.CultureInfo.InvariantCulture),
            "inStock" => Word(stock.InStock),
            "claspName" => band.ClaspName,
            "bucklePiece" => Mm(band.Strap?.BucklePiece),
            "tail" => Mm(band.Strap?.Tail),
            "firstHole" => Mm(band.Strap?.FirstHole ?? band.OnePiece?.FirstHole),
            "holePitch" => Mm(band.Strap?.HolePitch ?? band.OnePiece?.HolePitch),
            "holes" => Word(band.Strap?.Sold ?? band.OnePiece?.Holes),
            "underRun" => Mm(band.OnePiece?.UnderRun),
            "closure" => band.OnePiece is { } through ? Word(through.Closure) : "",
            "farthest" => Mm(band.OnePiece?.Farthest),
            "whole" => Mm(band.OnePiece?.Whole),
            "shortest" => Mm(band.Mesh?.Shortest),
            "longest" => Mm(band.Mesh?.Longest),
            "notches" => Word(band.Mesh?.Notches),
            "twelve" => band.Links is null ? "" : LinkRowText.Print(band.Links.Twelve),
            "six" => band.Links is null ? "" : LinkRowText.Print(band.Links.Six),
            "spares" => LinkRowText.Print([.. band.Spares.SelectMany(s => Enumerable.Repeat(new Link(s.Pitch, true) { Mark = s.Mark }, s.Count))]),
            "claspTwelve" => Mm(clasp?.Twelve),
            "claspSix" => Mm(clasp?.Six),
            "microSide" => clasp is null ? "" : Word(clasp.MicroSide),
            "positions" => Word(clasp?.Positions),
            "step" => clasp is { Positions: > 1 } ? Mm(clasp.Step) : "",
            "position" => Word(clasp?.Position + 1),
            _ => throw new ArgumentOutOfRangeException(nameof(column), column, "Not a column."),
        };
    }

    private static string Plain(string header) => string.Concat(header.Where(char.IsLetterOrDigit)).ToLowerInvariant();

    private static string Mm(Length? length) => length?.Millimetres.ToString("0.###", System.Globalization.CultureInfo.InvariantCulture) ?? "";

    private static string Word<T>(T value) => value switch
    {
        null => "",
        bool yes => yes ? "yes" : "no",
        Enum choice => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(choice.ToString()),
        IFormattable number => number.ToString(null, System.Globalization.CultureInfo.InvariantCulture),
        _ => value.ToString() ?? "",
    };

    private static TChoice Choice<TChoice>(Refusals refusals, string column, Func<string, string> cell, TChoice? usual = null)
        where TChoice : struct, Enum
    {
        var typed = cell(column).Trim();
        if (typed.Length == 0 && usual is { } known)
            return known;
        if (typed.Length > 0 && !char.IsAsciiDigit(typed[0]) && Enum.TryParse<TChoice>(typed, ignoreCase: true, out var choice))
            return choice;
        refusals.Add($"$.{column}", $"{column} is “{typed}”; allowed is one of {string.Join(", ", Enum.GetValues<TChoice>().Select(v => Word(v)))}.");
        return default;
    }

    private static int Count(Refusals refusals, string column, Func<string, string> cell, int usual)
    {
        var typed = cell(column).Trim();
        if (typed.Length == 0)
            return usual;
        if (int.TryParse(typed, System.Globalization.NumberStyles.None, System.Globalization.CultureInfo.InvariantCulture, out var count))
            return count;
        refusals.Add($"$.{column}", $"{column} is “{typed}”, which is no count.");
        return usual;
    }

    private static bool? YesOrNo(Refusals refusals, string column, Func<string, string> cell)
    {
        var typed = cell(column).Trim().ToLowerInvariant();
        switch (typed)
        {
            case "": return null;
            case "yes" or "true" or "1": return true;
            case "no" or "false" or "0": return false;
            default:
                refusals.Add($"$.{column}", $"{column} is “{typed}”; write yes or no.");
                return null;
        }
    }
}
