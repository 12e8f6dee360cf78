using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;

namespace IronLoop.Core.HandOver;

/// <summary>What an owner is told with this band, on this wrist.</summary>
/// <param name="Band">The band as it leaves.</param>
/// <param name="IsNew">Whether it is new to the owner: from stock, not worn in.</param>
/// <param name="Position">The micro position, hole or notch it leaves in, from 1, the tightest.</param>
public sealed record AdviceFacts(Band Band, bool IsNew, int Position)
{
    /// <summary>What hot and cold days ask for; null where it is not known.</summary>
    public HotAndCold? Days { get; init; }

    /// <summary>What it is closed in, when that is a hole, a notch or a place on a mesh.</summary>
    public HoledBand? Holed { get; init; }

    /// <summary>Whether nobody asked what the band is made of: then nothing is said of that.</summary>
    public bool IsOutlined { get; init; }

    /// <summary>Whether it is worn in water.</summary>
    public bool InWater { get; init; }

    /// <summary>Whether anything lies in the owner's bag.</summary>
    public bool HasBag { get; init; }

    /// <summary>Whether the watch is held by sprung bars.</summary>
    public bool OnSpringBars { get; init; }
}

/// <summary>Advice that fits the job, in the words an owner uses (house rules).</summary>
public static class Advice
{
    /// <summary>The sentences, in the order they are said.</summary>
    public static IReadOnlyList<string> For(AdviceFacts facts)
    {
        var advice = new List<string>();
        var (band, material) = (facts.Band, facts.IsOutlined ? (BandMaterial?)null : facts.Band.Facts.Material);
        if (Moving(facts) is { } moving)
            advice.Add(moving);
        if (material == BandMaterial.Textile && facts.IsNew)
            advice.Add("New textile gives in the first days: when it sits loose, close it one hole tighter.");
        if (material == BandMaterial.Leather)
            advice.Add(facts.InWater
                ? "Leather and water do not go together: take this band off before you swim or wash up, and dry it in the air, never on a heater."
                : "Keep leather out of water; when it gets wet, dry it in the air, never on a heater.");
        if (material == BandMaterial.Rubber)
            advice.Add("Rinse rubber in clear water after the sea, sun cream or sweat.");
        if (material == BandMaterial.Metal)
            advice.Add($"Wash the band now and then in lukewarm water with a drop of soap and a soft brush; {(band.Mesh is null ? "dirt between the links wears them" : "what sits in the mesh wears it")}.");
        if (facts.OnSpringBars)
            advice.Add("Once a year, or after a hard knock, let us look at the bars that hold the watch.");
        if (band.Links is not null)
            advice.Add("Some loops are right at the counter and tight after a day: tell us how it felt that evening.");
        if (facts.HasBag)
            advice.Add("Keep the bag with the parts that came out: they are yours, and nobody can buy the same ones years from now.");
        return advice;
    }

    private static string? Moving(AdviceFacts facts)
    {
        var (band, here) = (facts.Band, facts.Position);
        if (facts.Days is not { } days)
            return null;
        if (band.Clasp is { Positions: <= 1 })
            return days.BothCovered
                ? null
                : "This clasp has no fine adjustment. If it gets tight in the heat or loose in the cold, come back: a link or a half link changes it.";
        var (hot, cold) = (days.Hot.Position + 1, days.Cold.Position + 1);
        // The small bar in a clasp comes by when it is moved by the shop: a sprung bar is not for a lay hand.
        var how = band switch
        {
            { Clasp.Positions: > 16 } or { Mesh: not null } => "Slide the clasp to",
            { Clasp: not null } => "Come by and we move the clasp’s bar to",
            _ => "Close it in",
        };
        string Said(int position) => facts.Holed is { } holed ? holed.Said(position - 1) : $"position {position} from the tight end";
        var leaves = $"it leaves {(facts.Holed is { } closed ? closed.Closed(here - 1) : $"in {Said(here)}")}";
        return (hot > here && days.Hot.IsCovered, cold < here && days.Cold.IsCovered) switch
        {
            (true, true) => $"{how} {Said(hot)} on hot days and {(facts.Holed is not null && band.Mesh is null ? "in" : "to")} {Said(cold)} on cold ones; {leaves}.",
            (true, false) => $"{how} {Said(hot)} on hot days; {leaves}.",
            (false, true) => $"{how} {Said(cold)} on cold days; {leaves}.",
            _ => $"{char.ToUpperInvariant(leaves[0])}{leaves[1..]}.",
        };
    }
}
