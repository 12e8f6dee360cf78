using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// A band that closes in a row of places, the tightest first, each the same step longer than the one before: the holes of
/// a strap, the notches of mesh.
/// </summary>
/// <param name="Holes">How many places there are.</param>
/// <param name="Step">From one to the next.</param>
public abstract record HoledBand(int Holes, Length Step)
{
    /// <summary>What a place is called.</summary>
    public abstract string Place { get; }

    /// <summary>A place as a person can find it, counted from the tight end: "the third hole from the tight end".</summary>
    /// <param name="hole">The place, 0 the tightest.</param>
    public virtual string Said(int hole) => !LocksAnywhere ? $"the {Ordinal(hole)} {Place} from the tight end"
        : hole == 0 ? "its tightest" : $"{(Step * hole).ToTenths()} looser than its tightest";

    /// <summary>Where it is closed: "in the third hole from the tight end".</summary>
    /// <param name="hole">The place, 0 the tightest.</param>
    public virtual string Closed(int hole) => $"{(LocksAnywhere ? "at" : "in")} {Said(hole)}";

    /// <summary>What is left both ways from a place, for those who count places; what locks anywhere is said in millimetres.</summary>
    /// <param name="hole">The place, 0 the tightest.</param>
    public string Leaves(int hole) => $"{Tighter(hole)} tighter and {LeftLooser(hole)} looser";

    /// <summary>What is left to tighten from a place, in places, or in millimetres where it locks anywhere.</summary>
    /// <param name="hole">The place, 0 the tightest.</param>
    public string Tighter(int hole) => LocksAnywhere ? Looser(hole).ToTenths() : Places(hole);

    /// <summary>What is left to loosen from a place, in places, or in millimetres where it locks anywhere.</summary>
    /// <param name="hole">The place, 0 the tightest.</param>
    public string LeftLooser(int hole) => LocksAnywhere ? (Looser(Holes - 1) - Looser(hole)).ToTenths() : Places(Holes - 1 - hole);

    private string Places(int count) => count switch { 0 => $"no {Place}", 1 => $"one {Place}", _ => $"{count} {(Place == "notch" ? "notches" : $"{Place}s")}" };

    /// <summary>How many places there are between a shortest and a longest loop that locks anywhere.</summary>
    private protected static int AnywhereBetween(Length shortest, Length longest) => (int)((longest - shortest).Micrometres / Anywhere.Micrometres) + 1;

    /// <summary>A place in words, from the tight end: "the third" is 2.</summary>
    internal static string Ordinal(int hole) => hole switch
    {
        0 => "first",
        1 => "second",
        2 => "third",
        3 => "fourth",
        4 => "fifth",
        5 => "sixth",
        6 => "seventh",
        7 => "eighth",
        8 => "ninth",
        9 => "tenth",
        10 => "eleventh",
        11 => "twelfth",
        _ => $"{hole + 1}th",
    };

    /// <summary>The loop closed in the tightest place.</summary>
    public abstract Length Tightest { get; }

    /// <summary>What the tail's tip passes the buckle by in a place; what needs no keepers passes enough.</summary>
    public virtual Length PastBuckle(int hole) => TwoPieceStrap.KeeperLength;

    /// <summary>Twice where the closing sits past the lowest point, positive toward the 6 side; null where that is not known.</summary>
    public virtual Length? TwiceOffCentre(int hole) => Length.Zero;

    /// <summary>Whether it has no places of its own: it locks anywhere, and is reckoned in steps of <see cref="Anywhere"/>.</summary>
    public virtual bool LocksAnywhere => false;

    /// <summary>What locks anywhere is reckoned in steps of this.</summary>
    public static readonly Length Anywhere = Length.FromMillimetres(0.1m);

    /// <summary>How much longer the loop is in a place than in the tightest.</summary>
    public virtual Length Looser(int hole) => Step * hole;

    /// <summary>The loop closed in a place.</summary>
    public Length LengthIn(int hole) => Tightest + Looser(hole);

