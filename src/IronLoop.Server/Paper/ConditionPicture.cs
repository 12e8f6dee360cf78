using System.Globalization;
using IronLoop.Core.Jobs;
using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>The watch head from above, dial up, with the marks of its condition by number; 30 mm wide.</summary>
internal sealed class ConditionPicture(IReadOnlyList<DamagePlace> marks) : IPicture
{
    private static readonly Dictionary<DamagePlace, (float X, float Y)> Places = new()
    {
        [DamagePlace.BandTwelve] = (20, 4),
        [DamagePlace.LugTwelveLeft] = (13, 10.5f),
        [DamagePlace.LugTwelveRight] = (27, 10.5f),
        [DamagePlace.BezelTwelve] = (20, 15),
        [DamagePlace.BezelNine] = (9.5f, 25),
        [DamagePlace.Crystal] = (20, 25),
        [DamagePlace.BezelThree] = (30.5f, 25),
        [DamagePlace.Crown] = (36.5f, 25),
        [DamagePlace.BezelSix] = (20, 35),
        [DamagePlace.LugSixLeft] = (13, 39.5f),
        [DamagePlace.LugSixRight] = (27, 39.5f),
        [DamagePlace.BandSix] = (20, 46),
        [DamagePlace.CaseBack] = (48, 18),
        [DamagePlace.Clasp] = (48, 38),
    };

    public SKSize Size => new(56, 50);

    public void Draw(SKCanvas canvas)
    {
        using var line = Ink.Line(0.35f);
        using var thin = Ink.Line(0.2f);
        canvas.DrawRect(14, 0.5f, 12, 8, thin);
        canvas.DrawRect(14, 41.5f, 12, 8, thin);
        foreach (var (x, y) in ((float, float)[])[(11, 7), (25, 7), (11, 36), (25, 36)])
            canvas.DrawRoundRect(x, y, 4, 7, 1, 1, line);
        canvas.DrawRoundRect(34, 22.5f, 3.5f, 5, 0.8f, 0.8f, line);
        using var ground = Ink.Fill(Ink.Ground);
        canvas.DrawCircle(20, 25, 14, ground);
        canvas.DrawCircle(20, 25, 14, line);
        canvas.DrawCircle(20, 25, 9.5f, thin);
        canvas.DrawCircle(48, 18, 7, thin);
        Ink.Words(canvas, "case back", 48, 29, 2.8f, SKTextAlign.Center);
        canvas.DrawRoundRect(41, 35, 14, 6, 1.2f, 1.2f, thin);
        Ink.Words(canvas, "clasp", 48, 45, 2.8f, SKTextAlign.Center);
        var seen = new Dictionary<DamagePlace, int>();
        for (var i = 0; i < marks.Count; i++)
        {
            var (x, y) = Places[marks[i]];
            // Several marks on one place stand beside each other.
            x += 5 * seen.GetValueOrDefault(marks[i]);
            seen[marks[i]] = seen.GetValueOrDefault(marks[i]) + 1;
            using var dot = Ink.Fill(Ink.Black);
            canvas.DrawCircle(x, y, 2.1f, dot);
            using var font = Ink.Font(3, strong: true);
            using var white = Ink.Fill(Ink.Ground);
            canvas.DrawText((i + 1).ToString(CultureInfo.InvariantCulture), x, y + 1.05f, SKTextAlign.Center, font, white);
        }
    }
}
