using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Devices;

/// <summary>A part as the suppliers' service tells of it; lengths are millimetres.</summary>
internal sealed record SupplierOffer(string Article, string Name, string Supplier, string Kind, long PriceCents, int Available)
{
    public string? Finish { get; init; }
    public string? Colour { get; init; }
    public string? Clasp { get; init; }
    public decimal? InnerMm { get; init; }
    public decimal? TubeMm { get; init; }
    public decimal? OverButtonsMm { get; init; }
    public decimal? ThroatMm { get; init; }
    public decimal? BarMm { get; init; }
    public decimal? AddsMm { get; init; }
    public decimal? TwelveMm { get; init; }
    public decimal? SixMm { get; init; }
    public string? MicroSide { get; init; }
    public int? Positions { get; init; }
    public decimal? StepMm { get; init; }
    public decimal? LengthMm { get; init; }
    public decimal? DiameterMm { get; init; }
    public decimal? TipMm { get; init; }
    public decimal? PitchMm { get; init; }
    public decimal? WidthMm { get; init; }

    /// <summary>
    /// The part it is. What comes from outside is looked over: an offer whose figures cannot be is none.
    /// </summary>
    public Part? Read()
    {
        if (SupplierText.Read(Article, 40) is not { Length: > 0 } article || SupplierText.Read(Name, 80) is not { Length: > 0 } name
            || SupplierText.Read(Supplier, 80) is not { Length: > 0 } supplier || PriceCents is < 0 or > SupplierText.MostCents)
            return null;
        try
        {
            var part = new Part(article, name) { Supplier = supplier, PriceCents = PriceCents };
            return Kind switch
            {
                "clasp" when Enum.TryParse<ClaspKind>(Clasp, ignoreCase: true, out var kind) => part with { Clasp = ReadClasp(kind) },
                "bar" => part with
                {
                    Bar = new SpringBar(article, Needed(LengthMm, GaugedFigure.ClaspBarLength), Needed(DiameterMm, GaugedFigure.ClaspBar), Needed(TipMm, GaugedFigure.ClaspBar), false, BarStyle.Plain, 0),
                },
                "pin" => part with { Pin = new FrictionPin(Needed(DiameterMm, GaugedFigure.PinDiameter), Needed(LengthMm, GaugedFigure.PinLength)) },
                "link" => part with { Link = new StockedLink(Needed(PitchMm, GaugedFigure.LinkPitch), Needed(WidthMm, GaugedFigure.ClaspEnd)) },
                _ => null,
            };
        }
        catch (FormatException)
        {
            return null;
        }
    }

    private StockedClasp ReadClasp(ClaspKind kind)
    {
        var facts = new ClaspFacts(
            kind, Maybe(InnerMm, GaugedFigure.ClaspInner), Maybe(TubeMm, GaugedFigure.ClaspTube), Maybe(OverButtonsMm, GaugedFigure.OverButtons),
            Maybe(ThroatMm, GaugedFigure.ClaspThroat), Maybe(BarMm, GaugedFigure.ClaspBar))
        {
            Finish = SupplierText.Read(Finish, 40) is { Length: > 0 } finish ? finish : null,
            Colour = SupplierText.Read(Colour, 40) is { Length: > 0 } colour ? colour : null,
        };
        var positions = Positions ?? 1;
        if (!FitRanges.Positions.Holds(positions))
            throw new FormatException("positions");
        var loop = TwelveMm is { } twelve && SixMm is { } six
            ? new BraceletClasp(
                Within(twelve, FitRanges.ClaspSide), Within(six, FitRanges.ClaspSide), MicroSide == "six" ? Side.Six : Side.Twelve, positions,
                positions > 1 ? Within(StepMm ?? 0, FitRanges.Step) : Length.Zero, (positions - 1) / 2)
            : null;
        return new StockedClasp(facts, loop, AddsMm is { } adds ? Within(adds, AllowedLength.Mm(0, 60)) : Length.Zero);
    }

