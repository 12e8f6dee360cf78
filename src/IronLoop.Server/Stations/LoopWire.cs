using System.Text.Json.Serialization;
using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations;

/// <summary>A link where it lies.</summary>
/// <param name="Mark">The letter that tells it from others of its pitch; empty where nothing does.</param>
/// <param name="Pinned">Whether the fitter said never to take it.</param>
/// <param name="OneSided">Whether it goes on its own side only.</param>
internal sealed record PlacedLinkWire(Length PitchMm, LinkFate Fate, string Mark, bool Pinned, bool OneSided)
{
    public static PlacedLinkWire Of(PlacedLink link, bool pinned = false) =>
        new(link.Pitch, link.Fate, link.Mark == '\0' ? "" : link.Mark.ToString(), pinned, link.OneSided);
}

/// <summary>A loose link to put in.</summary>
/// <param name="Mark">The letter that tells it from others of its pitch; empty where nothing does.</param>
/// <param name="OneSided">Whether it goes on its own side only.</param>
internal sealed record LooseLinkWire(Length PitchMm, string Mark = "", bool OneSided = false)
{
    public PlacedLink ToJoin() => new(PitchMm, LinkFate.Joins) { Mark = Mark is [var mark] ? mark : '\0', OneSided = OneSided };
}

/// <summary>A side's last link, freed at the clasp's joint or not.</summary>
/// <param name="CanBeFreed">Whether it looks fixed, so that it may come free at the clasp.</param>
/// <param name="EndPieceMm">What stays with the clasp; null while it is not freed.</param>
internal sealed record AtTheClaspWire(bool CanBeFreed, Length? EndPieceMm);

internal sealed record LayOutClaspWire(string Name, Length TwelveMm, Length SixMm, Length MicroMm, Side MicroSide, int Positions, int Position, int PositionNow);

internal sealed record LayOutStrapWire(Length BucklePieceMm, Length TailMm, IReadOnlyList<Length> HolesMm, int Hole, Length PastBuckleMm, bool KeepersHold);

/// <summary>The band opened flat: rows from case to clasp.</summary>
internal sealed record LayOutWire(IReadOnlyList<PlacedLinkWire> Twelve, IReadOnlyList<PlacedLinkWire> Six)
{
    /// <summary>Loose links beside it.</summary>
    public IReadOnlyList<PlacedLinkWire> Spares { get; init; } = [];

    /// <summary>Its clasp; null of a strap.</summary>
    public LayOutClaspWire? Clasp { get; init; }

    /// <summary>Its pieces; null of a bracelet.</summary>
    public LayOutStrapWire? Strap { get; init; }

    /// <summary>Joints opened on the 12 side, numbered from the case; the last is at the clasp.</summary>
    public IReadOnlyList<int> TwelveJoints { get; init; } = [];

    /// <summary>The same on the 6 side.</summary>
    public IReadOnlyList<int> SixJoints { get; init; } = [];

    /// <summary>The 12 side's link beside the clasp.</summary>
    public AtTheClaspWire? TwelveAtTheClasp { get; init; }

    /// <summary>The 6 side's.</summary>
    public AtTheClaspWire? SixAtTheClasp { get; init; }

    /// <summary>It drawn, the band's upper edge and left end at nought.</summary>
    public required Picture Drawn { get; init; }

    /// <summary>How wide the band is drawn.</summary>
    public required double BandHighMm { get; init; }

    /// <summary>Where the 12 side’s joints lie along the drawing: the case’s first, then the one after each link. A strap has the lug’s alone.</summary>
    public required IReadOnlyList<Length> TwelveAlongMm { get; init; }

    /// <summary>The same on the 6 side.</summary>
    public required IReadOnlyList<Length> SixAlongMm { get; init; }

    /// <summary>Where it is closed along the drawing: the clasp, or the hole.</summary>
    public required Length? ClosedAtMm { get; init; }

