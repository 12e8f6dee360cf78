using System.Globalization;
using CsvHelper;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using Book = IronLoop.Storage.ModelBook;

namespace IronLoop.Server.Shop.ModelBook;

/// <summary>The model book: sheets of watch models, found as one types, changed, and written and read as a file.</summary>
internal static class ModelBookEndpoints
{
    private const int MostShown = 100;
    private const long MostBytes = 64 << 20;

    public static void MapModelBook(this IEndpointRouteBuilder routes)
    {
        var models = routes.MapGroup("/api/models").WithTags("models");
        models.MapGet("", (OpenShop shop, string? words = null, int skip = 0, int take = 50) =>
        {
            using var work = shop.Look();
            var most = Math.Clamp(take, 1, MostShown);
            var found = string.IsNullOrWhiteSpace(words) ? Book.All(work, Math.Max(0, skip), most) : Book.Find(work, words, most);
            return new ModelsWire(Book.Count(work), [.. found.Select(ListedModelWire.Of)]);
        }).WithName("models").WithSummary("Models by name: words in any order, begun or with a small slip; without words all, in the order of the alphabet.");
        models.MapGet("/{id:long}", (long id, OpenShop shop) =>
        {
            using var work = shop.Look();
            return ModelWire.Of(work, Book.Sheet(work, id) ?? throw Missing(id));
        }).WithName("model").WithSummary("A model looked at whole: editions, figures, what is odd, jobs.").ProducesProblem(StatusCodes.Status404NotFound);
        models.MapPatch("/{id:long}", Change).WithName("changeModel").WithSummary("Another name, another note, or what is known of a last link that looks fixed.").ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        models.MapPost("/{id:long}/merged", Merge).WithName("mergeModel").WithSummary("Puts a model’s editions under another; jobs keep what they were worked with.").ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        models.MapPost("/split", Split).WithName("splitModel").WithSummary("Puts some watches into an edition of their own, or a whole edition into a model of its own.").ProducesValidationProblem();
        models.MapGet("/file", (OpenShop shop, string? words = null) =>
        {
            using var work = shop.Look();
            return ModelFile.Of(string.IsNullOrWhiteSpace(words) ? Book.Each(work) : Book.Find(work, words, MostShown).Select(m => Book.Sheet(work, m.Id)!));
        }).WithName("modelFile").WithSummary("Model sheets as a file (format iron-loop-models): all, or those found by words.");
        models.MapGet("/{id:long}/file", (long id, OpenShop shop) =>
        {
            using var work = shop.Look();
            return ModelFile.Of([Book.Sheet(work, id) ?? throw Missing(id)]);
        }).WithName("oneModelFile").WithSummary("One model sheet as a file.").ProducesProblem(StatusCodes.Status404NotFound);
        models.MapPost("/file", TakeIn).WithName("takeInModels").WithSummary("Takes model sheets in from a file: beside what was gauged, in place of what a file said before; all of it or nothing.").ProducesValidationProblem()
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(MostBytes));
        routes.MapGet("/api/models.csv", Csv).ExcludeFromDescription();
    }

    private static RefusedException Missing(long id) => RefusedException.NotFound($"The model book has no model {id}.");

    private static ModelWire Change(long id, ModelChangeWire change, OpenShop shop)
    {
        var refusals = new Refusals();
        var name = change.Name is null ? null : refusals.Text("$.name", change.Name, Job.LongestName, required: true);
        var note = change.Note is null ? null : refusals.Text("$.note", change.Note, Job.LongestWords, required: false);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        if (Book.Sheet(work, id) is null)
            throw Missing(id);
        if (!Book.Change(work, id, name, note))
            refusals.Add("$.name", $"name is “{name}”; another model is called so. Merge the two, or give another name.");
        if (change.Freed is { } freed)
        {
            if (Book.ModelOf(work, freed.Edition) != id)
                refusals.Add("$.freed.edition", $"edition is {freed.Edition}; allowed is one of this model.");
            else
                Book.SayOfFreed(work, freed.Edition, freed.Side, freed.Is);
        }
        refusals.ThrowIfAny();
        work.Commit();
        return ModelWire.Of(work, Book.Sheet(work, id)!);
    }

    private static ModelWire Merge(long id, MergeWire merge, OpenShop shop)
    {
        using var work = shop.Begin();
        if (Book.Sheet(work, id) is null)
            throw Missing(id);
        var refusals = new Refusals();
        if (merge.Into == id || Book.Sheet(work, merge.Into) is null)
            refusals.Add("$.into", $"into is {merge.Into}; allowed is the number of another model.");
        refusals.ThrowIfAny();
        Book.Merge(work, id, merge.Into);
        work.Commit();
        return ModelWire.Of(work, Book.Sheet(work, merge.Into)!);
    }

    private static ModelWire Split(SplitWire split, OpenShop shop)
    {
        var refusals = new Refusals();
        var name = refusals.Text("$.name", split.Name, Job.LongestName, required: true);
        if (split.Watches is { Count: > 1000 })
            refusals.Add("$.watches", $"There are {split.Watches.Count} watches; allowed is up to 1000.");
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        if (Book.ModelOf(work, split.Edition) is not { } model)
        {
            refusals.Add("$.edition", $"edition is {split.Edition}; the model book has none of that number.");
            refusals.ThrowIfAny();
            throw Missing(split.Edition);
        }
        if (split.Watches is { Count: > 0 } watches)
        {
            Book.Split(work, split.Edition, name, watches);
        }
        else if (Book.Part(work, split.Edition, name) is { } own)
        {
            model = own;
        }
        else
        {
            refusals.Add("$.name", $"name is “{name}”; another model is called so.");
            refusals.ThrowIfAny();
        }
        work.Commit();
        return ModelWire.Of(work, Book.Sheet(work, model)!);
    }

    private static TakenModels TakeIn(ModelFile file, OpenShop shop, TimeProvider clock)
    {
        var sheets = file.Read();
        using var work = shop.Begin();
        foreach (var sheet in sheets)
            Book.TakeIn(work, sheet, work.By ?? "", clock.GetUtcNow());
        work.Commit();
        return new TakenModels(sheets.Count, sheets.Sum(s => s.Editions.Sum(e => e.Figures.Count)));
    }

    private static IResult Csv(OpenShop shop) => Results.Stream(
        async stream =>
        {
            using var work = shop.Look();
            await using var csv = CsvWriter.Create(stream, new CsvWriterOptions { WriteByteOrderMark = true, Injection = CsvInjection.Escape });
            await csv.WriteRecordAsync((string[])["model", "edition", "figure", "mean mm", "spread mm", "pieces", "how"]);
            foreach (var model in Book.Each(work))
                foreach (var edition in model.Editions)
                    foreach (var (figure, known) in edition.Figures.Select(f => (f.Figure, f.Known)))
                        await csv.WriteRecordAsync((string[])[model.Name, edition.Name, FigureKind.For(figure).Name, Number(known.Mean.Millimetres), Number(known.SpreadMm), Number(known.Pieces), known.How.ToString()]);
        },
        "text/csv; charset=utf-8", "models.csv");

    private static string Number(decimal number) => number.ToString("0.####", CultureInfo.InvariantCulture);
}
