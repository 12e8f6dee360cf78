using System.Text;
using CsvHelper;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>A row that cannot be taken.</summary>
internal sealed record BadCell(int Line, string Column, string Value, string Reason);

/// <summary>A row as read: what it holds, or what is wrong with it.</summary>
internal readonly record struct CatalogueRow(int Line, CatalogueItem? Item, IReadOnlyList<BadCell> Bad);

/// <summary>A catalogue as comma- or semicolon-separated text (RFC 4180), UTF-8 with or without byte order mark.</summary>
/// <param name="Path">Where it lies.</param>
/// <param name="Delimiter">Comma or semicolon, detected.</param>
/// <param name="Decimal">Decimal point or comma, detected.</param>
/// <param name="Headers">Its first line.</param>
/// <param name="Kind">What it is of.</param>
internal sealed record CatalogueFile(string Path, char Delimiter, char Decimal, IReadOnlyList<string> Headers, CatalogueKind Kind)
{
    /// <summary>Looks at a file's first lines.</summary>
    /// <exception cref="RefusedException">It is no such file.</exception>
    public static CatalogueFile Open(string path, CatalogueKind kind)
    {
        var start = Start(path);
        using var csv = Reader(path);
        if (csv.Headers.Count < 2)
            throw Refuse("The file has no header line with columns parted by comma or semicolon.");
        var cells = start.Split('\n').Skip(1).SelectMany(l => l.Split(csv.Separator)).Select(c => c.Trim(' ', '"', '\r')).ToList();
        static bool Is(string cell, char mark) => cell.Length < 12 && cell.Count(c => c == mark) == 1 && cell.All(c => char.IsAsciiDigit(c) || c == mark);
        var mark = cells.Count(c => Is(c, ',')) > cells.Count(c => Is(c, '.')) ? ',' : '.';
        return new CatalogueFile(path, csv.Separator, mark, [.. csv.Headers.Select(h => h.Trim())], kind);
    }

    /// <summary>The columns as its headers most likely mean them.</summary>
    public IReadOnlyDictionary<string, string> Guess()
    {
        var mapping = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var header in Headers)
            if (Kind.Guess(header) is { } column && !mapping.ContainsValue(column))
                mapping.TryAdd(header, column);
        return mapping;
    }

    /// <summary>Reads row by row, each with its line in the file.</summary>
    /// <param name="mapping">Column by header.</param>
    public IEnumerable<CatalogueRow> Rows(IReadOnlyDictionary<string, string> mapping)
    {
        var at = new Dictionary<string, int>(StringComparer.Ordinal);
        for (var i = 0; i < Headers.Count; i++)
            if (mapping.TryGetValue(Headers[i], out var column))
                at.TryAdd(column, i);
        using var csv = Reader(Path);
        while (csv.Read())
            yield return Read(csv, at, (int)csv.LineNumber);
    }

    /// <summary>Writes bands as a catalogue that can be read again.</summary>
    /// <remarks>A cell that a spreadsheet would take for a formula is written with an apostrophe before it.</remarks>
    public static async Task Write(Stream to, IEnumerable<StockBand> bands, char delimiter)
    {
        var options = new CsvWriterOptions { Separator = delimiter, WriteByteOrderMark = true, Injection = CsvInjection.Escape };
        await using var csv = CsvWriter.Create(to, options);
        await csv.WriteRecordAsync([.. BandCatalogue.Written]);
        foreach (var band in bands)
            await csv.WriteRecordAsync([.. BandCatalogue.Written.Select(c => BandCatalogue.Write(band, c))]);
    }

    private static bool LooksLikeFormula(string cell) => cell.Length > 0 && cell[0] is '=' or '+' or '-' or '@' or '\t' or '\r';

    private CatalogueRow Read(CsvReader csv, Dictionary<string, int> at, int line)
    {
        string Cell(string column)
        {
            var cell = at.TryGetValue(column, out var i) && i < csv.FieldCount ? csv.GetString(i).Trim() : "";
            return cell.StartsWith('\'') && LooksLikeFormula(cell[1..]) ? cell[1..] : cell;
        }
        try
        {
            return new CatalogueRow(line, Kind.Read(Cell), []);
        }
        catch (RefusedException refused)
        {
            return new CatalogueRow(line, null, [.. refused.Errors.Select(e =>
            {
                var column = e.Key[(e.Key.LastIndexOf('.') + 1)..];
                return new BadCell(line, column == "$" ? "" : column, column == "$" ? "" : Cell(column), string.Join(' ', e.Value));
            })]);
        }
    }

    private static CsvReader Reader(string path) => CsvReader.FromFile(path, new CsvReaderOptions { TrackLineNumbers = true });

    private static string Start(string path)
    {
        using var text = new StreamReader(path, new UTF8Encoding(false, throwOnInvalidBytes: true), detectEncodingFromByteOrderMarks: true);
        var start = new char[64 * 1024];
        try
        {
            var count = text.ReadBlock(start);
            if (count == 0)
                throw Refuse("The file is empty.");
            if (Array.IndexOf(start, '\0', 0, count) >= 0)
                throw Refuse("The file is no text.");
            // To its end: what is not UTF-8 in a later line would otherwise come in garbled.
            var rest = new char[64 * 1024];
            while (text.ReadBlock(rest) > 0)
            {
            }
            return new string(start, 0, count);
        }
        catch (DecoderFallbackException)
        {
            throw Refuse("The file is not UTF-8; save it as CSV in UTF-8.");
        }
    }

    private static RefusedException Refuse(string why) => new(StatusCodes.Status400BadRequest, "The catalogue cannot be read.", new Dictionary<string, string[]> { ["$"] = [why] });
}
