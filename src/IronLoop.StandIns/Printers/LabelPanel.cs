using System.Globalization;
using System.Text;

namespace IronLoop.StandIns.Printers;

/// <summary>What the printer is made to do; null leaves it.</summary>
internal sealed record MachineWire(bool? Paper = null, bool? On = null);

/// <summary>How the printer stands.</summary>
internal sealed record MachineStateWire(bool Paper, bool On, int Printed);

/// <summary>The printer's panel: what came out, an empty roll, switched off.</summary>
internal static class LabelPanel
{
    public static void MapLabelPanel(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/labels", (LabelMachine machine) => Results.Content(Page(machine), "text/html; charset=utf-8"));
        routes.MapGet("/labels/{number:int}.png", (int number, LabelMachine machine) =>
            number >= 1 && number <= machine.Printed.Count ? Results.Bytes(machine.Printed[number - 1].Png, "image/png") : Results.NotFound());
        routes.MapGet("/labels/state", State);
        routes.MapPost("/labels/play", (MachineWire play, LabelMachine machine) =>
        {
            machine.HasPaper = play.Paper ?? machine.HasPaper;
            machine.IsOn = play.On ?? machine.IsOn;
            return State(machine);
        });
    }

    private static MachineStateWire State(LabelMachine machine) => new(machine.HasPaper, machine.IsOn, machine.Printed.Count);

    private static string Page(LabelMachine machine)
    {
        var labels = new StringBuilder();
        for (var i = machine.Printed.Count; i >= 1; i--)
            labels.Append(CultureInfo.InvariantCulture, $"<img src=\"/labels/{i}.png\" alt=\"label {i}\" style=\"width:{machine.Printed[i - 1].Width:0.#}mm\">");
        return $$"""
            <!doctype html>
            <html lang="en"><head><meta charset="utf-8"><title>Stand-in label printer</title><link rel="icon" href="data:,">
            <style>
              body { margin: 0; padding: 16px 20px; background: #f1ede4; color: #22262b; font: 16px/1.35 system-ui, sans-serif; }
              h1 { font-size: 19px; margin: 0 0 10px; }
              img { display: block; margin: 12px 0; background: #fff; border: 1px solid #5a6067; }
              button { min-height: 44px; padding: 0 16px; font: inherit; border: 1px solid #22262b; background: none; border-radius: 2px; margin: 0 8px 8px 0; }
            </style></head><body>
            <h1>Stand-in label printer: {{(machine.IsOn ? machine.HasPaper ? "ready" : "out of paper" : "switched off")}}, 62 mm</h1>
            <button data-play='{"paper": {{(machine.HasPaper ? "false" : "true")}}}'>{{(machine.HasPaper ? "Take the roll out" : "Put a roll in")}}</button>
            <button data-play='{"on": {{(machine.IsOn ? "false" : "true")}}}'>{{(machine.IsOn ? "Switch it off" : "Switch it on")}}</button>
            {{(labels.Length > 0 ? labels : "<p>Nothing came out yet.</p>")}}
            <script>
              for (const button of document.querySelectorAll('button'))
                button.onclick = async () => {
                  await fetch('/labels/play', { method: 'POST', headers: { 'content-type': 'application/json' }, body: button.dataset.play })
                  location.reload()
                }
            </script></body></html>
            """;
    }
}
