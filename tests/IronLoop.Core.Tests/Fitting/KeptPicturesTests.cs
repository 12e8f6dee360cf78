using IronLoop.Core.Fitting;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tests.Bench;
using System.Globalization;
using System.Text;

namespace IronLoop.Core.Tests.Fitting;

/// <summary>
/// Pictures as they were looked at, kept as SVG that a browser opens: where a lug ends or a word stands is for the eye, and nothing else says
/// when it has moved. With IRON_LOOP_REVIEW=1 they are written anew, to be looked at before they are kept.
/// </summary>
public class KeptPicturesTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static readonly Head Head = new(Mm(44), Mm(3));

    [Fact]
    public void Loops_stay_as_they_were_looked_at()
    {
        Keep("loop-bracelet", Loop(Side.Six, 30, Look() with
        {
            Arrangement = new Arrangement(
                [Link(9, LinkFate.Fixed), .. Links(5, 8), Link(8, LinkFate.Leaves), Link(8, LinkFate.Leaves)], [Link(9, LinkFate.Fixed), .. Links(4, 8), Link(5, LinkFate.Joins)], 1),
        }));
        Keep("loop-clasp-wanders", Loop(Side.Twelve, 52, Look()));
        Keep("loop-assumed", Loop(Side.Six, 30, Look() with { HeadAssumed = true, Tried = true, LugToLug = null }));
        Keep("loop-bare", Loop(Side.Six, 30, Look() with { BandChosen = false }));
    }

    [Fact]
    public void Lay_outs_stay_as_they_were_looked_at()
    {
        Keep("lay-out-micro-on-6", LayOutPicture.Of(Bracelet(Side.Six)));
        Keep("lay-out-micro-on-12", LayOutPicture.Of(Bracelet(Side.Twelve) with { Pinned = new HashSet<(Side, int)> { (Side.Twelve, 1) } }));
        Keep("lay-out-strap", LayOutPicture.Of(new LayOut([], [], Mm(44))
        {
            Strap = new LaidStrap(Mm(75), Mm(115), [Mm(60), Mm(66), Mm(72)], 1, [(Mm(73), Mm(77)), (Mm(87), Mm(91))], false),
        }));
    }

    [Fact]
    public void The_watch_and_its_marks_stay_as_they_were_looked_at()
    {
        Keep("condition-bare", ConditionPicture.Of([]));
        Keep("condition-marks", ConditionPicture.Of([.. Enum.GetValues<DamagePlace>(), DamagePlace.Crystal, DamagePlace.Crystal]));
    }

    [Fact]
    public void How_each_clasp_closes_and_a_band_is_threaded_stays_as_it_was_looked_at()
    {
        foreach (var kind in Enum.GetValues<ClaspKind>().Where(k => k != ClaspKind.Extending))
            Keep($"closing-{kind}", ClosingPicture.Of(BenchJobs.Strap(), kind, PullThroughWay.Double)!);
        Keep("closing-threaded-double", ClosingPicture.Of(BenchJobs.PullThrough, null, PullThroughWay.Double)!);
        Keep("closing-threaded-single", ClosingPicture.Of(BenchJobs.HookAndLoop, null, PullThroughWay.ReversedSingle)!);
        ClosingPicture.Of(BenchJobs.Strap(), null, PullThroughWay.Double).ShouldBeNull("nobody knows what closes it");
    }

    private static LayOut Bracelet(Side micro) => new(
        [Link(9, LinkFate.Fixed), Link(8) with { Mark = 'B' }, Link(7, LinkFate.Leaves)], [Link(9, LinkFate.Fixed), Link(5, LinkFate.Joins)], Mm(44))
    {
        Clasp = new LaidClasp(Mm(18), Mm(20), Mm(2), micro, 4, 1),
        TwelveJoints = [2, 3],
        SixJoints = [1],
    };

    private static PlacedLink Link(decimal pitch, LinkFate fate = LinkFate.Stays) => new(Mm(pitch), fate);

    private static IEnumerable<PlacedLink> Links(int count, decimal pitch) => Enumerable.Repeat(Link(pitch), count);

    private static LoopLook Look() => new(Head, Mm(50), Mm(3.5m)) { BandChosen = true };

    private static Picture Loop(Side longer, decimal clasp, LoopLook look)
    {
        LoopPiece Piece(PieceKind kind, Side side, int ordinal, decimal mm) => new(kind, side, ordinal, Mm(mm));
        var (twelve, six) = longer == Side.Twelve ? (8, 4) : (6, 6);
        LoopPiece[] pieces =
        [
            .. Enumerable.Range(0, twelve).Select(i => Piece(PieceKind.Link, Side.Twelve, i, 9)), Piece(PieceKind.Clasp, Side.Twelve, 0, clasp),
            .. Enumerable.Range(0, six).Select(i => Piece(PieceKind.Link, Side.Six, six - 1 - i, 9)),
        ];
        return LoopPicture.Of(LoopDrawing.Of(WristSection.FromTape(170, 1.35), Head, Mm(1.75m), pieces, Mm((9 * twelve) + (clasp / 2))).ShouldNotBeNull(), look);
    }

    private static void Keep(string name, Picture picture) => Kept.AgreeWith($"tests/IronLoop.Core.Tests/Fitting/pictures/{name}.svg", Svg(picture));

    private static string Svg(Picture picture)
    {
        var svg = new StringBuilder();
        void Line(FormattableString text) => svg.Append(text.ToString(CultureInfo.InvariantCulture)).Append('\n');
        Line($"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"{picture.Left} {picture.Top} {picture.Width} {picture.Height}\" fill=\"none\" stroke=\"black\" stroke-width=\"0.3\">");
        foreach (var s in picture.Shapes)
            Line($"  <path class=\"{s.Role}\" d=\"{s.Path}\"{(s.Thick is { } thick ? $" data-thick=\"{thick.ToString(CultureInfo.InvariantCulture)}\"" : "")}{(s.Dashed ? " stroke-dasharray=\"1 1\"" : "")}{Of(s.Of)}/>");
        foreach (var w in picture.Words)
            Line($"  <text class=\"{w.Role}\" x=\"{w.X}\" y=\"{w.Y}\" font-size=\"{w.High}\" text-anchor=\"{w.Anchor.ToString().ToLowerInvariant()}\"{(w.Strong ? " font-weight=\"bold\"" : "")}{Of(w.Of)} fill=\"black\" stroke=\"none\">{w.Text}</text>");
        Line($"</svg>");
        return svg.ToString();
    }

    private static string Of(ShapeOf? of) => of is null ? "" : $" data-of=\"{of.Kind} {of.Side} {of.Ordinal} x{of.Count}\"";
}
