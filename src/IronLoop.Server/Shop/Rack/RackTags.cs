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

    /// <summary>The tags of the open jobs in which every word is found.</summary>
    public List<TagWire> Of(ShopWork work, IReadOnlyList<string> words, string? by, DateOnly today)
    {
        var (waiting, come) = PartsTaken.OnTheRack(work);
        return [.. Storage.Jobs.Tags(work, words, by).Select(tag => Wire(work, tag, waiting, come, today))];
    }

    /// <summary>One job's tag; null when it hangs on the rack no more.</summary>
    public TagWire? Of(ShopWork work, long id, DateOnly today)
    {
        if (Storage.Jobs.Tag(work, id) is not { } tag)
            return null;
        var (waiting, come) = PartsTaken.OnTheRack(work);
        return Wire(work, tag, waiting, come, today);
    }

    private TagWire Wire(ShopWork work, JobTag tag, IReadOnlySet<long> waiting, IReadOnlySet<long> come, DateOnly today)
    {
        var far = HowFarIs(work, tag);
        return new TagWire(
            tag.Id, tag.Client, tag.Watch, tag.Promised, tag.Promised < today, tag.Promised == today, far.Next, far.StationsDone, tag.IsReferred, tag.By,
            waiting.Contains(tag.Id), come.Contains(tag.Id) && far.IsUntouched, far.TrayKept);
    }

    private HowFar HowFarIs(ShopWork work, JobTag tag)
    {
        if (_kept.Find(tag.Id, "", tag.Version) is { } kept)
            return kept;
        var job = JobReader.Find(work, tag.Id)!;
        var progress = job.Progress;
        var far = new HowFar(progress.Next, Enum.GetValues<Station>().Count(progress.Done), progress.StepsDone == 0, progress.TrayKept);
        _kept.Keep(JobReader.KeptOf(job), "", far, work.ReadFrom);
        return far;
    }
}
