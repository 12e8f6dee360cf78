using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Storage;

namespace IronLoop.Server.Host.Demo;

/// <summary>The small parts of the demo: clasps, buckles, pins and links of the bench on the landing.</summary>
internal static class DemoParts
{
    private const string Findings = "Fennick & Loe Findings";
    private const string SmallParts = "Quarrel Street Small Parts";

    /// <summary>Puts them in stock.</summary>
    public static void Fill(ShopWork work, DateTimeOffset at)
    {
        foreach (var (part, place, minimum, count) in All)
            Parts.Change(work, Parts.Set(work, part, place, minimum), count, "first count", at, "MK");
        foreach (var bar in DemoBands.Bars)
        {
            SpringBars.Set(work, bar, at);
            Parts.Set(work, Parts.Find(work, bar.Article)!.Part with { Supplier = SmallParts, SupplierArticle = $"QS-SB{Number(bar.Body.Millimetres)}-{Number(bar.Length.Millimetres)}", PriceCents = 90 }, "bar case", bar.Curved ? 4 : 10);
        }
    }

    private static IEnumerable<(Part Part, string Place, int Minimum, int Count)> All =>
    [
        .. ((decimal[])[16, 18, 20]).SelectMany(w => ((Part, string, int, int)[])
        [
            (Buckle(w), "drawer A1", 3, w == 18 ? 2 : 6),
            (Folding(w), "drawer A2", 1, w == 18 ? 3 : 2),
            (FoldOver($"CL-O{w}", "Fold-over, eight holes", Findings, w, "brushed", 18.5m, 20.5m, 8, 1.5m, 1.5m, 4_400), "drawer B1", 1, w == 18 ? 3 : 1),
            (FoldOver($"CL-Q{w}", "Fold-over, four holes", SmallParts, w, "brushed", 18, 18, 4, 2.4m, 1.5m, 2_900), "drawer B1", 1, w == 18 ? 4 : 3),
        ]),
        (FoldOver("CL-G18", "Fold-over with slide", SmallParts, 18, "polished", 21, 20, 12, 1, 1.3m, 7_800), "drawer B2", 0, 1),
        (FoldOver("CL-O21", "Fold-over, eight holes", Findings, 21, "brushed", 18.5m, 20.5m, 8, 1.5m, 1.5m, 4_400), "drawer B1", 0, 1),
        (new Part("CL-E18", "Extending fold-over")
        {
            Supplier = SmallParts,
            SupplierArticle = "QS-E18",
            PriceCents = 8_900,
            Clasp = new StockedClasp(Steel(new ClaspFacts(ClaspKind.Extending, Mm(18.1m), Bar: Mm(1.8m)), "brushed"), new BraceletClasp(Mm(22), Mm(22), Side.Twelve, 5, Mm(2), 2), Length.Zero),
        }, "drawer B2", 0, 0),
        (Butterfly("CL-Y16", 16, 7.2m), "drawer C1", 0, 1),
        (Butterfly("CL-Y18", 18, 8), "drawer C1", 1, 1),
        (new Part("CL-M20", "Slide clasp")
        {
            Supplier = Findings,
            SupplierArticle = "FL-M20",
            PriceCents = 1_900,
            Clasp = new StockedClasp(Steel(new ClaspFacts(ClaspKind.Slide, Mm(20)), "polished"), null, Length.Zero),
        }, "drawer C2", 0, 2),
        (Pin("PN-10-18", 1, 18), "pin box", 10, 24),
        (Pin("PN-10-16", 1, 16), "pin box", 10, 8),
        (Pin("PN-09-18", 0.9m, 18), "pin box", 10, 12),
        (new Part("LK-50-18", "Half link") { Supplier = SmallParts, SupplierArticle = "QS-L5-18", PriceCents = 1_200, Link = new StockedLink(Mm(5), Mm(18)) }, "drawer D", 0, 3),
        (new Part("LK-56-18", "Half link") { Supplier = SmallParts, SupplierArticle = "QS-L5h6-18", PriceCents = 1_200, Link = new StockedLink(Mm(5.6m), Mm(18)) }, "drawer D", 0, 2),
        (new Part("LK-56-22", "Half link") { Supplier = SmallParts, SupplierArticle = "QS-L5h6-22", PriceCents = 1_300, Link = new StockedLink(Mm(5.6m), Mm(22)) }, "drawer D", 0, 2),
    ];

    private static Part Buckle(decimal width) => new($"CL-B{width}", "Pin buckle")
    {
        SupplierArticle = $"FL-B{width}",
        Supplier = Findings,
        PriceCents = 480,
        Clasp = new StockedClasp(Steel(new ClaspFacts(ClaspKind.PinBuckle, Mm(width), Throat: Mm(4.5m), Bar: Mm(1.5m)), "polished"), null, Length.Zero),
    };

    private static Part Folding(decimal width) => new($"CL-F{width}", "Folding clasp for straps")
    {
        SupplierArticle = $"QS-F{width}",
        Supplier = SmallParts,
        PriceCents = 2_650,
        Clasp = new StockedClasp(Steel(new ClaspFacts(ClaspKind.StrapFolding, Mm(width), Throat: Mm(4), Bar: Mm(1.5m)), "polished"), null, Mm(7)),
    };

    private static Part FoldOver(
        string article, string name, string supplier, decimal width, string finish, decimal twelve, decimal six, int positions, decimal step, decimal bar, long price) =>
        new(article, name)
        {
            Supplier = supplier,
            SupplierArticle = article.Replace("CL-", supplier == Findings ? "FL-" : "QS-", StringComparison.Ordinal).Replace("-Q", "-O", StringComparison.Ordinal).Replace("-G", "-S", StringComparison.Ordinal),
            PriceCents = price,
            Clasp = new StockedClasp(
                Steel(new ClaspFacts(ClaspKind.FoldOver, Mm(width + 0.2m), Bar: Mm(bar)), finish),
                new BraceletClasp(Mm(twelve), Mm(six), Side.Twelve, positions, Mm(step), (positions - 1) / 2), Length.Zero),
        };

    private static Part Butterfly(string article, decimal width, decimal tube) => new(article, "Butterfly with push buttons")
    {
        Supplier = Findings,
        SupplierArticle = $"FL-Y{width}",
        PriceCents = 3_600,
        Clasp = new StockedClasp(
            Steel(new ClaspFacts(ClaspKind.Butterfly, Tube: Mm(tube), OverButtons: Mm(width + 1.6m)), "polished"),
            new BraceletClasp(Mm(16.5m), Mm(16.5m), Side.Twelve, 1, Length.Zero, 0), Length.Zero),
    };

    private static Part Pin(string article, decimal diameter, decimal length) =>
        new(article, "Friction pin") { Supplier = Findings, SupplierArticle = $"FL-P{Number(diameter)}-{length}", PriceCents = 60, Pin = new FrictionPin(Mm(diameter), Mm(length)) };

    private static string Number(decimal mm) => mm.ToString("0.#", System.Globalization.CultureInfo.InvariantCulture).Replace('.', 'h');

    private static ClaspFacts Steel(ClaspFacts facts, string finish) => facts with { Finish = finish, Colour = "steel" };

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
