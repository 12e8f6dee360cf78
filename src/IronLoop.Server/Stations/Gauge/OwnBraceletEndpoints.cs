using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Gauge;

/// <summary>A link of a row, from case to clasp.</summary>
/// <summary>A link on the bracelet sheet.</summary>
/// <param name="Mark">The letter that tells it from others of its pitch; empty where nothing does.</param>
/// <param name="OneSided">Whether it goes on its own side only.</param>
internal sealed record SheetLinkWire(Length PitchMm, bool Removable, string Mark = "", bool OneSided = false);

/// <summary>A row entered link by link.</summary>
internal sealed record LinkRowWire(IReadOnlyList<SheetLinkWire> Links);

/// <summary>The bracelet sheet, field by field: one left out stays as it was, an empty one is forgotten.</summary>
internal sealed record OwnBraceletFields(
    string? Twelve = null, string? Six = null, string? Spares = null, string? HalfPitch = null, string? ClaspName = null, string? ClaspTwelve = null,
    string? ClaspSix = null, Side? MicroSide = null, int? Positions = null, string? Step = null, int? Position = null, Fastener? Fastener = null,
    string? BenchLength = null)
{
    public OwnBracelet Into(OwnBracelet before, Figures figures, Refusals refusals)
    {
        var half = refusals.Changed("$.halfPitch", HalfPitch, FitRanges.Pitch, before.HalfPitch);
        var positions = Positions ?? before.Positions;
        var position = Position ?? Math.Min(before.Position, Math.Max(1, positions));
        refusals.Check("$.positions", FitRanges.Positions, positions);
        refusals.Check("$.position", new AllowedNumber(1, Math.Max(1, positions)), position);
        return before with
        {
            Twelve = Row("$.twelve", "12 side", Twelve, before.Twelve, half, figures, refusals),
            Six = Row("$.six", "6 side", Six, before.Six, half, figures, refusals),
            Spares = Row("$.spares", "Loose links", Spares, before.Spares, half, figures, refusals),
            HalfPitch = half,
            ClaspName = ClaspName is null ? before.ClaspName : refusals.Text("$.claspName", ClaspName, 80, required: true),
            ClaspTwelve = refusals.Changed("$.claspTwelve", ClaspTwelve, FitRanges.ClaspSide, before.ClaspTwelve),
            ClaspSix = refusals.Changed("$.claspSix", ClaspSix, FitRanges.ClaspSide, before.ClaspSix),
            MicroSide = MicroSide ?? before.MicroSide,
            Positions = positions,
            Step = refusals.Changed("$.step", Step, FitRanges.Step, before.Step),
            Position = position,
            Fastener = Fastener switch
            {
                null => before.Fastener,
                Core.Joints.Fastener.NotLookedAt => null,
                var seen => seen,
            },
            BenchLength = refusals.Changed("$.benchLength", BenchLength, TryOnWire.Loops, before.BenchLength),
        };
    }

    /// <summary>A row may be said before its pitches are gauged: then only its words are looked at.</summary>
    private static string Row(string path, string name, string? typed, string before, Length? half, Figures figures, Refusals refusals)
    {
        if (typed is null)
            return before;
        var words = refusals.Text(path, typed, 200, required: false);
        var stand = FitRanges.Pitch.Lowest;
        if (!LinkRowText.TryParse(words, new NamedPitches(figures[GaugedFigure.LinkPitch] ?? stand, half ?? stand), out _, out var why))
            refusals.Add(path, $"{name}: {why}");
        return words;
    }
}

