using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class LayOutPictureTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static PlacedLink Link(decimal pitch, LinkFate fate = LinkFate.Stays) => new(Mm(pitch), fate);

    private static LayOut Bracelet(Side micro = Side.Six, int positions = 4) => new([Link(9, LinkFate.Fixed), Link(8), Link(7, LinkFate.Leaves)], [Link(9, LinkFate.Fixed), Link(5, LinkFate.Joins)], Mm(44))
    {
        Clasp = new LaidClasp(Mm(18), Mm(20), Mm(2), micro, positions, 1),
        TwelveJoints = [2, 3],
        SixJoints = [1],
    };

    [Fact]
    public void Everything_lies_end_to_end_12_side_left_and_joints_where_links_meet()
    {
        var layOut = Bracelet();
        layOut.LeftOfHead.ShouldBe(Mm(18 + 7 + 8 + 9));
        layOut.RightOfHead.ShouldBe(Mm(9 + 5 + 22), "the micro-adjust lies on its side");
        layOut.JointsAlong(Side.Twelve).ShouldBe([Mm(42), Mm(33), Mm(25), Mm(18)]);
        layOut.JointsAlong(Side.Six).ShouldBe([Mm(86), Mm(95), Mm(100)]);
        layOut.ClosedAt.ShouldBe(Mm(111), "the middle of the cover on the 6 side");
        var picture = LayOutPicture.Of(layOut);
        picture.Width.ShouldBe(42 + 44 + 36 + 4);
        var joints = picture.Shapes.Where(s => s.Role == PaintRole.Joint).Select(s => LoopPictureTests.Ends(s.Path)[0].X);
        joints.ShouldBe([25m, 18m, 95m]);
    }

    [Fact]
    public void Each_link_is_as_wide_as_its_pitch_less_a_hair_and_says_what_happens_to_it()
    {
        var picture = LayOutPicture.Of(Bracelet());
        var links = picture.Shapes.Where(s => s.Of is not null).ToList();
        links.Select(l => (l.Of!.Side, l.Of.Ordinal, l.Role, l.Dashed)).ShouldBe(
        [
            (Side.Twelve, 0, PaintRole.Fixed, false), (Side.Twelve, 1, PaintRole.Stays, false), (Side.Twelve, 2, PaintRole.Leaves, true),
            (Side.Six, 0, PaintRole.Fixed, false), (Side.Six, 1, PaintRole.Joins, false),
        ]);
        links.Select(l => Wide(l.Path)).ShouldBe([8.4m, 7.4m, 6.4m, 8.4m, 4.4m]);
        picture.Words.Where(w => w.Of is not null).Select(w => w.Text).ShouldBe(["out", "in"]);
    }

    [Fact]
    public void A_link_that_is_never_taken_bears_a_cross_and_one_of_a_kind_its_letter()
    {
        var layOut = Bracelet() with
        {
            Six = [Link(9, LinkFate.Fixed) with { Mark = 'B' }, Link(5, LinkFate.Joins) with { Mark = 'B' }],
            Pinned = new HashSet<(Side, int)> { (Side.Six, 0), (Side.Six, 1) },
        };
        var picture = LayOutPicture.Of(layOut);
        picture.Shapes.Single(s => s.Role == PaintRole.Pinned).Of.ShouldBe(new ShapeOf(PieceKind.Link, Side.Six, 0));
        picture.Words.Where(w => w.Role == PaintRole.Name).Single().Of.ShouldBe(new ShapeOf(PieceKind.Link, Side.Six, 1), "one that is put in is not one that was never to be taken");
    }

    [Theory]
    [InlineData(Side.Twelve)]
    [InlineData(Side.Six)]
    public void The_clasps_positions_lie_in_its_cover_the_tightest_deepest(Side micro)
    {
        var picture = LayOutPicture.Of(Bracelet(micro));
        var holes = picture.Shapes.Where(s => s.Role is PaintRole.Hole or PaintRole.HoleNow).ToList();
        holes.Select(h => h.Role).ShouldBe([PaintRole.Hole, PaintRole.HoleNow, PaintRole.Hole, PaintRole.Hole]);
        var xs = holes.Select(h => LoopPictureTests.Ends(h.Path)[0].X).ToList();
        // The cover's deep end is the clasp's middle, which lies outermost on the mat.
        xs.ShouldBe(micro == Side.Twelve ? xs.Order() : xs.OrderDescending());
        var (from, to) = micro == Side.Twelve ? (0m, 20m) : (100m, 122m);
        xs.ShouldAllBe(x => x > from && x < to);
    }

    [Fact]
    public void A_micro_adjust_without_steps_has_no_row_of_dots() =>
        LayOutPicture.Of(Bracelet(positions: 41)).Shapes.ShouldNotContain(s => s.Role == PaintRole.Hole || s.Role == PaintRole.HoleNow);

    [Fact]
    public void A_straps_holes_and_keepers_lie_on_its_tail_and_a_keeper_the_tail_misses_is_told()
    {
        var strap = new LaidStrap(Mm(75), Mm(115), [Mm(60), Mm(66), Mm(72)], 1, [(Mm(73), Mm(77)), (Mm(87), Mm(91))], false);
        var layOut = new LayOut([], [], Mm(44)) { Strap = strap };
        layOut.ClosedAt.ShouldBe(Mm(75 + 44 + 66));
        (layOut with { Strap = strap with { Hole = 2 } }).ClosedAt.ShouldBe(Mm(75 + 44 + 72));
        (layOut with { Strap = strap with { Hole = 3 } }).ClosedAt.ShouldBeNull("it has no fourth hole");
        var picture = LayOutPicture.Of(layOut);
        picture.Shapes.Where(s => s.Role is PaintRole.Hole or PaintRole.HoleNow).Select(s => s.Role).ShouldBe([PaintRole.Hole, PaintRole.HoleNow, PaintRole.Hole]);
        picture.Shapes.Where(s => s.Role == PaintRole.Keeper).Select(s => Wide(s.Path)).ShouldBe([4m]);
        picture.Shapes.Single(s => s.Role == PaintRole.KeeperMissed).Dashed.ShouldBeTrue();
        picture.Width.ShouldBe(75 + 44 + 115 + 4);
    }

    private static decimal Wide(string path)
    {
        var xs = LoopPictureTests.Ends(path).Select(p => p.X).ToList();
        return xs.Max() - xs.Min();
    }
}
