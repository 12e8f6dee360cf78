using System.Text.Json.Serialization;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;
using IronLoop.Core.Models;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.ModelBook;

/// <summary>A model in a list.</summary>
/// <param name="Edition">Its edition that most watches tell of.</param>
/// <param name="Says">What is known of it, in a line.</param>
internal sealed record ListedModelWire(long Id, string Name, long Edition, int Editions, int Pieces, int Figures, string Says)
{
    public static ListedModelWire Of(ListedModel m) => new(m.Id, m.Name, m.Edition, m.Editions, m.Pieces, m.Figures,
        $"{m.Pieces} {(m.Pieces == 1 ? "watch" : "watches")}, {m.Figures} {(m.Figures == 1 ? "figure" : "figures")}{(m.Editions > 1 ? $", {m.Editions} editions" : "")}");
}

/// <summary>Models found.</summary>
/// <param name="Total">How many there are in the book.</param>
internal sealed record ModelsWire(int Total, IReadOnlyList<ListedModelWire> Models);

/// <param name="Job">A job of that watch.</param>
internal sealed record OddPieceWire(long Watch, long? Job, string Text);

/// <summary>A figure of a sheet.</summary>
/// <param name="Text">The mean.</param>
/// <param name="Spread">The spread; null of one watch.</param>
internal sealed record SheetFigureWire(GaugedFigure Figure, string Name, string Text, string? Spread, int Pieces, HowHad How, string LastBy, IReadOnlyList<OddPieceWire> Odd);

/// <param name="Value">What most say.</param>
/// <param name="Others">What others say, with how many.</param>
internal sealed record SheetFactWire(ModelFact Fact, string Value, int Pieces, IReadOnlyList<string> Others);

/// <summary>What holds a group of joints.</summary>
/// <param name="Where">Which joints, in words.</param>
/// <param name="Held">What holds them, in words.</param>
/// <param name="Size">Its sizes and its way in, in words; empty where nobody gauged them.</param>
/// <param name="Others">What others are held by, with how many.</param>
internal sealed record SheetJointsWire(JointGroup Group, string Where, string Held, string Size, int Pieces, IReadOnlyList<string> Others)
{
    public static SheetJointsWire Of(KnownJoints known) => new(
        known.Group, known.Where, JointWords.Name(known.Look.Fastener), known.Sizes, known.Pieces, [.. known.Others.Select(o => $"{JointWords.Name(o.Fastener)} ({o.Pieces})")]);
}

/// <summary>What is known of a last link that looks fixed.</summary>
/// <param name="Says">The same in words, with how it is known.</param>
internal sealed record SheetFreedWire(Side Side, FreedLink Is, int Pieces, string Says);

/// <summary>What was noted at the bench on a watch of this model.</summary>
/// <param name="PhotoId">A photo taken with it; null where there is none.</param>
internal sealed record ModelNoteWire(long JobId, string Step, string Text, string By, long? PhotoId);

/// <summary>An article that jobs of this model took from stock.</summary>
/// <param name="Pieces">How many, over all of them.</param>
internal sealed record ModelPartWire(string Article, string Name, int Pieces);

/// <param name="PitchMm">From pivot to pivot.</param>
/// <param name="Removable">Whether it comes out.</param>
internal sealed record ModelLinkWire(Length PitchMm, bool Removable);

/// <param name="Twelve">The links of the 12 side as they lie, from the case to the clasp; empty where they are not known.</param>
/// <param name="ClaspMm">The clasp, pivot to pivot; null where it is not known.</param>
internal sealed record EditionWire(
    long Id, string Name, int Pieces, IReadOnlyList<SheetFigureWire> Figures, IReadOnlyList<SheetFactWire> Facts, IReadOnlyList<SheetJointsWire> Joints, IReadOnlyList<SheetFreedWire> Freed,
    IReadOnlyList<ModelLinkWire> Twelve, IReadOnlyList<ModelLinkWire> Six, Length? ClaspMm)
{
    public static IReadOnlyList<ModelLinkWire> Links(EditionSheet edition, Func<Bracelet, IReadOnlyList<Link>> side)
    {
        var figures = Core.Gauging.Figures.None.With(GaugedFigure.LinkPitch, edition.Figures.FirstOrDefault(f => f.Figure == GaugedFigure.LinkPitch)?.Known.Mean);
        return edition.Bracelet is { } bracelet ? [.. side(bracelet.Rows(figures)).Select(l => new ModelLinkWire(l.Pitch, l.Removable))] : [];
    }
}

internal sealed record ModelJobWire(long JobId, string Client, Request Request, bool Closed, int? Minutes, bool? RightFirst);

