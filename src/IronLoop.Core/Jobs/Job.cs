using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;

namespace IronLoop.Core.Jobs;

/// <summary>A job as it was taken in, and how far it was decided.</summary>
/// <param name="Id">Its number, which is on its tag.</param>
/// <param name="Client">Whose it is.</param>
/// <param name="WatchId">The watch's number.</param>
/// <param name="WatchName">The watch, in words.</param>
/// <param name="Request">What is asked for.</param>
/// <param name="Words">In the owner's own words.</param>
/// <param name="Promised">The day it is promised for.</param>
/// <param name="TakenInAt">When it was taken in.</param>
/// <param name="TakenInBy">The fitter's initials.</param>
/// <param name="BandId">The band chosen.</param>
/// <param name="ClaspKeptAt">When the clasp was kept.</param>
/// <param name="ClosedAt">When it was handed over.</param>
/// <param name="PriceCents">The price agreed, in cents.</param>
/// <param name="ReferredAt">When it was referred to a watchmaker; null when it is not.</param>
/// <param name="ReferNote">What the owner is told about it.</param>
/// <param name="Way">How a pull-through band is worn.</param>
public sealed record Job(
    long Id,
    Client Client,
    long WatchId,
    string WatchName,
    Request Request,
    string Words,
    DateOnly Promised,
    DateTimeOffset TakenInAt,
    string TakenInBy,
    long? BandId,
    DateTimeOffset? ClaspKeptAt,
    DateTimeOffset? ClosedAt,
    long? PriceCents,
    DateTimeOffset? ReferredAt,
    string ReferNote,
    PullThroughWay Way)
{
    /// <summary>How long a name may be: of a person, a watch, a band.</summary>
    public const int LongestName = 80;

    /// <summary>How long the owner's own words may be.</summary>
    public const int LongestWords = 2000;

    /// <summary>The hour of the day it is promised for; null where none was said, so that it is due when the shop closes.</summary>
    public TimeOnly? PromisedHour { get; init; }

    /// <summary>Counted up by every change.</summary>
    public long Version { get; init; } = 1;

    /// <summary>Whether it went back as it came.</summary>
    public bool IsUnworked { get; init; }

    /// <summary>The hole of the strap after which an extra one is to be punched, 0 the tightest; null where none is.</summary>
    public int? ExtraHole { get; init; }

    /// <summary>Whether a referral is of one thing only, and the band is fitted all the same.</summary>
    public bool IsFittedMeanwhile { get; init; }

    /// <summary>The day until which it is observed before it goes back; null where it is not, or not any more.</summary>
    public DateOnly? ObservedUntil { get; init; }

    /// <summary>How it goes back, as was agreed at take-in; null while nobody asked.</summary>
    public ReturnTerms? Returns { get; init; }

    /// <summary>Whether the owner paid the postage for the way back.</summary>
    public bool IsPostagePaid { get; init; }

    /// <summary>Whether the bench is enough for it, as it was seen at take-in; null while nobody said.</summary>
    public Craft? Craft { get; init; }

    /// <summary>Whether the wearer is here to try it on.</summary>
    public bool HasWearer { get; init; } = true;
}