    private static Length? Maybe(decimal? mm, GaugedFigure figure) => mm is { } known ? Within(known, FigureKind.For(figure).Allowed) : null;

    private static Length Needed(decimal? mm, GaugedFigure figure) => Maybe(mm, figure) ?? throw new FormatException(figure.ToString());

    private static Length Within(decimal mm, AllowedLength allowed)
    {
        if (mm is < -1_000 or > 1_000)
            throw new FormatException("length");
        var length = Length.FromMillimetres(Math.Round(mm, 3));
        return allowed.Holds(length) ? length : throw new FormatException("length");
    }
}

/// <summary>A line of an order as the service takes it.</summary>
internal sealed record SupplierLine(string Article, int Count);

/// <summary>What a quote is asked for.</summary>
internal sealed record SupplierAsk(string Supplier, IReadOnlyList<SupplierLine> Lines);

/// <summary>A line as quoted.</summary>
internal sealed record SupplierQuoteLine(string Article, int Count, long PriceCents, int Available);

/// <summary>A quote.</summary>
internal sealed record SupplierQuote(IReadOnlyList<SupplierQuoteLine> Lines, long TotalCents, int Days);

/// <summary>A quote as it came.</summary>
internal sealed record SupplierQuoteSaid(IReadOnlyList<SupplierQuoteLine?>? Lines, long TotalCents, int Days)
{
    /// <summary>The quote; null where it could be none.</summary>
    public SupplierQuote? Read() =>
        Lines is { Count: <= SupplierText.MostLines } && TotalCents is >= 0 and <= SupplierText.MostCents && Days is >= 0 and <= 3_650
        && Lines.All(l => l is { Count: >= 0 and <= 99_999, PriceCents: >= 0 and <= SupplierText.MostCents, Available: >= 0 and <= 9_999_999 } && SupplierText.Read(l.Article, 40) is { Length: > 0 })
            ? new SupplierQuote([.. Lines.OfType<SupplierQuoteLine>()], TotalCents, Days) : null;
}

/// <summary>An order as the service takes it.</summary>
internal sealed record SupplierOrder(string Supplier, string Reference, IReadOnlyList<SupplierLine> Lines);

/// <summary>A line of an order as it stands with the supplier.</summary>
internal sealed record SupplierLineStands(string Article, int Count, int Shipped, string? Refused);

/// <summary>An order as it stands with the supplier.</summary>
internal sealed record SupplierOrderStands(string Number, IReadOnlyList<SupplierLineStands> Lines);

/// <summary>An order as the supplier told how it stands.</summary>
internal sealed record SupplierOrderSaid(string? Number, IReadOnlyList<SupplierLineStands?>? Lines)
{
    /// <summary>The order, with its texts as they can be kept; null where it could be none.</summary>
    public SupplierOrderStands? Read()
    {
        if (SupplierText.Read(Number, 60) is not { Length: > 0 } number || Lines is not { Count: <= SupplierText.MostLines })
            return null;
        var lines = new List<SupplierLineStands>();
        foreach (var line in Lines)
        {
            if (line is not { Count: >= 0 and <= 99_999, Shipped: >= 0 and <= 99_999 } || SupplierText.Read(line.Article, 40) is not { Length: > 0 } article)
                return null;
            lines.Add(line with { Article = article, Refused = line.Refused is null ? null : SupplierText.Read(line.Refused, 200) ?? "refused" });
        }
        return new SupplierOrderStands(number, [.. lines]);
    }
}

/// <summary>What a supplier says in words, as it can be kept and shown.</summary>
internal static class SupplierText
{
    public const int MostLines = 2_000;
    public const long MostCents = 100_000_000;

    /// <summary>A text on one line; null where it is longer than it may be.</summary>
    public static string? Read(string? said, int longest) =>
        said is null || said.Length > longest ? null : string.Concat(said.Where(c => !char.IsControl(c) && !char.IsSurrogate(c) && c is not ('\u202A' or '\u202B' or '\u202C' or '\u202D' or '\u202E'))).Trim();
}
