using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;

namespace IronLoop.Core.Tests.Jobs;

public class NeedsTests
{
    [Fact]
    public void Every_request_is_in_the_table() =>
        Needs.Table.Select(n => n.Request).Distinct().Order().ShouldBe(Enum.GetValues<Request>().Order());

    [Fact]
    public void A_strap_change_is_gauged_at_the_lugs_and_a_sizing_at_the_links()
    {
        Needs.Of(Request.ChangeStrap, byHand: false).Figures(Attachment.SpringBarDrilled).ShouldBe([
            GaugedFigure.LugWidth, GaugedFigure.LugToLug, GaugedFigure.BarToBar, GaugedFigure.BarRise, GaugedFigure.CaseHeight,
            GaugedFigure.BarGap, GaugedFigure.LugHole, GaugedFigure.Wrist]);
        Needs.Of(Request.TakeLinksOut, byHand: false).Figures(Attachment.SpringBarDrilled).ShouldBe([
            GaugedFigure.LugToLug, GaugedFigure.BarToBar, GaugedFigure.BarRise, GaugedFigure.BandWidth, GaugedFigure.BandThickness,
            GaugedFigure.ClaspEnd, GaugedFigure.LinkPitch, GaugedFigure.Wrist]);
    }

    [Fact]
    public void Work_that_is_told_by_hand_asks_for_no_figure_at_the_counter()
    {
        Needs.Of(Request.TakeLinksOut, byHand: true).Must.ShouldBe([Asked.Count]);
        Needs.Of(Request.OffAndOn, byHand: false).Figures(null).ShouldBeEmpty();
        Needs.Of(Request.SomethingElse, byHand: false).Must.ShouldBeEmpty();
        foreach (var needs in Needs.Table.Where(n => n.ByHand))
            needs.Stations.ShouldBeEmpty(needs.Name);
    }

    [Fact]
    public void The_page_of_it_is_the_table()
    {
        static string Words(IEnumerable<Asked> asked) => string.Join("; ", asked.Select(Needs.NameOf));
        static string Passed(Needs needs) => needs.Stations.Count == 0 ? "–" : string.Join(", ", needs.Stations);
        Bench.Kept.AgreeWith("docs/needs.md", $"""
            # What each request asks

            Made from the table in `src/IronLoop.Core/Jobs/Needs.cs` by its test. *Must*: the work cannot be told without it. *Sharpens*: assumed
            until it is read, and nothing waits for it. What is in neither is not asked. Take-in, Gauge, Bench and Hand-over are passed by every job;
            Size only where a length is known to judge by.

            | request | must | sharpens | passes |
            |---|---|---|---|
            {string.Join('\n', Needs.Table.Select(n => $"| {n.Name} | {Words(n.Must)} | {Words(n.Sharpens)} | {Passed(n)} |"))}

            """);
    }

    [Theory]
    [InlineData(null, GaugedFigure.BarGap, true)]
    [InlineData(null, GaugedFigure.SlotHeight, false)]
    [InlineData(Attachment.ScrewSlot, GaugedFigure.SlotHeight, true)]
    [InlineData(Attachment.ScrewSlot, GaugedFigure.BarGap, false)]
    [InlineData(Attachment.ScrewBar, GaugedFigure.OwnBar, true)]
    [InlineData(Attachment.FixedBar, GaugedFigure.LugHole, false)]
    [InlineData(Attachment.FixedBar, GaugedFigure.BarGap, true)]
    public void What_hangs_on_the_attachment_is_asked_by_it_and_as_of_sprung_bars_where_nobody_looked(Attachment? attachment, GaugedFigure figure, bool wanted) =>
        Needs.Of(Request.ChangeStrap, byHand: false).Figures(attachment).Contains(figure).ShouldBe(wanted);
}
