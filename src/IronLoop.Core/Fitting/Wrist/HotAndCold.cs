using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>What a day asks of a band whose links are done.</summary>
/// <param name="Wanted">The length wanted on that day.</param>
/// <param name="Position">The position or hole that comes nearest, 0 the tightest.</param>
/// <param name="Length">The loop in it.</param>
/// <param name="IsCovered">Whether that lies inside the wear window of the day.</param>
public readonly record struct Day(Length Wanted, int Position, Length Length, bool IsCovered);

/// <summary>
/// A wrist swells in the heat and shrinks in the cold: whether the positions left, without touching a link, serve both.
/// </summary>
/// <param name="Hot">A hot day.</param>
/// <param name="Cold">A cold day.</param>
public sealed record HotAndCold(Day Hot, Day Cold)
{
    /// <summary>Whether both are served.</summary>
    public bool BothCovered => Hot.IsCovered && Cold.IsCovered;

    /// <summary>Looks at the positions.</summary>
    /// <param name="lengths">The loop in each position, the tightest first; at least one.</param>
    /// <param name="target">The length wanted on a usual day.</param>
    /// <param name="hot">How much more a hot day asks for.</param>
    /// <param name="cold">How much less a cold day asks for.</param>
    public static HotAndCold Of(IReadOnlyList<Length> lengths, FitTarget target, Length hot, Length cold) =>
        new(Nearest(lengths, target.Length + hot, target.Window), Nearest(lengths, target.Length - cold, target.Window));

    /// <summary>The sentence for owner and fitter.</summary>
    /// <param name="said">What a position is called, 0 the tightest: "position 3", "the third hole from the tight end".</param>
    public string Says(Func<int, string> said)
    {
        string Of(Day day, string when) => $"{said(day.Position)} {when}";
        static string Off(Day day) => day.Length > day.Wanted ? $"too loose by {(day.Length - day.Wanted).ToTenths()}" : $"too tight by {(day.Wanted - day.Length).ToTenths()}";
        return (Hot.IsCovered, Cold.IsCovered) switch
        {
            (true, true) when Hot.Position == Cold.Position => $"Hot and cold days are both served by {said(Hot.Position)}.",
            (true, true) => $"{Capital(Of(Hot, "on hot days"))}, {Of(Cold, "on cold ones")}.",
            (true, false) => $"{Capital(Of(Hot, "on hot days"))}; on a cold day it is {Off(Cold)} at the nearest.",
            (false, true) => $"{Capital(Of(Cold, "on cold days"))}; on a hot day it is {Off(Hot)} at the nearest.",
            _ => $"Neither a hot nor a cold day is served: at the nearest it is {Off(Hot)} on a hot one, {Off(Cold)} on a cold one.",
        };
    }

    private static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];

    private static Day Nearest(IReadOnlyList<Length> lengths, Length wanted, Length window)
    {
        var nearest = 0;
        for (var i = 1; i < lengths.Count; i++)
            if ((lengths[i] - wanted).Abs() < (lengths[nearest] - wanted).Abs())
                nearest = i;
        return new Day(wanted, nearest, lengths[nearest], (lengths[nearest] - wanted).Abs() <= window);
    }
}
