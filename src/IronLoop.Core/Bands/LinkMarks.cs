using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bands;

/// <summary>
/// What a fitter marked on a job's bracelet: links never to take, and a link beside the clasp that looks fixed but comes free
/// at the clasp's joint, where a narrow end piece may stay on and rejoin the clasp.
/// </summary>
/// <param name="Pinned">Links never to take, by side and place from the case, 0 first.</param>
/// <param name="Freed">The sides whose last link is freed, with the length of the end piece that stays; nought when none does.</param>
public sealed record LinkMarks(IReadOnlySet<(Side Side, int Ordinal)> Pinned, IReadOnlyDictionary<Side, Length> Freed)
{
    /// <summary>Nothing marked.</summary>
    public static LinkMarks None { get; } = new(new HashSet<(Side, int)>(), new Dictionary<Side, Length>());

    /// <summary>
    /// The band as marked: pinned links stay; of a freed link the end piece belongs to the clasp's side, and it goes nowhere else: it is
    /// no half link and never crosses.
    /// </summary>
    public Band On(Band band)
    {
        if (band is not LinkBracelet { Rows: var links, Closes: var clasp } bracelet || (Pinned.Count == 0 && Freed.Count == 0))
            return band;
        var (end12, end6) = (EndPiece(links, Side.Twelve) ?? Length.Zero, EndPiece(links, Side.Six) ?? Length.Zero);
        return bracelet with
        {
            Rows = new Bracelet(Row(links, Side.Twelve), Row(links, Side.Six)),
            Closes = clasp with { Twelve = clasp.Twelve + end12, Six = clasp.Six + end6 },
            WithTheClasp = (end12, end6),
        };
    }

    /// <summary>Why the last link of a side cannot be freed at the clasp; null when it can.</summary>
    /// <param name="row">The side's links, not marked.</param>
    /// <param name="side">The side.</param>
    /// <param name="endPiece">What stays on and rejoins the clasp; nought when nothing does.</param>
    public static string? WhyNotFreed(IReadOnlyList<Link> row, Side side, Length endPiece)
    {
        if (row is not [.., { Removable: false } last])
            return $"The last link of the {PlanWords.Name(side)} side comes out already, or there is none; only one that looks fixed is freed at the clasp.";
        var allowed = new AllowedLength(Length.Zero, last.Pitch - FitRanges.Pitch.Lowest);
        return allowed.Holds(endPiece) ? null : allowed.Refuse("The end piece", endPiece);
    }

    /// <summary>The end piece of a side whose last link is freed; null where none is.</summary>
    private Length? EndPiece(Bracelet links, Side side) =>
        Freed.TryGetValue(side, out var end) && !Pinned.Contains((side, links.On(side).Count - 1)) && WhyNotFreed(links.On(side), side, end) is null ? end : null;

    private List<Link> Row(Bracelet links, Side side)
    {
        var row = links.On(side).Select((l, i) => Pinned.Contains((side, i)) ? l with { Removable = false } : l).ToList();
        if (EndPiece(links, side) is { } end)
            row[^1] = row[^1] with { Pitch = row[^1].Pitch - end, Removable = true, OneSided = true };
        return row;
    }
}
