using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;

namespace IronLoop.Server.Ordering;

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
        if (Article is not { Length: > 0 and <= 40 } || Name is not { Length: > 0 and <= 80 } || Supplier is not { Length: > 0 and <= 80 } || PriceCents is < 0 or > 100_000_000)
            return null;
        try
        {
            var part = new Part(Article, Name) { Supplier = Supplier, PriceCents = PriceCents };
            return Kind switch
            {
                "clasp" when Enum.TryParse<ClaspKind>(Clasp, ignoreCase: true, out var kind) => part with { Clasp = ReadClasp(kind) },
                "bar" => part with
                {
                    Bar = new SpringBar(Article, Needed(LengthMm, GaugedFigure.ClaspBarLength), Needed(DiameterMm, GaugedFigure.ClaspBar), Needed(TipMm, GaugedFigure.ClaspBar), false, BarStyle.Plain, 0),
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
            Finish = string.IsNullOrWhiteSpace(Finish) ? null : Finish,
            Colour = string.IsNullOrWhiteSpace(Colour) ? null : Colour,
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

/// <summary>An order as the service takes it.</summary>
internal sealed record SupplierOrder(string Supplier, string Reference, IReadOnlyList<SupplierLine> Lines);

/// <summary>A line of an order as it stands with the supplier.</summary>
internal sealed record SupplierLineStands(string Article, int Count, int Shipped, string? Refused);

/// <summary>An order as it stands with the supplier.</summary>
internal sealed record SupplierOrderStands(string Number, string State, IReadOnlyList<SupplierLineStands> Lines);
