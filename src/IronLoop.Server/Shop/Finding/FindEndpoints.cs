using System.Text.Json.Serialization;
using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Finding;

/// <summary>What kind of thing was found.</summary>
internal enum FoundKind
{
    Job,
    Client,
    Watch,
    Band,
    Part,
    Model,
}

/// <summary>Something found.</summary>
/// <param name="Id">Its number; of a watch, its client's.</param>
/// <param name="Says">What it is.</param>
/// <param name="More">What tells it from others.</param>
/// <param name="Next">The station an open job is at.</param>
/// <param name="Exact">Whether what was asked is its code: a tag's, or an article number.</param>
internal sealed record FoundWire(FoundKind Kind, long Id, string Says, string More, Station? Next, bool Exact);

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(List<FoundWire>))]
internal sealed partial class FindingJson : JsonSerializerContext;

/// <summary>Looks for words in everything the shop knows by name: jobs with their notes and bags, people, watches, bands, articles.</summary>
internal static class FindEndpoints
{
    private const int MostOfAKind = 6;
    private const int MostWords = 8;

    public static void MapFind(this IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/find", Find).WithName("find").WithTags("find")
            .WithSummary("Jobs open and closed (by client, watch, part, owner’s words, notes, tag or bag label), people, watches, bands, articles and models whose words begin like those typed, in any order; six of a kind at most.");

    private static List<FoundWire> Find(OpenShop shop, string? words = null)
    {
        var sought = (words ?? "").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Take(MostWords).ToArray();
        if (sought.Length == 0)
            return [];
        using var work = shop.Look();
        // A bag's label is read like its tag: both say which job they belong to.
        var code = sought is [var of, var number] && (Is(of, "tag") || Is(of, "bag")) && long.TryParse(number, out var id) ? id
            : sought is [var alone] && long.TryParse(alone, out var tag) ? tag : (long?)null;
        var visits = Visits.Find(work, new LogQuestion(code is { } job ? $"tag {job}" : string.Join(' ', sought)), long.MaxValue, MostOfAKind);
        var jobs = visits.OrderBy(v => v.ClosedAt is not null).Select(v => new FoundWire(
            FoundKind.Job, v.JobId, $"Tag {v.JobId}, {v.Client}", $"{v.Watch}; {(v.ClosedAt is null ? "on the rack" : "handed over")}",
            v.ClosedAt is null ? TheJob.Read(work, v.JobId).Progress.Next : null, v.JobId == code && sought.Length == 2));
        var people = Clients.Find(work, string.Join(' ', sought), MostOfAKind).Select(c => new FoundWire(FoundKind.Client, c.Id, c.Name, c.Contact, null, false));
        var watches = visits.Where(v => Array.Exists(sought, w => v.Watch.Contains(w, StringComparison.OrdinalIgnoreCase))).DistinctBy(v => v.WatchId)
            .Select(v => new FoundWire(FoundKind.Watch, v.ClientId, v.Watch, v.Client, null, false));
        var bands = Sought.Bands(work, sought, MostOfAKind).Select(b => Article(FoundKind.Band, b, sought));
        var parts = Sought.Parts(work, sought, MostOfAKind).Select(p => Article(FoundKind.Part, p, sought));
        var models = Storage.ModelBook.Find(work, string.Join(' ', sought), MostOfAKind).Select(m => new FoundWire(FoundKind.Model, m.Id, m.Name, "model book", null, false));
        // What is named by its code is meant, before all that only tells of it.
        return [.. jobs.Concat(people).Concat(watches).Concat(bands).Concat(parts).Concat(models).OrderByDescending(f => f.Exact)];
    }

    private static bool Is(string word, string what) => word.Equals(what, StringComparison.OrdinalIgnoreCase);

    private static FoundWire Article(FoundKind kind, SoughtArticle article, string[] sought) =>
        new(kind, article.Id, article.Name, article.Article, null, sought is [var alone] && Is(article.Article, alone));
}
