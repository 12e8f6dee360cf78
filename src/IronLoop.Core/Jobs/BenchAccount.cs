using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Shelf;
using IronLoop.Core.Tools;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Jobs;

/// <summary>What is stored of a job's bench work.</summary>
/// <param name="Setup">How it is worked: as was said of the job, else as the house does.</param>
/// <param name="Looks">What holds its joints, as far as somebody looked.</param>
/// <param name="Came">How the watch came; null where nobody said.</param>
/// <param name="Plan">What the work goes by, from the first step on.</param>
/// <param name="Done">The steps done or left out, in order; those of a version before with them.</param>
/// <param name="Own">The owner's own parts, as inspected.</param>
/// <param name="Condition">Scratches and dents noted at take-in, in words.</param>
public sealed record BenchAccount(
    BenchSetup Setup, IReadOnlyDictionary<JointGroup, JointLook> Looks, AsItCame? Came, AgreedBench? Plan, IReadOnlyList<WorkedStep> Done, IReadOnlyList<OwnPart> Own,
    IReadOnlyList<string> Condition)
{
    /// <summary>The sides whose bar was marked as missing at take-in.</summary>
    public IReadOnlySet<Side> MissingBars { get; init; } = new HashSet<Side>();

    /// <summary>Whether dirt was noted at take-in.</summary>
    public bool IsDirty { get; init; }

    /// <summary>What hangs on the wall.</summary>
    public ToolWall Wall { get; init; } = ToolWall.Usual;

    /// <summary>How the fitter at work holds and turns.</summary>
    public Hands Hands { get; init; } = new();

    /// <summary>The groups of joints that are opened to be gauged before the rest is approved.</summary>
    public IReadOnlySet<JointGroup> ToGauge { get; init; } = new HashSet<JointGroup>();

    /// <summary>Work that is told by hand, as somebody said it; null where nobody did.</summary>
    public HandWork? ByHand { get; init; }

    /// <summary>What the shop lends for the work.</summary>
    public IReadOnlyList<Lent> Lent { get; init; } = [];

    /// <summary>What the last try-on found; null before there was one.</summary>
    public Felt? Tried { get; init; }

    /// <summary>The band the watch left with at a former visit; null where there was none.</summary>
    public StockBand? BandBefore { get; init; }

    /// <summary>Why the account of the job cannot be read; null where it can.</summary>
    public string? Damage { get; init; }
}
