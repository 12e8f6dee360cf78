using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Match;

/// <summary>How a watch takes a band, as another program tells of it.</summary>
internal enum JudgedAttachment
{
    SpringBarDrilled,
    SpringBarBlind,
    FixedBar,
    ScrewBar,
    ScrewSlot,
    OwnShape,
    NotLookedAt,
}

/// <summary>A watch as another program tells of it; what was not measured is left out.</summary>
internal sealed record JudgedWatch(
    JudgedAttachment Attachment, Length? LugWidthMm = null, Length? BarGapMm = null, Length? LugHoleMm = null, Length? OwnBarMm = null,
    Length? SlotHeightMm = null, CaseShape? CaseShape = null, string? Family = null, Length? HeightMm = null)
{
    public WatchFacts Read(Refusals refusals)
    {
        Check(refusals, "$.watch.lugWidthMm", GaugedFigure.LugWidth, LugWidthMm);
        Check(refusals, "$.watch.barGapMm", GaugedFigure.BarGap, BarGapMm);
        Check(refusals, "$.watch.lugHoleMm", GaugedFigure.LugHole, LugHoleMm);
        Check(refusals, "$.watch.ownBarMm", GaugedFigure.OwnBar, OwnBarMm);
        Check(refusals, "$.watch.slotHeightMm", GaugedFigure.SlotHeight, SlotHeightMm);
        Check(refusals, "$.watch.heightMm", GaugedFigure.CaseHeight, HeightMm);
        Attachment? looked = Attachment == JudgedAttachment.NotLookedAt ? null : Enum.Parse<Attachment>(Attachment.ToString());
        return new WatchFacts(LugWidthMm, looked, Named(refusals, "$.watch.family", Family))
        {
            BarGap = BarGapMm,
            LugHole = LugHoleMm,
            OwnBar = OwnBarMm,
            SlotHeight = SlotHeightMm,
            CaseShape = CaseShape,
            Height = HeightMm,
        };
    }

    public static void Check(Refusals refusals, string path, GaugedFigure figure, Length? value)
    {
        if (value is { } length)
            refusals.Check(path, FigureKind.For(figure).Allowed, length);
    }

    public static string? Named(Refusals refusals, string path, string? name) =>
        refusals.Text(path, name, 40, required: false) is { Length: > 0 } text ? text : null;
}

/// <summary>A band as another program tells of it.</summary>
internal sealed record JudgedBand(
    BandKind Kind, BandMaterial Material, Length WidthMm, BandAttachment Attaches, BandEnd End = BandEnd.Straight, bool? SolidEnd = null,
    Length? EndThicknessMm = null, Length? TubeBoreMm = null, int? Layers = null, Length? LayerThicknessMm = null, string? Family = null,
    bool? NickelSafe = null, Length? BoreToFaceMm = null)
{
    public static readonly AllowedLength LayerThicknesses = AllowedLength.Mm(0.3m, 6);
    public static readonly AllowedNumber LayerCounts = new(0, 4);

    public BandFacts Read(Refusals refusals, string path = "$.band")
    {
        JudgedWatch.Check(refusals, $"{path}.widthMm", GaugedFigure.BandWidth, WidthMm);
        JudgedWatch.Check(refusals, $"{path}.endThicknessMm", GaugedFigure.BandEnd, EndThicknessMm);
        JudgedWatch.Check(refusals, $"{path}.boreToFaceMm", GaugedFigure.BandEnd, BoreToFaceMm);
        if (TubeBoreMm is { } bore)
            refusals.Check($"{path}.tubeBoreMm", BandFacts.Bores, bore);
        if (Layers is { } layers)
            refusals.Check($"{path}.layers", LayerCounts, layers);
        if (LayerThicknessMm is { } layer)
            refusals.Check($"{path}.layerThicknessMm", LayerThicknesses, layer);
        if (Kind is BandKind.Mesh or BandKind.LinkBracelet && Material != BandMaterial.Metal)
            refusals.Add($"{path}.material", $"material is {Material.ToString().ToLowerInvariant()}; mesh and link bracelets are metal.");
        return new BandFacts(Kind, Material, WidthMm, Attaches, SolidEnd, JudgedWatch.Named(refusals, $"{path}.family", Family))
        {
            End = End,
            EndThickness = EndThicknessMm,
            TubeBore = TubeBoreMm,
            Layers = Layers,
            LayerThickness = LayerThicknessMm,
            NickelSafe = NickelSafe,
            BoreToFace = BoreToFaceMm,
        };
    }
}