    /// <summary>
    /// What a place may miss a length by and still be worn: half the wear window; between the first place and the last no less than half a step,
    /// since no wrist is further than that from one.
    /// </summary>
    public Length WindowFor(FitTarget target) =>
        target.Length >= LengthIn(0) && target.Length <= LengthIn(Holes - 1) ? Length.Max(target.Window, Step.Half()) : target.Window;

    /// <summary>The two places that a length lies between, when neither is inside half the wear window; null where one is, or it is beyond them all.</summary>
    public (int Below, int Above)? Between(FitTarget target)
    {
        if (Holes < 2 || target.Length < LengthIn(0) || target.Length > LengthIn(Holes - 1) || (Nearest(target).Length - target.Length).Abs() <= target.Window)
            return null;
        var above = Enumerable.Range(1, Holes - 1).First(h => LengthIn(h) >= target.Length);
        return (above - 1, above);
    }

    /// <summary>That in words: "between two holes: the third 3.0 mm tight, the fourth 3.5 mm loose".</summary>
    public string? SaysBetween(FitTarget target) => Between(target) is var (below, above)
        ? $"between two {(Place == "notch" ? "notches" : $"{Place}s")}: {Named(below)} {(target.Length - LengthIn(below)).ToTenths()} tight, {Named(above)} {(LengthIn(above) - target.Length).ToTenths()} loose"
        : null;

    private protected virtual string Named(int hole) => $"the {Ordinal(hole)}";

    /// <summary>The loop closed in a place, against a target.</summary>
    public StrapFit In(int hole, FitTarget target) => new(
        hole,
        LengthIn(hole),
        TwiceOffCentre(hole),
        Length.Max((LengthIn(hole) - target.Length).Abs() - WindowFor(target), Length.Zero),
        hole,
        Holes - 1 - hole,
        Looser(hole),
        Looser(Holes - 1) - Looser(hole),
        PastBuckle(hole));

    /// <summary>The place nearest the target; of two as near, the tighter: new bands give.</summary>
    public virtual StrapFit Nearest(FitTarget target)
    {
        var nearest = 0;
        if (Step > Length.Zero)
        {
            var over = (target.Length - Tightest).Micrometres;
            nearest = (int)Math.Clamp((over + (Step.Micrometres - 1) / 2) / Step.Micrometres, 0, Holes - 1);
        }
        return In(nearest, target);
    }

    /// <summary>
    /// The most that can be left the lesser way in a place inside the window of a target, with a tail that both keepers
    /// hold; nought when a place holds the target but leaves nothing.
    /// </summary>
    /// <returns>Null when no place is inside the window.</returns>
    public virtual Length? Reserve(Length target, Length window)
    {
        var (lowest, highest) = (0, Holes - 1);
        if (Step > Length.Zero)
        {
            lowest = Math.Max(0, (int)Math.Ceiling((target - window - Tightest).Micrometres / (double)Step.Micrometres));
            highest = (int)Math.Min(Holes - 1, Math.Floor((target + window - Tightest).Micrometres / (double)Step.Micrometres));
        }
        else if ((Tightest - target).Abs() > window)
            return null;
        if (lowest > highest)
            return null;
        // The place nearest the middle leaves most; a shorter tail past the buckle asks for a tighter one.
        for (var hole = Math.Clamp((Holes - 1) / 2, lowest, highest); hole >= lowest; hole--)
        {
            if (PastBuckle(hole) >= TwoPieceStrap.KeeperLength)
                return Step * Math.Min(hole, Holes - 1 - hole);
        }
        return Length.Zero;
    }

    /// <summary>All lengths it can make; room both ways means a place left each way and a tail that both keepers hold.</summary>
    public Reach Reach() => Fitting.Reach.Of(Enumerable.Range(0, Holes).Select(h =>
        new ReachedLength(LengthIn(h), h > 0 && h < Holes - 1 && PastBuckle(h) >= TwoPieceStrap.KeeperLength)));
}