/// <summary>A model looked at whole.</summary>
/// <param name="RightFirst">Its share right at the first try-on, in words; null where none was tried on.</param>
/// <param name="UsualMinutes">Minutes at the bench of the middle one of its jobs; null where none was timed.</param>
internal sealed record ModelWire(long Id, string Name, string Note, IReadOnlyList<EditionWire> Editions, IReadOnlyList<ModelJobWire> Jobs, string? RightFirst, int? UsualMinutes, IReadOnlyList<ModelNoteWire> Notes, IReadOnlyList<ModelPartWire> Parts)
{
    private const int MostJobs = 200;
    private const int MostNotes = 20;

    public static ModelWire Of(ShopWork work, ModelSheet sheet)
    {
        var jobs = Storage.ModelBook.JobsOf(work, sheet.Id, MostJobs);
        var tried = jobs.Where(j => j.RightFirst is not null).ToList();
        var minutes = jobs.Where(j => j is { Closed: true, Minutes: not null }).Select(j => j.Minutes!.Value).Order().ToList();
        return new ModelWire(sheet.Id, sheet.Name, sheet.Note,
            [.. sheet.Editions.Select(e => new EditionWire(e.Id, e.Name, e.Pieces,
                [.. e.Figures.Select(f => new SheetFigureWire(
                    f.Figure, FigureKind.For(f.Figure).Name, f.Known.Mean.ToHundredths(), f.Known.Pieces > 1 ? $"± {f.Known.SpreadMm.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture)} mm" : null,
                    f.Known.Pieces, f.Known.How, f.LastBy, [.. f.Odd.Select(o => new OddPieceWire(o.WatchId, Storage.ModelBook.JobOfWatch(work, o.WatchId), o.Reading.ToHundredths()))]))],
                [.. e.Facts.Where(f => f.Fact is not (ModelFact.FreedTwelve or ModelFact.FreedSix)).Select(f => new SheetFactWire(f.Fact, f.Value, f.Pieces, [.. f.Others.Select(o => $"{o.Value} ({o.Pieces})")]))],
                [.. e.Joints.Select(SheetJointsWire.Of)], [.. e.Freed.Select(f => new SheetFreedWire(f.Side, f.Link, f.Pieces, FreedWords.Of(f.Side, f.Link, f.Pieces)))],
                EditionWire.Links(e, b => b.Twelve), EditionWire.Links(e, b => b.Six), e.Bracelet?.Clasp is { } clasp ? clasp.Twelve + clasp.Six : null))],
            [.. jobs.Select(j => new ModelJobWire(j.JobId, j.Client, j.Request, j.Closed, j.Minutes, j.RightFirst))],
            tried.Count == 0 ? null : $"{tried.Count(j => j.RightFirst == true)} of {tried.Count} right at the first try-on",
            minutes.Count == 0 ? null : minutes[minutes.Count / 2],
            [.. Storage.ModelBook.NotesOf(work, sheet.Id, MostNotes).Select(n => new ModelNoteWire(n.JobId, n.Step, n.Text, n.By, n.PhotoId))],
            [.. Storage.ModelBook.PartsOf(work, sheet.Id, MostNotes).Select(p => new ModelPartWire(p.Article, p.Name, p.Pieces))]);
    }
}

/// <summary>What is changed of a model; what is left out stays.</summary>
/// <param name="Freed">What is known of a side's last link that looks fixed.</param>
internal sealed record ModelChangeWire(string? Name = null, string? Note = null, FreedChangeWire? Freed = null);

/// <summary>Whether a side's last link comes free at the clasp.</summary>
/// <param name="Edition">The edition.</param>
/// <param name="Side">The side.</param>
/// <param name="Is">How it is, and how that is known; null where nothing is.</param>
internal sealed record FreedChangeWire(long Edition, Side Side, FreedLink? Is);

/// <param name="Into">The model it goes into.</param>
internal sealed record MergeWire(long Into);

/// <summary>What becomes an edition, or a model, of its own.</summary>
/// <param name="Edition">The edition it is in.</param>
/// <param name="Name">What the new edition, or model, is called.</param>
/// <param name="Watches">The watches that go there; none for the whole edition, which then becomes a model of its own.</param>
internal sealed record SplitWire(long Edition, string Name, IReadOnlyList<long>? Watches = null);

/// <param name="Models">How many models were taken in.</param>
internal sealed record TakenModels(int Models, int Figures);

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(ModelsWire))]
[JsonSerializable(typeof(ModelWire))]
[JsonSerializable(typeof(ModelChangeWire))]
[JsonSerializable(typeof(MergeWire))]
[JsonSerializable(typeof(SplitWire))]
[JsonSerializable(typeof(TakenModels))]
[JsonSerializable(typeof(ModelFile))]
internal sealed partial class ModelBookJson : JsonSerializerContext;
