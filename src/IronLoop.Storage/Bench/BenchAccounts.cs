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
    public static BenchAccount Of(ShopWork work, Job job, string? by)
    {
        var marks = TakeIns.MarksOf(work, job.Id);
        var (plan, done) = (BenchWork.Plan(work, job.Id, out var damage), BenchWork.Done(work, job.Id));
        return new BenchAccount(
            BenchSetups.Of(work, job.Id) ?? BenchSetups.OfTheHouse(work), JointLooks.Of(work, job.Id), CameAs.Of(work, job.Id), plan, done, OwnParts.Of(work, job.Id),
            [.. marks.Select(m => $"{Words(m.Kind.ToString())} on the {Words(m.Place.ToString())}{(m.Note.Length > 0 ? $" ({m.Note})" : "")}")])
        {
            MissingBars = marks.Where(m => m.Kind == DamageKind.MissingBar).Select(m => SideOf(m.Place)).OfType<Side>().ToHashSet(),
            IsDirty = marks.Any(m => m.Kind == DamageKind.Dirt),
            ToGauge = ToBeGauged.Of(work, job.Id),
            Damage = damage is not null ? $"what it works from cannot be read: {damage}" : done.FirstOrDefault(d => d.Damage is not null)?.Damage,
            Lent = LentThings.Of(work, job.Id),
            Tried = TriedOns.Last(work, job.Id),
            Wall = ToolWalls.Of(work),
            Hands = BenchSetups.HandsOf(work, by ?? job.TakenInBy),
            BandBefore = HandOvers.LeftWith(work, job.WatchId, job.TakenInAt) is { } left ? Bands.Find(work, left)?.Band : null,
        };
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
