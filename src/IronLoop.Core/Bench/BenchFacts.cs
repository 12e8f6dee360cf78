using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bench;

/// <summary>Everything the steps of a job follow from.</summary>
/// <param name="Attachment">How the watch takes a band.</param>
/// <param name="Band">The band, with the clasp that goes on it.</param>
/// <param name="Plan">The arrangement agreed; of a band without links, its hole or notch.</param>
/// <param name="Setup">How it is worked.</param>
public sealed record BenchFacts(Attachment Attachment, Band Band, Arrangement Plan, BenchSetup Setup)
{
    /// <summary>The links as they lie when this round begins; as the band came when null.</summary>
    public Arrangement? Before { get; init; }

    /// <summary>Which time round: the first, or one more after a try-on that changed the plan.</summary>
    public int Round { get; init; } = 1;

    /// <summary>The side worked first in an earlier round; null in the first.</summary>
    public Side? FirstSide { get; init; }

    /// <summary>Whether it has to be put on the watch; an owner's own comes on it.</summary>
    public bool GoesOn { get; init; }

    /// <summary>What it closes in, when it has no links.</summary>
    public HoledBand? Holed { get; init; }

    /// <summary>The hole or notch agreed, when it has no links.</summary>
    public StrapFit? Fit { get; init; }

    /// <summary>How a pull-through band is worn.</summary>
    public PullThroughWay Way { get; init; }

    /// <summary>Loose links taken from stock for it: what they are, how many, by which article.</summary>
    public IReadOnlyList<(LinkKind Kind, int Count, string Article)> FromStock { get; init; } = [];

    /// <summary>The old clasp and the one that goes on instead; null when its own is kept.</summary>
    public (string Old, string New)? OtherClasp { get; init; }

    /// <summary>Work that matching asked for before the band goes on.</summary>
    public IReadOnlyList<PieceOfWork> Work { get; init; } = [];

    /// <summary>Work on the clasp.</summary>
    public IReadOnlyList<PieceOfWork> ClaspWork { get; init; } = [];

    /// <summary>How much longer the loop is with the clasp that goes on than with the one still on it at the try-on; nought when it is kept.</summary>
    public Length OtherClaspAdds { get; init; }

    /// <summary>The kind of clasp it closes with; null where nobody looked.</summary>
    public ClaspKind? ClaspKind { get; init; }

    /// <summary>Sides whose last link is freed at the clasp's joint.</summary>
    public LinkMarks Marks { get; init; } = LinkMarks.None;

    /// <summary>Scratches and dents noted at take-in, in words.</summary>
    public IReadOnlyList<string> Condition { get; init; } = [];

    /// <summary>Clear distance between the lugs.</summary>
    public Length? LugWidth { get; init; }

    /// <summary>Room at the bar, which a fork has to go into.</summary>
    public Length? BarGap { get; init; }

    /// <summary>Diameter of the watch's own screwed bar.</summary>
    public Length? OwnBar { get; init; }

    /// <summary>What of the work cannot be undone, in the words a consent is given to; empty when all can.</summary>
    public string Lasting => string.Join("; ", Work.Concat(ClaspWork).Where(w => !w.Reversible).Select(w => w.What));
}
