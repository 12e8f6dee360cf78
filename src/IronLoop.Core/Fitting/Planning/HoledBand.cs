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
    public virtual string Said(int hole) => $"the {Ordinal(hole)} {Place} from the tight end";

    /// <summary>Where it is closed: "in the third hole from the tight end".</summary>
    /// <param name="hole">The place, 0 the tightest.</param>
    public virtual string Closed(int hole) => $"in {Said(hole)}";

    private static string Ordinal(int hole) => hole switch
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

    /// <summary>Twice where the closing sits past the lowest point, positive toward the 6 side.</summary>
    public virtual Length TwiceOffCentre(int hole) => Length.Zero;

    /// <summary>The loop closed in a place.</summary>
    public Length LengthIn(int hole) => Tightest + Step * hole;

    /// <summary>The loop closed in a place, against a target.</summary>
    public StrapFit In(int hole, FitTarget target) => new(
        hole,
        LengthIn(hole),
        TwiceOffCentre(hole),
        Length.Max((LengthIn(hole) - target.Length).Abs() - target.Window, Length.Zero),
        hole,
        Holes - 1 - hole,
        Step * hole,
        Step * (Holes - 1 - hole),
        PastBuckle(hole));

    /// <summary>The place nearest the target; of two as near, the tighter: new bands give.</summary>
    public StrapFit Nearest(FitTarget target)
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
    public Length? Reserve(Length target, Length window)
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
