using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.PartStock;

/// <summary>A change of a part's count.</summary>
internal sealed record StockEntryWire(DateTimeOffset At, string By, int Change, string Reason, long? JobId);

/// <summary>A part as entered; lengths as typed, empty where they say nothing about it.</summary>
internal sealed record PartSheet(
    string Article, string Name, PartKind Kind, string Supplier = "", string Place = "", int Minimum = 0, string Price = "", string Finish = "", string Colour = "",
    string SupplierArticle = "", ClaspKind? Clasp = null, string Inner = "", string Tube = "", string OverButtons = "", string Throat = "", string Bar = "", string Adds = "", string Twelve = "",
    string Six = "", Side MicroSide = Side.Twelve, int Positions = 1, string Step = "", string Length = "", string Diameter = "", string Tip = "", bool Curved = false,
    BarStyle Style = BarStyle.Plain, string Pitch = "", string Width = "")
{
    private static readonly AllowedLength Halves = FitRanges.ClaspSide;

    public Part Read()
    {
        var refusals = new Refusals();
        var article = refusals.Text("$.article", Article, 40, required: true);
        var name = refusals.Text("$.name", Name, 80, required: true);
        var supplier = refusals.Text("$.supplier", Supplier, 80, required: false);
        refusals.Text("$.place", Place, 40, required: false);
        refusals.Check("$.minimum", new AllowedNumber(0, 9_999), Minimum);
        long cents = 0;
        if (!string.IsNullOrWhiteSpace(Price) && !Money.TryParse(Price, out cents))
            refusals.Add("$.price", Money.Refuse(Price));
        var part = new Part(article, name) { Supplier = supplier, SupplierArticle = refusals.Text("$.supplierArticle", SupplierArticle, 40, required: false), PriceCents = cents };
        part = Kind switch
        {
            PartKind.Clasp => part with { Clasp = ReadClasp(refusals) },
            PartKind.Bar => part with
            {
                Bar = new SpringBar(article, Needed(refusals, "$.length", Length, Of(GaugedFigure.ClaspBarLength)), Needed(refusals, "$.diameter", Diameter, Of(GaugedFigure.ClaspBar)),
                    Needed(refusals, "$.tip", Tip, AllowedLength.Mm(0.3m, 4)), Curved, Style, 0),
            },
            PartKind.Pin => part with
            {
                Pin = new FrictionPin(Needed(refusals, "$.diameter", Diameter, Of(GaugedFigure.PinDiameter)), Needed(refusals, "$.length", Length, Of(GaugedFigure.PinLength))),
            },
            _ => part with { Link = new StockedLink(Needed(refusals, "$.pitch", Pitch, FitRanges.Pitch), Needed(refusals, "$.width", Width, Of(GaugedFigure.ClaspEnd))) },
        };
        refusals.ThrowIfAny("The part cannot be taken like this.");
        return part;
    }

    private StockedClasp ReadClasp(Refusals refusals)
    {
        if (Clasp is null)
            refusals.Add("$.clasp", "clasp is missing; say which kind it is.");
        refusals.Check("$.positions", FitRanges.Positions, Positions);
        var facts = new ClaspFacts(
            Clasp ?? ClaspKind.FoldOver,
            refusals.Typed("$.inner", Inner, Of(GaugedFigure.ClaspInner)),
            refusals.Typed("$.tube", Tube, Of(GaugedFigure.ClaspTube)),
            refusals.Typed("$.overButtons", OverButtons, Of(GaugedFigure.OverButtons)),
            refusals.Typed("$.throat", Throat, Of(GaugedFigure.ClaspThroat)),
            refusals.Typed("$.bar", Bar, Of(GaugedFigure.ClaspBar)))
        {
            Finish = Word(refusals, "$.finish", Finish),
            Colour = Word(refusals, "$.colour", Colour),
        };
        var (twelve, six) = (refusals.Typed("$.twelve", Twelve, Halves), refusals.Typed("$.six", Six, Halves));
        if (twelve is null != six is null)
            refusals.Add(twelve is null ? "$.twelve" : "$.six", "Both half lengths are needed, or neither.");
        var step = Positions > 1 && twelve is not null ? Needed(refusals, "$.step", Step, FitRanges.Step) : Core.Measuring.Length.Zero;
        return new StockedClasp(
            facts,
            twelve is { } t && six is { } s ? new BraceletClasp(t, s, MicroSide, Positions, step, (Positions - 1) / 2) : null,
            refusals.Typed("$.adds", Adds, AllowedLength.Mm(0, 60)) ?? Core.Measuring.Length.Zero);
    }

    private static AllowedLength Of(GaugedFigure figure) => FigureKind.For(figure).Allowed;

    private static string? Word(Refusals refusals, string path, string typed) =>
        refusals.Text(path, typed, 40, required: false) is { Length: > 0 } word ? word : null;

    private static Length Needed(Refusals refusals, string path, string typed, AllowedLength allowed)
    {
        if (refusals.Typed(path, typed, allowed) is { } length)
            return length;
        if (string.IsNullOrWhiteSpace(typed))
            refusals.Add(path, $"{path[2..]} is missing; give {allowed}.");
        return allowed.Lowest;
    }
}
