using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Models;
using IronLoop.Server.Contract;
using IronLoop.Storage;
using Book = IronLoop.Storage.ModelBook;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>A maker's catalogue of watch models: a row is an edition of a model, for the model book.</summary>
internal sealed class ModelCatalogue : CatalogueKind
{
    private static readonly IReadOnlyList<FigureKind> Figures = [.. FigureKind.All.Where(k => k.Of != GaugedOf.Wrist && k.Figure != GaugedFigure.MicroPitch)];

    private static readonly AllowedLength Half = AllowedLength.Mm(0, 80);

    public override string Of => "models";

    public override string KeyColumn => "model";

    public override IReadOnlyList<string> All { get; } =
    [
        "model", "edition", "attachment", "caseShape", "family", .. Figures.Select(k => CatalogueCells.Word(k.Figure)),
        "twelve", "six", "halfPitch", "fastener", "claspName", "claspTwelve", "claspSix", "microSide", "positions", "step", "strapLengths", "note",
    ];

    public override IReadOnlyList<string> Needed => ["model"];

    public override CatalogueItem Read(Func<string, string> cell)
    {
        var refusals = new Refusals();
        var name = refusals.Text("$.model", cell("model"), Job.LongestName, required: true);
        var edition = refusals.Text("$.edition", cell("edition"), Job.LongestName, required: false);
        var note = refusals.Text("$.note", cell("note"), Job.LongestWords, required: false);
        var facts = new List<KnownFact>();
        void Fact(ModelFact fact, string? value)
        {
            if (value is { Length: > 0 })
                facts.Add(new KnownFact(fact, value, 0, []));
        }
        string? Chosen<TChoice>(string column)
            where TChoice : struct, Enum => cell(column).Trim().Length == 0 ? null : CatalogueCells.Choice<TChoice>(refusals, column, cell).ToString();
        string? Long(string column, AllowedLength allowed) =>
            refusals.Typed($"$.{column}", cell(column), allowed) is { } length ? length.Millimetres.ToString("0.###", CultureInfo.InvariantCulture) : null;
        Fact(ModelFact.Attachment, Chosen<Attachment>("attachment"));
        Fact(ModelFact.CaseShape, Chosen<CaseShape>("caseShape"));
        Fact(ModelFact.Family, refusals.Text("$.family", cell("family"), 20, required: false));
        foreach (var (fact, column) in ((ModelFact, string)[])[(ModelFact.Twelve, "twelve"), (ModelFact.Six, "six")])
        {
            var row = refusals.Text($"$.{column}", cell(column), 200, required: false);
            if (row.Length > 0 && !LinkRowText.TryParse(row, new NamedPitches(FitRanges.Pitch.Lowest, FitRanges.Pitch.Lowest), out _, out var why))
                refusals.Add($"$.{column}", why);
            Fact(fact, row);
        }
        Fact(ModelFact.HalfPitch, Long("halfPitch", FitRanges.Pitch));
        Fact(ModelFact.Fastener, Chosen<Fastener>("fastener"));
        Fact(ModelFact.ClaspName, refusals.Text("$.claspName", cell("claspName"), 60, required: false));
        Fact(ModelFact.ClaspTwelve, Long("claspTwelve", Half));
        Fact(ModelFact.ClaspSix, Long("claspSix", Half));
        Fact(ModelFact.MicroSide, Chosen<Side>("microSide"));
        if (cell("positions").Trim().Length > 0)
        {
            var positions = CatalogueCells.Count(refusals, "positions", cell, 1);
            if (positions is < 1 or > 40)
                refusals.Add("$.positions", $"positions is {positions}; allowed is 1 to 40.");
            Fact(ModelFact.Positions, positions.ToString(CultureInfo.InvariantCulture));
        }
        Fact(ModelFact.Step, Long("step", FigureKind.For(GaugedFigure.MicroPitch).Allowed));
        var strap = cell("strapLengths").Trim();
        if (strap.Length > 0 && (strap.Split('/') is not [var one, var other] || !IsHalf(one) || !IsHalf(other)))
            refusals.Add("$.strapLengths", $"strapLengths is “{strap}”; allowed is the 12 side and the 6 side in millimetres, 20 to 250 each, such as 75/115.");
        Fact(ModelFact.StrapLengths, strap);
        var figures = new List<SheetFigure>();
        foreach (var kind in Figures)
            if (refusals.Typed($"$.{CatalogueCells.Word(kind.Figure)}", cell(CatalogueCells.Word(kind.Figure)), kind.Allowed) is { } length)
                figures.Add(new SheetFigure(kind.Figure, new BookFigure(length, 0, 1, HowHad.Catalogue), "", []));
        refusals.ThrowIfAny();
        var sheet = new ModelSheet(0, name, note, [new EditionSheet(0, edition, figures, facts, [])]);
        return new CatalogueItem(
            KeyOf(name, edition), $"{name}{(edition.Length > 0 ? $", {edition}" : "")}: {(figures.Count == 0 ? "no figure" : string.Join(", ", figures.Take(4).Select(f => $"{FigureKind.For(f.Figure).Name} {f.Known.Mean}")))}", sheet);
    }

    public override IReadOnlyDictionary<string, string?> Known(ShopWork work) =>
        Book.Names(work).ToDictionary(n => KeyOf(n.Model, n.Edition), _ => (string?)null, StringComparer.Ordinal);

    public override void Store(ShopWork work, CatalogueItem item, DateTimeOffset at) => Book.TakeIn(work, (ModelSheet)item.What, work.By ?? "", at);

    private static string KeyOf(string model, string edition) => $"{model}\n{edition}".ToLowerInvariant();

    private static bool IsHalf(string typed) => decimal.TryParse(typed, NumberStyles.Number, CultureInfo.InvariantCulture, out var mm) && mm is >= 20 and <= 250;
}
