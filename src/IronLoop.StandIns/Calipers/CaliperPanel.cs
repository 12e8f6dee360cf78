using System.Reflection;

namespace IronLoop.StandIns.Calipers;

/// <summary>Where the jaw is put.</summary>
/// <param name="Mm">Millimetres.</param>
internal sealed record JawWire(double Mm);

/// <summary>What the panel shows.</summary>
/// <param name="JawMm">Where the jaw stands.</param>
/// <param name="Shows">What the display shows.</param>
/// <param name="Listeners">How many listen on the line.</param>
internal sealed record PanelWire(double JawMm, string Shows, int Listeners);

/// <summary>The panel: a jaw to drag, a unit and a zero button, and sending.</summary>
internal static class CaliperPanel
{
    public static void MapCaliperPanel(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/", () => Results.Content(Page(), "text/html; charset=utf-8"));
        routes.MapGet("/caliper", Show);
        routes.MapPost("/caliper/jaw", (JawWire jaw, Caliper caliper, CaliperLine line) =>
        {
            caliper.Jaw = jaw.Mm;
            return Show(caliper, line);
        });
        routes.MapPost("/caliper/unit", (Caliper caliper, CaliperLine line) =>
        {
            caliper.ChangeUnit();
            return Show(caliper, line);
        });
        routes.MapPost("/caliper/zero", (Caliper caliper, CaliperLine line) =>
        {
            caliper.Zero();
            return Show(caliper, line);
        });
        routes.MapPost("/caliper/send", (Caliper caliper, CaliperLine line) =>
        {
            var reading = caliper.Read();
            line.Send(reading);
            return new PanelWire(caliper.Jaw, reading, line.Listeners);
        });
        routes.MapPost("/caliper/disturb", (Caliper caliper, CaliperLine line) =>
        {
            line.Send("#~ \u0001\u0007 Err");
            return Show(caliper, line);
        });
        routes.MapPost("/caliper/drop", (Caliper caliper, CaliperLine line) =>
        {
            line.Drop();
            return Show(caliper, line);
        });
    }

    private static PanelWire Show(Caliper caliper, CaliperLine line) => new(caliper.Jaw, caliper.Read(), line.Listeners);

    private static string Page()
    {
        using var page = new StreamReader(Assembly.GetExecutingAssembly().GetManifestResourceStream("caliper-panel.html")!);
        return page.ReadToEnd();
    }
}
