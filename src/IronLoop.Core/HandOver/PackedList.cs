using IronLoop.Core.Tray;

namespace IronLoop.Core.HandOver;

/// <summary>A line of what goes into the parcel.</summary>
/// <param name="Key">By what it is ticked, whatever it is called.</param>
/// <param name="Says">What it is.</param>
public sealed record PackedLine(string Key, string Says);

/// <summary>What goes into the parcel when a watch is posted; each line is ticked as it is packed.</summary>
public static class PackedList
{
    /// <summary>The lines, in the order they are packed.</summary>
    /// <param name="watch">The watch, in words.</param>
    /// <param name="isMetal">Whether its band is of metal, which scratches what it lies on.</param>
    /// <param name="bag">What is in the owner's bag.</param>
    /// <param name="cameWith">What came with the watch and goes back with it.</param>
    public static IReadOnlyList<PackedLine> Of(string watch, bool isMetal, IReadOnlyList<BagLine> bag, IReadOnlyList<BagLine> cameWith) =>
    [
        new("watch", $"{watch}, on its band, wrapped{(isMetal ? " so that metal does not lie on metal" : "")}"),
        .. bag.Count == 0 ? (PackedLine[])[] : [new("bag", $"the bag, labelled: {BagWords.Said(bag)}")],
        .. cameWith.Select(l => new PackedLine($"came-{l.Key}", $"{l.Count} {l.What}, as it came")),
        new("card", "the owner’s card"),
    ];
}
