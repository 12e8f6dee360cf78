using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>What is stored of the jobs' bench work, gathered.</summary>
public static class BenchAccounts
{
    /// <summary>That of a job; what cannot be read of it is said, and never thrown.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="job">The job.</param>
    /// <param name="by">Who is at work, by initials: how they hold and turn goes with it; null where nobody has to say.</param>
    /// <param name="pieces">What is known of the job.</param>
    internal static BenchAccount Of(ShopWork work, Job job, string? by, JobPieces pieces)
    {
        T Of<T>(string name, Func<ShopWork, long, T> read) => pieces.Of(work, name, () => read(work, job.Id));
        var seen = Of("condition", static (work, id) => new Seen(TakeIns.MarksOf(work, id)));
        var (plan, damage) = Of("bench plan", static (work, id) => (BenchWork.Plan(work, id, out var damage), damage));
        var (done, hand) = (Of("done", BenchWork.Done), by ?? job.TakenInBy);
        return new BenchAccount(
            Of("setup", BenchSetups.Of) ?? Of("the house's way", static (work, _) => BenchSetups.OfTheHouse(work)), Of("looks", JointLooks.Of), Of("came", CameAs.Of), plan, done, Of("own", OwnParts.Of),
            seen.Condition)
        {
            MissingBars = seen.MissingBars,
            IsDirty = seen.IsDirty,
            ToGauge = Of("to gauge", ToBeGauged.Of),
            Damage = damage is not null ? $"what it works from cannot be read: {damage}" : done.FirstOrDefault(d => d.Damage is not null)?.Damage,
            ByHand = Of("by hand", HandWorks.Of),
            Lent = Of("lent", LentThings.Of),
            Tried = Of("tried", TriedOns.Last),
            Wall = Of("wall", static (work, _) => ToolWalls.Of(work)),
            Hands = pieces.Of(work, $"hands {hand}", () => BenchSetups.HandsOf(work, hand)),
            BandBefore = pieces.Of(work, "left with", () => HandOvers.LeftWith(work, job.WatchId, job.TakenInAt)) is { } left ? pieces.Band(work, "band before", left) : null,
        };
    }

    /// <summary>What was seen of the watch when it was taken in, in words.</summary>
    private sealed class Seen(IReadOnlyList<ConditionMark> marks)
    {
        public IReadOnlyList<string> Condition { get; } = [.. marks.Select(m => $"{Words(m.Kind.ToString())} on the {Words(m.Place.ToString())}{(m.Note.Length > 0 ? $" ({m.Note})" : "")}")];

        public IReadOnlySet<Side> MissingBars { get; } = marks.Where(m => m.Kind == DamageKind.MissingBar).Select(m => SideOf(m.Place)).OfType<Side>().ToHashSet();

        public bool IsDirty { get; } = marks.Any(m => m.Kind == DamageKind.Dirt);
    }

    private static Side? SideOf(DamagePlace place) => place switch
    {
        DamagePlace.LugTwelveLeft or DamagePlace.LugTwelveRight or DamagePlace.BandTwelve => Side.Twelve,
        DamagePlace.LugSixLeft or DamagePlace.LugSixRight or DamagePlace.BandSix => Side.Six,
        _ => null,
    };

    /// <summary>A name such as LugTwelveLeft as a fitter says it.</summary>
    private static string Words(string name)
    {
        var words = string.Concat(name.Select((c, i) => i > 0 && char.IsUpper(c) ? $" {char.ToLowerInvariant(c)}" : char.ToLowerInvariant(c).ToString()));
        return words.Replace("twelve", "12", StringComparison.Ordinal).Replace("six", "6", StringComparison.Ordinal)
            .Replace("three", "3", StringComparison.Ordinal).Replace("nine", "9", StringComparison.Ordinal);
    }
}
