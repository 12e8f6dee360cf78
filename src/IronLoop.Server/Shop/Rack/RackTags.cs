using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Rack;

/// <summary>How far a job has come, as its tag tells it.</summary>
/// <param name="Next">The station it is at.</param>
/// <param name="StationsDone">How many of those that it passes are done.</param>
/// <param name="IsUntouched">Whether nobody has begun at the bench.</param>
/// <param name="TrayKept">Whether what was taken off lies in its tray.</param>
internal sealed record HowFar(Station Next, int StationsDone, bool IsUntouched, bool TrayKept);

/// <summary>The tags on the rack. How far a job has come is worked out once for each version of it, and told from memory after that.</summary>
internal sealed class RackTags(ShopFile shop)
{
    // More open jobs than any shop has; beyond that the oldest is worked out anew.
    private const int Most = 5_000;

    private readonly KeptByJob<HowFar> _kept = new(shop.JobChanges, Most);

    // Held while tags are worked out: who asks for the same meanwhile finds them done.
    private readonly Lock _atWork = new();

    /// <summary>Some of the tags on the rack.</summary>
    /// <param name="open">The shop.</param>
    /// <param name="which">Which.</param>
    /// <param name="today">The day it is.</param>
    public List<TagWire> Of(OpenShop open, Func<ShopWork, IReadOnlyList<JobTag>> which, DateOnly today)
    {
        using (var look = open.Look())
        {
            var (tags, far) = AsKept(look, which);
            if (!far.ContainsValue(null))
                return Wires(look, tags, far, today);
        }
        using var _ = _atWork.EnterScope();
        // Looked at anew: meanwhile others worked out most of it, and what was changed since would have to be worked out as it was.
        using var now = open.Look();
        var (hanging, known) = AsKept(now, which);
        foreach (var job in JobReader.Each(now, hanging.Where(t => known[t.Id] is null).Select(t => Storage.Jobs.Find(now, t.Id)!).ToList()))
            _kept.Keep(JobReader.KeptOf(job), "", known[job.Job.Id] = HowFarIs(job.Progress), now.ReadFrom);
        return Wires(now, hanging, known, today);
    }

    private (IReadOnlyList<JobTag> Tags, Dictionary<long, HowFar?> Far) AsKept(ShopWork work, Func<ShopWork, IReadOnlyList<JobTag>> which)
    {
        var tags = which(work);
        return (tags, tags.ToDictionary(t => t.Id, Kept));
    }

    private static List<TagWire> Wires(ShopWork work, IReadOnlyList<JobTag> tags, Dictionary<long, HowFar?> far, DateOnly today)
    {
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
        new(progress.Next, Enum.GetValues<Station>().Count(s => progress.IsUsed(s) && progress.Done(s)), progress.StepsDone == 0, progress.TrayKept);
}
