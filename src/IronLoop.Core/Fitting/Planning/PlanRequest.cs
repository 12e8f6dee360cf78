using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>What the loop should come to.</summary>
/// <param name="Length">Needed length and ease together.</param>
/// <param name="Window">Half the wear window: a miss beyond it cannot be worn.</param>
/// <param name="Tolerance">A miss up to this is as good as none.</param>
public readonly record struct FitTarget(Length Length, Length Window, Length Tolerance)
{
    /// <summary>How well the length is known, one standard deviation; nought where that is not known.</summary>
    public Length Sigma { get; init; }
}

/// <summary>Where the clasp's centre should sit.</summary>
/// <param name="Desired">Off-centre wished for, positive toward the 6 side; 0 for most wearers.</param>
/// <param name="Tolerance">A miss up to this is as good as none.</param>
public readonly record struct Centring(Length Desired, Length Tolerance);

/// <summary>Adjustment that should be left for hot and cold days.</summary>
/// <param name="Tighter">Wanted to tighten.</param>
/// <param name="Looser">Wanted to loosen.</param>
public readonly record struct Reserve(Length Tighter, Length Looser);

/// <summary>Everything the planner looks at.</summary>
/// <param name="Bracelet">The bracelet as it is now.</param>
/// <param name="Spares">Links that could be added.</param>
/// <param name="Clasp">The clasp it will close with.</param>
/// <param name="Target">The length wanted.</param>
/// <param name="Centring">The centre wanted.</param>
/// <param name="Reserve">The adjustment wanted.</param>
public sealed record PlanRequest(
    Bracelet Bracelet,
    IReadOnlyList<SpareLinks> Spares,
    BraceletClasp Clasp,
    FitTarget Target,
    Centring Centring,
    Reserve Reserve)
{
    /// <summary>Where an odd link goes, when the house says so; computed otherwise.</summary>
    public OddLink Odd { get; init; }

    /// <summary>What the answer may cost; shared by everything that is asked on the way to it.</summary>
    public Effort Effort { get; init; } = new();

    /// <summary>Tolerances and reserve that the house starts with (house rules; fit model, section 5).</summary>
    public static readonly Length HouseTolerance = Length.FromMillimetres(1.5m);

    /// <summary>Centre wanted where nobody said otherwise.</summary>
    public static readonly Centring HouseCentring = new(Length.Zero, Length.FromMillimetres(2));

    /// <summary>Reserve wanted where nobody said otherwise.</summary>
    public static readonly Reserve HouseReserve = new(Length.FromMillimetres(2), Length.FromMillimetres(2));
}

/// <summary>How many links of one kind that come out end on one side.</summary>
/// <param name="Pitch">Their pitch.</param>
/// <param name="Count">How many.</param>
public readonly record struct LinkCount(Length Pitch, int Count)
{
    /// <summary>Their kind.</summary>
    public LinkKind Kind { get; init; } = new(Pitch);
}

/// <summary>An arrangement of a bracelet with everything that is judged about it.</summary>
/// <param name="Twelve">Links that come out, on the 12 side, pitches ascending; noughts included.</param>
/// <param name="Six">The same on the 6 side.</param>
/// <param name="Position">Micro position, 0 the tightest.</param>
/// <param name="Figures">What it comes to.</param>
public sealed record Plan(IReadOnlyList<LinkCount> Twelve, IReadOnlyList<LinkCount> Six, int Position, PlanFigures Figures)
{
    /// <summary>Whether it is the same, link by link.</summary>
    public bool IsLike(Plan other) => Position == other.Position && Twelve.SequenceEqual(other.Twelve) && Six.SequenceEqual(other.Six);

    /// <summary>The counts of one side.</summary>
    public IReadOnlyList<LinkCount> On(Side side) => side == Side.Twelve ? Twelve : Six;
}

/// <summary>
/// What an arrangement comes to. Off-centre, wander and trouble may end in half a micrometre, so they are held twice over.
/// </summary>
/// <param name="Length">Pivot path of the closed loop.</param>
/// <param name="TwiceOffCentre">A12 − A6: twice the off-centre, positive toward the 6 side.</param>
/// <param name="Misfit">What the length misses the wear window by; nought when it can be worn.</param>
/// <param name="TwiceTrouble">Twice all that is amiss: length, centre and reserve weighed alike.</param>
/// <param name="TwiceWander">Twice what the centre misses its tolerance by.</param>
/// <param name="Shortfall">What the reserve lacks, both ways together.</param>
/// <param name="LinksMoved">Links put in or taken out, counted on each side.</param>
/// <param name="Tighter">Left to tighten.</param>
/// <param name="Looser">Left to loosen.</param>
public readonly record struct PlanFigures(
    Length Length,
    Length TwiceOffCentre,
    Length Misfit,
    Length TwiceTrouble,
    Length TwiceWander,
    Length Shortfall,
    int LinksMoved,
    Length Tighter,
    Length Looser)
{
    /// <summary>The chance that it is right at the first opening, over its positions, 0 to 1; null where nobody said how well the length is known.</summary>
    public double? Chance { get; init; }

    /// <summary>Off-centre in millimetres, exact to half a micrometre.</summary>
    public decimal OffCentreMillimetres => TwiceOffCentre.Millimetres / 2;

    /// <summary>Trouble in millimetres.</summary>
    public decimal TroubleMillimetres => TwiceTrouble.Millimetres / 2;

    /// <summary>Wander in millimetres.</summary>
    public decimal WanderMillimetres => TwiceWander.Millimetres / 2;

    /// <summary>Judges two half loops at a micro position against what is wanted (fit model, sections 3 and 5).</summary>
    /// <param name="request">What is wanted.</param>
    /// <param name="linksTwelve">Sum of all pitches on the 12 side, fixed links included.</param>
    /// <param name="linksSix">The same on the 6 side.</param>
    /// <param name="position">Micro position.</param>
    /// <param name="linksMoved">Links moved to get there.</param>
    public static PlanFigures Judge(PlanRequest request, Length linksTwelve, Length linksSix, int position, int linksMoved)
    {
        var clasp = request.Clasp;
        var shortfall = Amiss.ShortfallAt(request, position);
        var amiss = Amiss.Of(
            request, clasp.Half(Side.Twelve, linksTwelve, position).Micrometres, clasp.Half(Side.Six, linksSix, position).Micrometres, shortfall);
        return new PlanFigures(
            new(amiss.Length),
            new(amiss.TwiceOffCentre),
            new(amiss.Misfit),
            new(amiss.TwiceTrouble),
            new(amiss.TwiceWander),
            new(shortfall),
            linksMoved,
            clasp.Tighter(position),
            clasp.Looser(position))
        {
            Chance = request.Target.Sigma > Measuring.Length.Zero
                ? FirstTimeChance.Of(request, (linksTwelve + clasp.Twelve).Micrometres, (linksSix + clasp.Six).Micrometres) : null,
        };
    }
}
