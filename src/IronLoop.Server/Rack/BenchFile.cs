using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Tools;
using IronLoop.Core.Tray;
using IronLoop.Storage;

namespace IronLoop.Server.Rack;

/// <summary>What is stored of a job's bench work.</summary>
/// <param name="Setup">How it is worked: as was said of the job, else as the house does.</param>
/// <param name="Looks">What holds its joints, as far as somebody looked.</param>
/// <param name="Came">How the watch came; null where nobody said.</param>
/// <param name="Plan">What the work goes by, from the first step on.</param>
/// <param name="Done">The steps done or left out, in order; those of a version before with them.</param>
/// <param name="Own">The owner's own parts, as inspected.</param>
/// <param name="Condition">Scratches and dents noted at take-in, in words.</param>
internal sealed record BenchFile(
    BenchSetup Setup, IReadOnlyDictionary<JointGroup, JointLook> Looks, AsItCame? Came, StoredBench? Plan, IReadOnlyList<DoneRow> Done, IReadOnlyList<OwnPart> Own,
    IReadOnlyList<string> Condition)
{
    /// <summary>The sides whose bar was marked as missing at take-in.</summary>
    public IReadOnlySet<Side> MissingBars { get; init; } = new HashSet<Side>();

    /// <summary>What hangs on the wall.</summary>
    public ToolWall Wall { get; init; } = ToolWall.Usual;

    /// <summary>How the fitter at work holds and turns.</summary>
    public Hands Hands { get; init; } = new();

    /// <summary>The groups of joints that are opened to be gauged before the rest is agreed.</summary>
    public IReadOnlySet<JointGroup> ToGauge { get; init; } = new HashSet<JointGroup>();

    /// <summary>What the shop lends for the work.</summary>
    public IReadOnlyList<Lent> Lent { get; init; } = [];

    /// <summary>What the last try-on found; null before there was one.</summary>
    public Felt? Tried { get; init; }

    /// <summary>The band the watch left with at a former visit; null where there was none.</summary>
    public Band? BandBefore { get; init; }

    /// <summary>Why the account of the job cannot be read; null where it can.</summary>
    public string? Damage { get; init; }

    public static BenchFile Read(ShopWork work, Job job)
    {
        var marks = TakeIns.MarksOf(work, job.Id);
        var (plan, done) = (BenchWork.Plan(work, job.Id, out var damage), BenchWork.Done(work, job.Id));
        return new BenchFile(
            BenchSetups.Of(work, job.Id) ?? BenchSetups.OfTheHouse(work), JointLooks.Of(work, job.Id), CameAs.Of(work, job.Id), plan, done, OwnParts.Of(work, job.Id),
            [.. marks.Select(m => $"{Words(m.Kind.ToString())} on the {Words(m.Place.ToString())}{(m.Note.Length > 0 ? $" ({m.Note})" : "")}")])
        {
            MissingBars = marks.Where(m => m.Kind == DamageKind.MissingBar).Select(m => SideOf(m.Place)).OfType<Side>().ToHashSet(),
            ToGauge = ToBeGauged.Of(work, job.Id),
            Damage = damage is not null ? $"what it works from cannot be read: {damage}" : done.FirstOrDefault(d => d.Damage is not null)?.Damage,
            Lent = LentThings.Of(work, job.Id),
            Tried = TriedOns.Last(work, job.Id),
            Wall = ToolWalls.Of(work),
            Hands = BenchSetups.HandsOf(work, Hand.AtWork?.By ?? job.TakenInBy),
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