    public static LayOutWire Of(LayOut layOut) => new(Row(layOut, Side.Twelve), Row(layOut, Side.Six))
    {
        TwelveJoints = layOut.TwelveJoints,
        SixJoints = layOut.SixJoints,
        Drawn = LayOutPicture.Of(layOut),
        BandHighMm = LayOutPicture.BandHigh,
        TwelveAlongMm = layOut.JointsAlong(Side.Twelve),
        SixAlongMm = layOut.JointsAlong(Side.Six),
        ClosedAtMm = layOut.ClosedAt,
    };

    private static PlacedLinkWire[] Row(LayOut layOut, Side side) =>
        [.. layOut.On(side).Select((link, i) => PlacedLinkWire.Of(link, layOut.IsPinned(side, i)))];
}

internal sealed record RulerWire(decimal Mm, decimal? FromMm, decimal? ToMm, bool Inside, string Text, string Inches)
{
    public static RulerWire Of(Ruler ruler) =>
        new(ruler.Millimetres, ruler.From, ruler.To, ruler.Inside, ruler.Text, ruler.Inches);
}

/// <summary>One side by hand, as the size call takes it.</summary>
/// <param name="Out">Places of the links that are out, counted from the case, 0 first.</param>
/// <param name="In">The links put in at the clasp.</param>
internal sealed record PlanSideWire(IReadOnlyList<int> Out, IReadOnlyList<LooseLinkWire> In)
{
    public static PlanSideWire Of(IReadOnlyList<PlacedLink> row) => new(
        [.. Enumerable.Range(0, row.Count).Where(i => row[i].Fate == LinkFate.Leaves)],
        [.. row.Where(l => l.Fate == LinkFate.Joins).Select(l => new LooseLinkWire(l.Pitch, l.Mark == '\0' ? "" : l.Mark.ToString(), l.OneSided))]);
}

/// <summary>A plan beside the recommended one, and what it trades.</summary>
internal sealed record AlternativeWire(
    PlanSideWire Twelve, PlanSideWire Six, int Position, string Does, string Trades, Length LengthMm, decimal OffCentreMm, Length TighterMm, Length LooserMm, int LinksMoved);

/// <summary>All lengths that can be made near what is wanted, and the wrists that can be served.</summary>
/// <param name="Lengths">With the clasp in its place, in millimetres, shortest first.</param>
/// <param name="OffItsPlace">What can be made only with the clasp further off than is wanted; none of a band with holes.</param>
/// <param name="BelowMm">The nearest below, when none can be worn.</param>
/// <param name="AboveMm">The nearest above.</param>
/// <param name="SmallestWristMm">The smallest wrist it serves; null when that is beyond what is gauged.</param>
internal sealed record ReachHere(
    IReadOnlyList<decimal> Lengths, IReadOnlyList<decimal> OffItsPlace, Length? ShortestMm, Length? LongestMm, Length? LargestGapMm, Length? BelowMm, Length? AboveMm, Length TargetMm, Length WindowMm,
    Length? SmallestWristMm, Length? LargestWristMm);

/// <summary>A hot or a cold day.</summary>
internal sealed record DayWire(Length WantedMm, int Position, Length LengthMm, bool Covered);

/// <summary>Hot and cold days, with the micro-adjust or the holes alone.</summary>
internal sealed record DaysWire(DayWire Hot, DayWire Cold, bool BothCovered, string Says)
{
    public static DaysWire Of(HotAndCold days, Func<int, string> said) => new(Of(days.Hot), Of(days.Cold), days.BothCovered, days.Says(said));

    private static DayWire Of(Day day) => new(day.Wanted, day.Position, day.Length, day.IsCovered);
}

/// <summary>Which way the head leans.</summary>
internal sealed record LeanWire(double Degrees, Side? Toward, string Says);

internal sealed record RulersWire(RulerWire Ease, Temper Temper, RulerWire? OffCentre, RulerWire Tighter, RulerWire Looser);

/// <summary>What the loop comes to.</summary>
internal sealed record LoopFiguresWire(Length LengthMm, Length TargetMm, double NeededMm, double SigmaMm, int ChancePercent, string Chance, int LinksMoved, Length MisfitMm, decimal TroubleMm);
