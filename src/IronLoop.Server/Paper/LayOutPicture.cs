using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Server.Stations;
using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>The band opened flat with its head, link by link: which leave, which go in, which joints are opened.</summary>
internal sealed class LayOutPicture(LayOutWire layOut, Length barToBar) : IPicture
{
    private const float Top = 8;
    private const float High = 12;

    public SKSize Size => new(Lengths.Sum() + 4, Top + High + 9);

    private IEnumerable<float> Lengths =>
    [
        Clasp(Side.Twelve), layOut.Twelve.Sum(l => Mm(l.PitchMm)), Mm(layOut.Strap?.BucklePieceMm), Mm(barToBar), Mm(layOut.Strap?.TailMm),
        layOut.Six.Sum(l => Mm(l.PitchMm)), Clasp(Side.Six),
    ];

    public void Draw(SKCanvas canvas)
    {
        var x = 2f;
        using var line = Ink.Line(0.35f);
        using var clasp = Ink.Fill(Ink.Iron);
        void Clasped(Side side)
        {
            if (Clasp(side) is > 0 and var width)
                canvas.DrawRoundRect(x, Top + 1, width, High - 2, 1.5f, 1.5f, clasp);
            x += Clasp(side);
        }

        Clasped(Side.Twelve);
        for (var i = layOut.Twelve.Count - 1; i >= 0; i--)
        {
            Link(canvas, layOut.Twelve[i], x);
            x += Mm(layOut.Twelve[i].PitchMm);
        }
        if (layOut.Strap is { } strap)
            Piece(canvas, ref x, Mm(strap.BucklePieceMm), line);
        var head = x;
        canvas.DrawRoundRect(head, Top - 3, Mm(barToBar), High + 6, 2, 2, line);
        canvas.DrawCircle(head + Mm(barToBar) / 2, Top + High / 2, High / 2.2f, line);
        Ink.Words(canvas, "12", head + 3.2f, Top + High / 2 + 1.4f, 3.6f, SKTextAlign.Center, strong: true);
        Ink.Words(canvas, "6", head + Mm(barToBar) - 3.2f, Top + High / 2 + 1.4f, 3.6f, SKTextAlign.Center, strong: true);
        Joints(canvas, head, -1, layOut.Twelve, layOut.TwelveJoints);
        x = head + Mm(barToBar);
        Joints(canvas, x, 1, layOut.Six, layOut.SixJoints);
        if (layOut.Strap is { } tail)
            Tail(canvas, tail, ref x, line);
        foreach (var link in layOut.Six)
        {
            Link(canvas, link, x);
            x += Mm(link.PitchMm);
        }
        Clasped(Side.Six);
    }

    private static void Piece(SKCanvas canvas, ref float x, float width, SKPaint line)
    {
        canvas.DrawRoundRect(x, Top + 1, width, High - 2, 1.5f, 1.5f, line);
        x += width;
    }

    private static void Tail(SKCanvas canvas, LayOutStrapWire tail, ref float x, SKPaint line)
    {
        var from = x;
        Piece(canvas, ref x, Mm(tail.TailMm), line);
        using var now = Ink.Fill(Ink.Black);
        for (var i = 0; i < tail.HolesMm.Count; i++)
            canvas.DrawCircle(from + Mm(tail.HolesMm[i]), Top + High / 2, 1.1f, i == tail.Hole ? now : line);
    }

    private static void Link(SKCanvas canvas, PlacedLinkWire link, float x)
    {
        var leaves = link.Fate == LinkFate.Leaves;
        var box = new SKRect(x + 0.3f, Top + (leaves ? 3 : 0), x + Mm(link.PitchMm) - 0.3f, Top + High + (leaves ? 3 : 0));
        using var fill = Ink.Fill(link.Fate switch { LinkFate.Fixed => Ink.Held, LinkFate.Leaves => Ink.Ground, _ => Ink.Steel });
        using var line = Ink.Line(0.35f, dashed: leaves);
        canvas.DrawRoundRect(box, 0.9f, 0.9f, fill);
        canvas.DrawRoundRect(box, 0.9f, 0.9f, line);
        if (leaves || link.Fate == LinkFate.Joins)
            Ink.Words(canvas, leaves ? "out" : "in", box.MidX, Top - 1.2f, 3, SKTextAlign.Center);
    }

    private static void Joints(SKCanvas canvas, float from, int way, IReadOnlyList<PlacedLinkWire> row, IReadOnlyList<int> joints)
    {
        using var ink = Ink.Fill(Ink.Black);
        foreach (var joint in joints)
        {
            var at = from + way * row.Take(joint).Sum(l => Mm(l.PitchMm));
            var under = Top + High + 3.4f;
            using var path = Ink.Shape(closed: true, (at, under), (at - 1.5f, under + 2.8f), (at + 1.5f, under + 2.8f));
            canvas.DrawPath(path, ink);
        }
    }

    private float Clasp(Side side) => layOut.Clasp is not { } clasp ? 0
        : Mm(side == Side.Twelve ? clasp.TwelveMm : clasp.SixMm) + (clasp.MicroSide == side ? Mm(clasp.MicroMm) : 0);

    private static float Mm(Length? length) => (float)(length?.ApproximateMillimetres ?? 0);
}
