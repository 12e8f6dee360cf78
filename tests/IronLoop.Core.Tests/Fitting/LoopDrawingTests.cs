using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class LoopDrawingTests
{
    private static readonly WristSection Wrist = WristSection.FromTape(170, 1.35);
    private static readonly Head Head = new(Length.FromMillimetres(44), Length.FromMillimetres(3));
    private static readonly Length Pivot = Length.FromMillimetres(1.75m);

    [Theory]
    [InlineData(140, 7)]
    [InlineData(154.5, 7.3)]
    [InlineData(190, 9)]
    public void The_pieces_are_as_long_on_paper_as_on_the_wrist(double total, double pitch)
    {
        var drawing = Draw((decimal)total, (decimal)pitch);
        foreach (var drawn in drawing.Pieces)
        {
            var length = drawn.Points.Zip(drawn.Points.Skip(1), (a, b) => a.To(b)).Sum();
            // Chords are a little shorter than the curve they stand for.
            length.ShouldBe(drawn.Piece.Length.ApproximateMillimetres, 0.15);
        }
        drawing.Pieces[0].Points[0].X.ShouldBe(-22, 1e-6);
        drawing.Pieces[0].Points[0].Y.ShouldBe(Wrist.HalfDepth + 3, 1e-6);
        drawing.Pieces[^1].Points[^1].X.ShouldBe(22, 1e-6);
    }

    [Fact]
    public void A_loose_loop_hangs_below_the_wrist_and_a_tight_one_cuts_into_it()
    {
        Draw(160, 7).Hang.ShouldBeGreaterThan(2);
        Draw(146.99m, 7).Hang.ShouldBe(0, 0.05);
        Draw(143, 7).Hang.ShouldBeLessThan(-1);
    }

    [Fact]
    public void A_clasp_that_wanders_is_seen_toward_its_side()
    {
        var pieces = new[]
        {
            new LoopPiece(PieceKind.Link, Side.Twelve, 0, Length.FromMillimetres(80)),
            new LoopPiece(PieceKind.Link, Side.Six, 0, Length.FromMillimetres(74)),
        };
        var drawing = LoopDrawing.Of(Wrist, Head, Pivot, pieces, pieces[0].Length).ShouldNotBeNull();
        drawing.ClaspCentre.X.ShouldBe(3, 0.1, "the 12 side is 6 mm longer, so the clasp sits 3 mm toward the 6 side");
    }

    [Fact]
    public void Links_that_leave_are_shown_at_the_pivot_that_closes_over_them()
    {
        static PlacedLink Link(LinkFate fate) => new(Length.FromMillimetres(8), fate);
        var arrangement = new Arrangement(
            [Link(LinkFate.Stays), Link(LinkFate.Leaves), Link(LinkFate.Leaves), Link(LinkFate.Stays)],
            [Link(LinkFate.Stays), Link(LinkFate.Stays), Link(LinkFate.Leaves)], 0);
        LoopPiece Piece(Side side, int ordinal) => new(PieceKind.Link, side, ordinal, Length.FromMillimetres(20));
        var drawing = LoopDrawing.Of(
            Wrist, Head, Pivot,
            [Piece(Side.Twelve, 0), Piece(Side.Twelve, 3), new LoopPiece(PieceKind.Clasp, Side.Six, 0, Length.FromMillimetres(74)), Piece(Side.Six, 1), Piece(Side.Six, 0)],
            Length.FromMillimetres(77)).ShouldNotBeNull();
        var leaving = drawing.WhereLinksLeave(arrangement);
        leaving.Select(r => (r.Side, r.First, r.Count)).ShouldBe([(Side.Twelve, 1, 2), (Side.Six, 2, 1)]);
        leaving[0].At.ShouldBe(drawing.Pieces[0].Points[^1], "between the first link and the fourth");
        leaving[1].At.ShouldBe(drawing.Pieces[2].Points[^1], "where the clasp meets the last 6-side link that stays");
    }

    private static LoopDrawing Draw(decimal total, decimal pitch)
    {
        var pieces = new List<LoopPiece>();
        var left = Length.FromMillimetres(total);
        while (left > Length.FromMillimetres(pitch))
        {
            pieces.Add(new LoopPiece(PieceKind.Link, Side.Twelve, pieces.Count, Length.FromMillimetres(pitch)));
            left -= Length.FromMillimetres(pitch);
        }
        pieces.Add(new LoopPiece(PieceKind.Clasp, Side.Six, 0, left));
        return LoopDrawing.Of(Wrist, Head, Pivot, pieces, Length.FromMillimetres(total / 2)).ShouldNotBeNull();
    }
}