/// <summary>The bracelet sheet as shown.</summary>
/// <param name="Missing">What is still wanted before it can be planned with.</param>
/// <param name="LengthNow">What the sheet adds up to.</param>
/// <param name="Question">What the length along the bench says against it.</param>
internal sealed record OwnBraceletWire(
    string Twelve, string Six, string Spares, string? TwelveWhyNot, string? SixWhyNot, string? SparesWhyNot,
    IReadOnlyList<SheetLinkWire> TwelveLinks, IReadOnlyList<SheetLinkWire> SixLinks,
    Length? FullPitchMm, Length? HalfPitchMm, string HalfPitch, string ClaspName, string ClaspTwelve, string ClaspSix, Side MicroSide, int Positions, string Step,
    int Position, Fastener Fastener, string BenchLength, string? LengthNow, IReadOnlyList<string> Missing, string? Question)
{
    public static OwnBraceletWire Of(Figures figures)
    {
        var sheet = figures.Bracelet ?? new OwnBracelet();
        var rows = sheet.Rows(figures);
        return new OwnBraceletWire(
            sheet.Twelve, sheet.Six, sheet.Spares, sheet.TwelveWhyNot(figures), sheet.SixWhyNot(figures), sheet.SparesWhyNot(figures),
            Links(rows.Twelve), Links(rows.Six),
            figures[GaugedFigure.LinkPitch], sheet.HalfPitch, Text(sheet.HalfPitch), sheet.ClaspName, Text(sheet.ClaspTwelve), Text(sheet.ClaspSix),
            sheet.MicroSide, sheet.Positions, Text(sheet.Step), sheet.Position, sheet.Fastener ?? Core.Joints.Fastener.NotLookedAt, Text(sheet.BenchLength),
            sheet.LengthNow(figures)?.ToTenths(), sheet.Missing(figures), sheet.Question(figures));
    }

    private static SheetLinkWire[] Links(IReadOnlyList<Link> row) => [.. row.Select(l => new SheetLinkWire(l.Pitch, l.Removable, l.Mark == '\0' ? "" : l.Mark.ToString(), l.OneSided))];

    private static string Text(Length? length) => length?.ToString() ?? "";
}

/// <summary>The owner's own bracelet, entered by words or link by link.</summary>
internal static class OwnBraceletEndpoints
{
    public static void MapOwnBracelet(this IEndpointRouteBuilder routes)
    {
        var bracelet = routes.MapGroup("/api/jobs/{id:long}/gauge/bracelet").WithTags("gauge");
        bracelet.MapPatch("", (long id, OwnBraceletFields typed, OpenShop shop, TimeProvider clock) => Change(id, shop, clock, typed.Into))
            .WithName("bracelet").WithSummary("The bracelet sheet, field by field.").ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict);
        bracelet.MapPut("/{side}", SetRow).WithName("linkRow").WithSummary("A side’s row, link by link.").ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static GaugeSheetWire SetRow(long id, string side, LinkRowWire row, OpenShop shop, TimeProvider clock) =>
        Change(id, shop, clock, (before, _, refusals) =>
        {
            if (!Enum.TryParse<Side>(side, ignoreCase: true, out var which) || !Enum.IsDefined(which))
                throw RefusedException.NotFound($"A band has the sides twelve and six, not {side}.");
            refusals.Check("$.links", FitRanges.LinksASide, row.Links.Count);
            for (var i = 0; i < row.Links.Count; i++)
                refusals.Check($"$.links[{i}].pitchMm", FitRanges.Pitch, row.Links[i].PitchMm);
            for (var i = 0; i < row.Links.Count; i++)
                if (row.Links[i].Mark is not ("" or [>= 'a' and <= 'z']))
                    refusals.Add($"$.links[{i}].mark", $"A kind of link is a letter from a to z, not “{row.Links[i].Mark}”.");
            refusals.ThrowIfAny("The bracelet cannot be taken like this.");
            var words = LinkRowText.Print([.. row.Links.Select(l => new Link(l.PitchMm, l.Removable) { Mark = l.Mark is [var mark] ? mark : '\0', OneSided = l.OneSided })]);
            return which == Side.Twelve ? before with { Twelve = words } : before with { Six = words };
        });

    private static GaugeSheetWire Change(
        long id, OpenShop shop, TimeProvider clock, Func<OwnBracelet, Figures, Refusals, OwnBracelet> change) =>
        GaugeChange.Make(id, shop, clock, JobAct.GaugeBracelet, (work, file) =>
        {
            var refusals = new Refusals();
            var sheet = change(file.Figures.Bracelet ?? new OwnBracelet(), file.Figures, refusals);
            refusals.ThrowIfAny("The bracelet cannot be taken like this.");
            OwnBracelets.Set(work, id, sheet, OwnBracelets.BandOf(work, id));
        });
}
