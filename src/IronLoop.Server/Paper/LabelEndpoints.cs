using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Paper;

/// <summary>The label printer as set.</summary>
/// <param name="StandInPage">Where the stand-in shows what it printed, when the program was started with one.</param>
internal sealed record LabelPrinterWire(LabelPrinter Printer, string? StandInPage);

/// <summary>What became of a label.</summary>
internal sealed record PrintedWire(string Says);

/// <summary>Labels: which printer, and the bag's label on it.</summary>
internal static class LabelEndpoints
{
    public static void MapLabels(this IEndpointRouteBuilder routes)
    {
        var printer = routes.MapGroup("/api/label-printer").WithTags("devices");
        printer.MapGet("", (OpenShop shop, Switches switches) =>
        {
            using var work = shop.Look();
            return Wire(LabelPrinter.Find(work), switches);
        }).WithName("labelPrinter").WithSummary("The label printer as set.");
        printer.MapPut("", (LabelPrinter typed, OpenShop shop, Switches switches) =>
        {
            var settled = typed.Checked();
            if (settled.Kind == PrinterKind.StandIn && switches.StandIns > 0)
                settled = settled with { Host = "127.0.0.1", Port = switches.StandIns + 3 };
            using var work = shop.Begin();
            settled.Settle(work);
            work.Commit();
            return Wire(settled, switches);
        }).WithName("settleLabelPrinter").WithSummary("Sets the label printer.").ProducesValidationProblem().WithMetadata(new Needs(Role.Lead));
        routes.MapPost("/api/jobs/{id:long}/label/print", Print).WithName("printLabel").WithTags("paper").WithSummary("Prints the bag’s label.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict).ProducesProblem(StatusCodes.Status503ServiceUnavailable);
    }

    private static async Task<PrintedWire> Print(long id, OpenShop shop, TimeProvider clock, CancellationToken stop)
    {
        LabelPrinter printer;
        BagLabel label;
        using (var work = shop.Look())
        {
            printer = LabelPrinter.Find(work);
            label = BagLabel.Of(work, TheJob.Read(work, id), clock);
        }
        await printer.Print(Pictures.Png(label, BagLabel.DotsPerMm), label.Size.Width, label.Size.Height, stop);
        return new PrintedWire("The label is printed.");
    }

    private static LabelPrinterWire Wire(LabelPrinter printer, Switches switches) =>
        new(printer, switches.StandIns > 0 ? $"http://127.0.0.1:{switches.StandIns}/labels" : null);
}
