using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Rack;

/// <summary>How far a job has come, as its tag tells it.</summary>
/// <param name="Next">The station it is at.</param>
/// <param name="StationsDone">How many are done.</param>
/// <param name="IsUntouched">Whether nobody has begun at the bench.</param>
/// <param name="TrayKept">Whether what was taken off lies in its tray.</param>
internal sealed record HowFar(Station Next, int StationsDone, bool IsUntouched, bool TrayKept);

/// <summary>The tags on the rack. How far a job has come is worked out once for each version of it, and told from memory after that.</summary>
internal sealed class RackTags(ShopFile shop)
{
    // More open jobs than any shop has; beyond that the oldest is worked out anew.
    private const int Most = 5_000;

    private readonly KeptByJob<HowFar> _kept = new(shop.JobChanges, Most, mindsStock: false);

    // Held while tags are worked out: who asks for the same meanwhile finds them done.
    private readonly Lock _atWork = new();

    /// <summary>The tags of the open jobs in which every word is found.</summary>
    public List<TagWire> Of(ShopWork work, IReadOnlyList<string> words, string? by, DateOnly today) => Wires(work, Storage.Jobs.Tags(work, words, by), today);

    /// <summary>The tags of some jobs, those that still hang on the rack.</summary>
    public List<TagWire> Of(ShopWork work, IEnumerable<long> jobs, DateOnly today) =>
        Wires(work, [.. jobs.Distinct().Select(id => Storage.Jobs.Tag(work, id)).OfType<JobTag>()], today);

    private List<TagWire> Wires(ShopWork work, IReadOnlyList<JobTag> tags, DateOnly today)
    {
        var far = tags.ToDictionary(t => t.Id, Kept);
        if (far.ContainsValue(null))
        {
            using var _ = _atWork.EnterScope();
            var missing = tags.Where(t => (far[t.Id] ??= Kept(t)) is null).Select(t => t.Id);
            foreach (var job in JobReader.Each(work, missing.Select(id => Storage.Jobs.Find(work, id)!).ToList()))
                _kept.Keep(JobReader.KeptOf(job), "", far[job.Job.Id] = HowFarIs(job.Progress), work.ReadFrom);
        }
        var (waiting, come) = PartsTaken.OnTheRack(work);
        return
        [
            .. tags.Select(t => new TagWire(
                t.Id, t.Client, t.Watch, t.Promised, t.Promised < today, t.Promised == today, far[t.Id]!.Next, far[t.Id]!.StationsDone, t.IsReferred, t.By,
                waiting.Contains(t.Id), come.Contains(t.Id) && far[t.Id]!.IsUntouched, far[t.Id]!.TrayKept)),
        ];
    }

    private HowFar? Kept(JobTag tag) => _kept.Find(tag.Id, "", tag.Version);

    private static HowFar HowFarIs(Progress progress) =>
        new(progress.Next, Enum.GetValues<Station>().Count(progress.Done), progress.StepsDone == 0, progress.TrayKept);
}
