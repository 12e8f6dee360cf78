using IronLoop.Core.HandOver;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Tests.HandOver;

public class PackedListTests
{
    [Fact]
    public void A_parcel_holds_the_watch_its_bag_what_it_came_with_and_the_card() =>
        PackedList.Of("Harbour watch", true, [new BagLine("links of 8 mm", 2) { Fits = "harbour bracelet" }, new BagLine("split pins", 2) { Fits = "harbour bracelet" }, new BagLine("old strap", 1)], [new BagLine("box", 1)]).Select(l => l.Says).ShouldBe(
        [
            "Harbour watch, on its band, wrapped so that metal does not lie on metal",
            "the bag, labelled: for the harbour bracelet 2 links of 8 mm, 2 split pins; 1 old strap",
            "1 box, as it came",
            "the owner’s card",
        ]);

    [Fact]
    public void Where_nothing_came_out_there_is_no_bag_to_pack() =>
        PackedList.Of("Harbour watch", true, [], []).Select(l => l.Says).ShouldBe(["Harbour watch, on its band, wrapped so that metal does not lie on metal", "the owner’s card"]);

    [Fact]
    public void A_strap_lies_on_no_metal() =>
        PackedList.Of("Harbour watch", false, [], [])[0].Says.ShouldBe("Harbour watch, on its band, wrapped");

    [Fact]
    public void Each_line_is_ticked_by_a_word_of_its_own() =>
        PackedList.Of("Harbour watch", true, [new BagLine("pins", 2)], [new BagLine("box", 1) { Key = "Box" }, new BagLine("papers", 1) { Key = "Papers" }])
            .Select(l => l.Key).ShouldBe(["watch", "bag", "came-Box", "came-Papers", "card"]);
}
