using System.Globalization;
using System.Text.RegularExpressions;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public partial class LoopPictureTests
{
    private static readonly WristSection Wrist = WristSection.FromTape(170, 1.35);
    private static readonly Head Head = new(Length.FromMillimetres(44), Length.FromMillimetres(3));

    [Theory]
    [InlineData(60)]
    [InlineData(77)]
    [InlineData(120)]
    public void All_that_is_drawn_lies_in_the_frame_however_far_the_band_hangs(double half)
    {
        var picture = Paint((decimal)half);
        foreach (var (x, y) in picture.Shapes.SelectMany(s => Ends(s.Path)))
        {
            x.ShouldBeInRange(picture.Left, picture.Left + picture.Width);
            y.ShouldBeInRange(picture.Top, picture.Top + picture.Height);
        }
    }

    [Fact]
    public void A_head_that_stands_high_has_room_above_its_band()
    {
        var high = Length.FromMillimetres(14);
        Paint(77, l => l with { Head = l.Head with { BarRise = high } }).Top.ShouldBeLessThan(-(decimal)Wrist.HalfDepth - 14 - 1.75m, "above the bars, half a band thick");
    }

    [Fact]
    public void The_drawing_keeps_millimetres()
    {
        var picture = Paint(77);
        var bars = picture.Shapes.Where(s => s.Role == PaintRole.Bar).Select(s => Ends(s.Path)[0]).ToList();
        (bars[1].X - bars[0].X).ShouldBe(44, 0.02m, "bar to bar, from left to right");
        (-bars[0].Y - (decimal)Wrist.HalfDepth).ShouldBe(3, 0.02m, "the bars’ rise above the back, y downward");
        var scale = Ends(picture.Shapes.Single(s => s.Role == PaintRole.Scale).Path);
        (scale.Max(p => p.X) - scale.Min(p => p.X)).ShouldBe(10);
        picture.Shapes.Where(s => s.Role == PaintRole.Edge).ShouldAllBe(s => s.Thick == 3.5m);
    }

    [Fact]
    public void The_lugs_reach_from_tip_to_tip_and_hang_about_the_bars()
    {
        var lugs = Paint(77).Shapes.Where(s => s.Role == PaintRole.Head).Take(2).Select(s => Ends(s.Path)).ToList();
        (lugs[1].Max(p => p.X) - lugs[0].Min(p => p.X)).ShouldBe(50, 0.02m);
        var bar = -(decimal)Wrist.HalfDepth - 3;
        foreach (var lug in lugs)
        {
            lug[0].Y.ShouldBeLessThan(bar, "from the case’s shoulder, above the bar");
            lug[^1].Y.ShouldBeGreaterThan(bar, "back in under it");
            Math.Abs(lug[0].X).ShouldBe(20, 0.02m, "at the case, which stands within the bars");
        }
        var without = Paint(77, l => l with { LugToLug = null }).Shapes.First(s => s.Role == PaintRole.Head);
        Ends(without.Path).Min(p => p.X).ShouldBe(-24, 0.02m, "not gauged: a little beyond the bars");
    }

    [Fact]
    public void Neighbouring_pieces_are_parted_by_a_hair()
    {
        var edges = Paint(77).Shapes.Where(s => s.Role == PaintRole.Edge).Select(s => Ends(s.Path)).ToList();
        var (one, next) = (edges[0][^1], edges[1][0]);
        Math.Sqrt(Math.Pow((double)(one.X - next.X), 2) + Math.Pow((double)(one.Y - next.Y), 2)).ShouldBeInRange(0.5, 0.72);
    }

    [Fact]
    public void Assumed_is_dashed_and_said_and_a_band_that_is_only_looked_at_has_dashed_edges()
    {
        Paint(77).Words.Single(w => w.Role == PaintRole.Scale).Text.ShouldBe("10 mm");
        var assumed = Paint(77, l => l with { HeadAssumed = true });
        assumed.Words.Single(w => w.Role == PaintRole.Scale).Text.ShouldBe("10 mm, dashed: assumed");
        assumed.Shapes.Where(s => s.Role == PaintRole.Head).ShouldAllBe(s => s.Dashed);
        Paint(77, l => l with { Tried = true }).Shapes.Where(s => s.Role == PaintRole.Edge).ShouldAllBe(s => s.Dashed);
        Paint(77, l => l with { BandChosen = false }).Shapes.ShouldNotContain(s => s.Role == PaintRole.Stays || s.Role == PaintRole.Clasp);
    }

    [Fact]
    public void A_clasp_in_the_middle_needs_no_word_and_one_that_wanders_is_told_on_its_side()
    {
        Paint(77).Words.ShouldNotContain(w => w.Role == PaintRole.Clasp);
        var word = Paint(77, before: 83).Words.Single(w => w.Role == PaintRole.Clasp);
        word.Anchor.ShouldBe(Anchor.Start, "toward the 6 side, which is right");
        word.X.ShouldBeGreaterThan(4);
    }

    [Fact]
    public void Where_links_come_out_a_pointer_says_how_many_and_of_which_it_is_said()
    {
        static PlacedLink Link(LinkFate fate) => new(Length.FromMillimetres(20), fate);
        var lies = new Arrangement([Link(LinkFate.Fixed), Link(LinkFate.Leaves), Link(LinkFate.Leaves)], [Link(LinkFate.Joins)], 0);
        var loop = LoopDrawing.Of(
            Wrist, Head, Length.FromMillimetres(1.75m),
            [Piece(PieceKind.Link, Side.Twelve, 20), Piece(PieceKind.Clasp, Side.Six, 110), Piece(PieceKind.Link, Side.Six, 20)], Length.FromMillimetres(77)).ShouldNotBeNull();
        var picture = LoopPicture.Of(loop, Look() with { Arrangement = lies });
        picture.Words.Single(w => w.Role == PaintRole.Out).Text.ShouldBe("2 out");
        picture.Shapes.Single(s => s.Role == PaintRole.Out).Of.ShouldBe(new ShapeOf(PieceKind.Link, Side.Twelve, 1, 2));
        picture.Shapes.Where(s => s.Of is not null && s.Role != PaintRole.Edge).Select(s => s.Role).ShouldBe([PaintRole.Fixed, PaintRole.Clasp, PaintRole.Joins, PaintRole.Out]);
    }

    private static LoopPiece Piece(PieceKind kind, Side side, decimal mm) => new(kind, side, 0, Length.FromMillimetres(mm));

    private static LoopLook Look() => new(Head, Length.FromMillimetres(50), Length.FromMillimetres(3.5m)) { BandChosen = true };

    private static Picture Paint(decimal half, Func<LoopLook, LoopLook>? look = null, decimal? before = null)
    {
        var loop = LoopDrawing.Of(
            Wrist, Head, Length.FromMillimetres(1.75m), [Piece(PieceKind.Link, Side.Twelve, half), Piece(PieceKind.Link, Side.Six, half)],
            Length.FromMillimetres(before ?? half)).ShouldNotBeNull();
        return LoopPicture.Of(loop, look?.Invoke(Look()) ?? Look());
    }

    /// <summary>Where a path's commands end.</summary>
    internal static List<(decimal X, decimal Y)> Ends(string path) =>
        [.. Command().Matches(path).Select(m => (Number(m.Groups[1].Value), Number(m.Groups[2].Value)))];

    private static decimal Number(string digits) => decimal.Parse(digits, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"[MLA](?:[\d.]+ [\d.]+ 0 0 1 )?(-?[\d.]+) (-?[\d.]+)")]
    private static partial Regex Command();
}
