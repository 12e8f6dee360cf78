using IronLoop.Core.Tray;

namespace IronLoop.Core.HandOver;

/// <summary>What goes into the parcel when a watch is posted; each line is ticked as it is packed.</summary>
public static class PackedList
{
    /// <summary>The lines, in the order they are packed.</summary>
    /// <param name="watch">The watch, in words.</param>
    /// <param name="bag">What is in the owner's bag.</param>
    /// <param name="cameWith">What came with the watch and goes back with it.</param>
    public static IReadOnlyList<string> Of(string watch, IReadOnlyList<BagLine> bag, IReadOnlyList<BagLine> cameWith) =>
    [
        $"{watch}, on its band, wrapped so that metal does not lie on metal",
        .. bag.Count == 0 ? (string[])[] : [$"the bag, labelled: {BagWords.Said(bag)}"],
        .. cameWith.Select(l => $"{l.Count} {l.What}, as it came"),
        "the owner’s card",
    ];
}
