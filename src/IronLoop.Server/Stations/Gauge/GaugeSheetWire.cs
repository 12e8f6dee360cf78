using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Gauge;

/// <summary>The needed length by one way.</summary>
internal sealed record WayWire(Way Way, double NeededMm, double SigmaMm, bool Disagrees);

/// <summary>All ways together.</summary>
internal sealed record WaysWire(IReadOnlyList<WayWire> Ways, double NeededMm, double SigmaMm, string? Says);

/// <summary>The try-on as entered; lengths as the core prints them, empty where nothing was entered.</summary>
internal sealed record TryOnSheet(SurplusBy By, SurplusOver Over, string Amount, string Loop, string Thickness, string Pitch, string Wedge, string LoopNow);

/// <summary>The copied loop as entered.</summary>
internal sealed record CopySheet(string Loop, string BarToBar, string BarRise, string Thickness, LoopBy By);

/// <summary>The gap under the clasp, for a finger, that a way to wear it leaves on this wrist.</summary>
internal sealed record WearGapWire(WearPreference Wear, string Text)
{
    private static readonly Length Finger = Length.FromMillimetres(14);

    public static IReadOnlyList<WearGapWire> Of(Figures figures) => figures.Wrist is not { } wrist ? [] :
    [
        .. Enum.GetValues<WearPreference>().Select(preference =>
        {
            var wear = Core.Fitting.Wear.Of(preference);
            string Gap(Length ease) => Math.Round(EaseFromGap.GapFor(wrist, figures.Aspect, ease, Finger).Millimetres).ToString("0", System.Globalization.CultureInfo.InvariantCulture);
            return new WearGapWire(preference, $"a gap of {Gap(wear.Least)} to {Gap(wear.Most)} mm");
        }),
    ];
}

/// <summary>What is known of the wrist beside its figures.</summary>
/// <param name="SeasonAssumed">Whether the season is merely that of the visit.</param>
internal sealed record WristWire(WornAt? WornAt, Season Season, bool SeasonAssumed, decimal Aspect, bool AspectAssumed);

/// <summary>A client's wrist on one visit.</summary>
internal sealed record WristVisitWire(long JobId, DateOnly Day, Length Mm, Season Season, WearPreference? Wear, bool Here);

/// <summary>What can be told by hand, without a figure.</summary>
/// <param name="Name">What is asked for, in words.</param>
/// <param name="OrByFigures">Whether it can be told by figures instead.</param>
internal sealed record AsksByHand(HandWorkKind Tells, string Name, IReadOnlyList<QuestionWire> Questions, bool OrByFigures)
{
    public static AsksByHand? Of(Request request) => Needs.ToldBy(request) is { } tells
        ? new AsksByHand(tells, Needs.Of(request, byHand: true).Name, QuestionWire.Of(Core.Jobs.Questions.ByHand(request)), Needs.CanBeFigured(request))
        : null;
}

/// <summary>The gauging sheet of a job.</summary>
/// <param name="ByHand">Null where nothing of it is told by hand.</param>
/// <param name="Model">What the model book has for it; null where it does not know the watch.</param>
internal sealed record GaugeSheetWire(
    IReadOnlyList<GaugeLineWire> Lines,
    Attachment? Attachment,
    CaseShape? CaseShape,
    string? Family,
    WearPreference? Wear,
    IReadOnlyList<WearGapWire> WearGaps,
    WristWire Wrist,
    WaysWire? Ways,
    TryOnSheet TryOn,
    CopySheet Copy,
    IReadOnlyList<WristVisitWire> WristHistory,
    bool BraceletWanted,
    AsksByHand? ByHand,
    OwnBraceletWire Bracelet,
    JobModelWire? Model)
{
    public static GaugeSheetWire Read(ShopWork work, JobSnapshot file)
    {
        var (job, figures) = (file.Job, file.Figures);
        var needs = Asking.NeedsOf(file);
        var wanted = needs.Figures(figures.Attachment);
        var readings = Gaugings.ReadingsOf(work, job.Id).ToLookup(r => r.Figure);
        var head = figures.Head;
        var note = Wrists.NoteOf(work, job.Id);
        return new GaugeSheetWire(
            [.. FigureKind.All.Where(k => k.Of != GaugedOf.Clasp).Select(kind => GaugeLineWire.Read(kind, file, head, wanted, [.. readings[kind.Figure]]))],
            figures.Attachment,
            figures.CaseShape,
            figures.Family,
            figures.Wear,
            WearGapWire.Of(figures),
            new WristWire(
                note.WornAt, note.Season ?? Seasons.Of(DateOnly.FromDateTime(job.TakenInAt.LocalDateTime)), note.Season is null,
                figures.Aspect, figures.MeasuredAspect is null),
            WaysOf(figures.Ways(file.PivotHeight)),
            TryOnSheetOf(figures),
            new CopySheet(Text(figures.Copy?.Loop), Text(figures.Copy?.BarToBar), Text(figures.Copy?.BarRise), Text(figures.Copy?.Thickness), figures.Copy?.By ?? LoopBy.Measured),
            [.. Wrists.HistoryOf(work, job.Client.Id).Select(v => new WristVisitWire(v.JobId, v.Day, v.Round, v.Season, v.Wear, v.JobId == job.Id))],
            needs.Must.Contains(Asked.Bracelet) || needs.Sharpens.Contains(Asked.Bracelet),
            AsksByHand.Of(job.Request),
            OwnBraceletWire.Of(figures),
            JobModelWire.Of(work, file));
    }

    private static WaysWire? WaysOf(ThreeWays? ways) => ways is null ? null : new WaysWire(
        [.. ways.Ways.Select(w => new WayWire(
            w.Way, Math.Round(w.Need.Needed, 2), Math.Round(w.Need.Sigma, 2), ways.Disagreements.Any(d => d.One == w.Way || d.Other == w.Way)))],
        Math.Round(ways.Together.Needed, 2),
        Math.Round(ways.Together.Sigma, 2),
        ways.Says);

    private static TryOnSheet TryOnSheetOf(Figures figures)
    {
        var tried = figures.TryOn ?? new TryOn();
        return new TryOnSheet(
            tried.By, tried.Over, tried.Amount?.ToString("0.###", System.Globalization.CultureInfo.InvariantCulture) ?? "",
            Text(tried.Loop), Text(tried.Thickness), Text(tried.Pitch), Text(tried.Wedge), Text(figures.Bracelet?.LengthNow(figures)));
    }

    private static string Text(Length? length) => length?.ToString() ?? "";
}