/// <summary>The wearer as another program tells of them.</summary>
internal sealed record JudgedWearer(bool? Water = null, bool? NickelSensitive = null, bool? HairPull = null)
{
    public WearerFacts Read() => new(Water, NickelSensitive, HairPull);
}

internal sealed record JudgeRequest(JudgedWatch Watch, JudgedBand Band, JudgedWearer? Wearer = null);

internal sealed record JudgedEnd(
    BandKind Kind, BandMaterial Material, Length? WidthMm = null, Length? NotchMm = null, Length? BoreMm = null, Length? ThicknessMm = null,
    bool? NotchedEnd = null, bool? OtherEndPlain = null);

internal sealed record JudgedClasp(
    ClaspKind Kind, Length? InnerWidthMm = null, Length? TubeMm = null, Length? OverButtonsMm = null, Length? ThroatMm = null, Length? BarMm = null);

internal sealed record JudgeClaspRequest(JudgedEnd BandEnd, JudgedClasp Clasp);

internal sealed record JudgeAnswer(Verdict Verdict, Certainty Certainty, IReadOnlyList<RuleWire> Rules)
{
    public static JudgeAnswer Of(IReadOnlyList<RuleVerdict> rules) =>
        new(new Judgement(rules).Verdict, new Judgement(rules).Certainty, [.. rules.Select(RuleWire.Of)]);
}

/// <summary>The rules, asked without a shop: for scripts and other shops' tools.</summary>
internal static class JudgeEndpoints
{
    private static readonly AllowedLength ClaspLengths = AllowedLength.Mm(0.2m, 60);

    public static void MapJudge(this IEndpointRouteBuilder routes)
    {
        routes.MapPost("/api/match/judge", Judge).WithName("judge").WithTags("match").WithSummary("Judges a band on a watch.").ProducesValidationProblem();
        routes.MapPost("/api/match/judge-clasp", JudgeClasp).WithName("judgeClasp").WithTags("match").WithSummary("Judges a clasp on a band’s end.")
            .ProducesValidationProblem();
    }

    private static JudgeAnswer Judge(JudgeRequest request)
    {
        var refusals = new Refusals();
        var (watch, band) = (request.Watch.Read(refusals), request.Band.Read(refusals));
        refusals.ThrowIfAny();
        var wearer = request.Wearer?.Read() ?? WearerFacts.Unasked;
        return JudgeAnswer.Of(BandToWatch.Judge(watch, band, wearer, bars: null, HouseLimits.Usual));
    }

    private static JudgeAnswer JudgeClasp(JudgeClaspRequest request)
    {
        var refusals = new Refusals();
        var (end, clasp) = (request.BandEnd, request.Clasp);
        JudgedWatch.Check(refusals, "$.bandEnd.widthMm", GaugedFigure.ClaspEnd, end.WidthMm);
        (string Path, Length? Value)[] others =
        [
            ("$.bandEnd.notchMm", end.NotchMm), ("$.bandEnd.boreMm", end.BoreMm), ("$.bandEnd.thicknessMm", end.ThicknessMm),
            ("$.clasp.innerWidthMm", clasp.InnerWidthMm), ("$.clasp.tubeMm", clasp.TubeMm), ("$.clasp.overButtonsMm", clasp.OverButtonsMm),
            ("$.clasp.throatMm", clasp.ThroatMm), ("$.clasp.barMm", clasp.BarMm),
        ];
        foreach (var (path, value) in others)
            if (value is { } length)
                refusals.Check(path, ClaspLengths, length);
        refusals.ThrowIfAny();
        return JudgeAnswer.Of(ClaspToBand.Judge(
            new BandEndFacts(end.Kind, end.Material, end.WidthMm, end.NotchMm, end.BoreMm, end.ThicknessMm, end.NotchedEnd, end.OtherEndPlain),
            new ClaspFacts(clasp.Kind, clasp.InnerWidthMm, clasp.TubeMm, clasp.OverButtonsMm, clasp.ThroatMm, clasp.BarMm),
            HouseLimits.Usual));
    }
}
