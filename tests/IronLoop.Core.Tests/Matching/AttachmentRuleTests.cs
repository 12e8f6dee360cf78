using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

public class AttachmentRuleTests
{
    // One line a watch; loose bar, quick release, pull-through, open end, screw-through, for leather.
    [Theory]
    [InlineData(Attachment.SpringBarDrilled, "fits fits fits fits no")]
    [InlineData(Attachment.SpringBarBlind, "fits fits fits fits no")]
    [InlineData(Attachment.FixedBar, "no no fits fits no")]
    [InlineData(Attachment.ScrewBar, "fits work fits fits no")]
    [InlineData(Attachment.ScrewSlot, "work work no no fits")]
    [InlineData(Attachment.OwnShape, "no no no no no")]
    public void The_table_for_leather(Attachment attachment, string verdicts) =>
        string.Join(' ', Enum.GetValues<BandAttachment>().Select(b => Judge(attachment, b, BandMaterial.Leather).Verdict))
            .ShouldBe(verdicts, StringCompareShould.IgnoreCase);

    [Theory]
    [InlineData(BandMaterial.Textile)]
    [InlineData(BandMaterial.Rubber)]
    [InlineData(BandMaterial.Metal)]
    public void A_slot_takes_nothing_but_leather_or_its_own(BandMaterial material)
    {
        Judge(Attachment.ScrewSlot, BandAttachment.LooseBar, material).Verdict.ShouldBe(Verdict.No);
        Judge(Attachment.ScrewSlot, BandAttachment.ScrewThrough, material).Verdict.ShouldBe(Verdict.Fits);
    }

    [Fact]
    public void Leather_in_a_slot_is_pierced_for_good_and_a_sprung_bar_can_go_back()
    {
        var pierced = Judge(Attachment.ScrewSlot, BandAttachment.LooseBar, BandMaterial.Leather).Work.ShouldHaveSingleItem();
        (pierced.Reversible, pierced.Minutes).ShouldBe((false, 20));
        var barsOut = Judge(Attachment.ScrewBar, BandAttachment.QuickRelease, BandMaterial.Leather).Work.ShouldHaveSingleItem();
        (barsOut.Reversible, barsOut.Minutes).ShouldBe((true, 5));
    }

    [Theory]
    [InlineData("TS7", "TS7", Verdict.Fits)]
    [InlineData("TS7", "ts7", Verdict.Fits)]
    [InlineData("TS7", "TS8", Verdict.No)]
    [InlineData("TS7", null, Verdict.No)]
    [InlineData(null, "TS7", Verdict.Unknown)]
    public void An_own_shape_goes_by_family(string? watch, string? band, Verdict verdict) =>
        Judge(Attachment.OwnShape, BandAttachment.ScrewThrough, BandMaterial.Rubber, watch, band).Verdict.ShouldBe(verdict);

    [Fact]
    public void Every_verdict_has_a_sentence_of_its_own()
    {
        foreach (var attachment in Enum.GetValues<Attachment>())
            foreach (var band in Enum.GetValues<BandAttachment>())
                Judge(attachment, band, BandMaterial.Leather).Says.ShouldEndWith(".");
    }

    private static RuleVerdict Judge(
        Attachment attachment, BandAttachment attaches, BandMaterial material, string? watchFamily = null, string? bandFamily = null) =>
        AttachmentRule.Judge(
            new WatchFacts(Length.FromMillimetres(20), attachment, watchFamily) { OwnBar = Length.FromMillimetres(1.5m) },
            new BandFacts(BandKind.TwoPiece, material, Length.FromMillimetres(20), attaches, null, bandFamily) { TubeBore = Length.FromMillimetres(1.8m) });
}
