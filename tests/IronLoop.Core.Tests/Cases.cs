using System.Text.Json;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests;

/// <summary>Reads the worked figures in cases/.</summary>
internal static class Cases
{
    public static JsonElement Open(string name)
    {
        using var document = JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "cases", name)));
        return document.RootElement.Clone();
    }

    public static Length Mm(this JsonElement element, string name) => Length.FromMillimetres(element.GetProperty(name).GetDecimal());

    public static PlanRequest PlanRequest(JsonElement request)
    {
        static Link[] Row(JsonElement row) =>
            [.. row.EnumerateArray().Select(l => new Link(l.Mm("pitchMm"), l.GetProperty("removable").GetBoolean()))];

        var bracelet = request.GetProperty("bracelet");
        var clasp = request.GetProperty("clasp");
        var target = request.GetProperty("target");
        var centring = request.GetProperty("centring");
        var reserve = request.GetProperty("reserve");
        return new PlanRequest(
            new Bracelet(Row(bracelet.GetProperty("twelve")), Row(bracelet.GetProperty("six"))),
            [.. request.GetProperty("spares").EnumerateArray().Select(s => new SpareLinks(s.Mm("pitchMm"), s.GetProperty("count").GetInt32()))],
            new BraceletClasp(
                clasp.Mm("twelveMm"),
                clasp.Mm("sixMm"),
                clasp.GetProperty("microSide").GetString() == "twelve" ? Side.Twelve : Side.Six,
                clasp.GetProperty("positions").GetInt32(),
                clasp.Mm("stepMm"),
                clasp.GetProperty("position").GetInt32()),
            new FitTarget(target.Mm("lengthMm"), target.Mm("windowMm"), target.Mm("toleranceMm")),
            new Centring(centring.Mm("desiredMm"), centring.Mm("toleranceMm")),
            new Reserve(reserve.Mm("tighterMm"), reserve.Mm("looserMm")));
    }
}
