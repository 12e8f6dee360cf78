using System.Globalization;
using IronLoop.Core.Fitting;

namespace IronLoop.Core.Jobs;

/// <summary>A place on the drawn watch that a mark can be put on: a box, in millimetres of the drawing.</summary>
/// <param name="Place">Which.</param>
/// <param name="X">Left edge.</param>
/// <param name="Y">Upper edge.</param>
/// <param name="Width">Width.</param>
/// <param name="Height">Height.</param>
public sealed record ConditionPlace(DamagePlace Place, decimal X, decimal Y, decimal Width, decimal Height)
{
    /// <summary>How it is called.</summary>
    public string Says => Place switch
    {
        DamagePlace.BandTwelve => "band, 12 side",
        DamagePlace.LugTwelveLeft => "lug, 12 left",
        DamagePlace.LugTwelveRight => "lug, 12 right",
        DamagePlace.BezelTwelve => "bezel at 12",
        DamagePlace.BezelNine => "bezel at 9",
        DamagePlace.Crystal => "crystal",
        DamagePlace.BezelThree => "bezel at 3",
        DamagePlace.Crown => "crown",
        DamagePlace.BezelSix => "bezel at 6",
        DamagePlace.LugSixLeft => "lug, 6 left",
        DamagePlace.LugSixRight => "lug, 6 right",
        DamagePlace.BandSix => "band, 6 side",
        DamagePlace.CaseBack => "case back",
        DamagePlace.Clasp => "clasp",
        _ => throw new InvalidOperationException($"There is no word for {Place}."),
    };
}

/// <summary>The watch from above, dial up and 12 at the top, its case back and clasp beside it, with the marks of its condition by number.</summary>
public static class ConditionPicture
{
    // Marks on one place stand beside each other.
    private const decimal Apart = 4.4m;

    /// <summary>Every place a mark can be put on.</summary>
    public static IReadOnlyList<ConditionPlace> Places { get; } =
    [
        new(DamagePlace.BandTwelve, 14.4m, 0.8m, 11.2m, 8),
        new(DamagePlace.LugTwelveLeft, 10, 8, 4, 8),
        new(DamagePlace.LugTwelveRight, 26, 8, 4, 8),
        new(DamagePlace.BezelTwelve, 15.2m, 12.4m, 9.6m, 4),
        new(DamagePlace.BezelNine, 7.2m, 20.4m, 4, 10.4m),
        new(DamagePlace.Crystal, 12.8m, 18.4m, 14.4m, 14.4m),
        new(DamagePlace.BezelThree, 28.8m, 20.4m, 4, 10.4m),
        new(DamagePlace.Crown, 33.2m, 22.8m, 4, 5.6m),
        new(DamagePlace.BezelSix, 15.2m, 34.8m, 9.6m, 4),
        new(DamagePlace.LugSixLeft, 10, 35.2m, 4, 8),
        new(DamagePlace.LugSixRight, 26, 35.2m, 4, 8),
        new(DamagePlace.BandSix, 14.4m, 42.4m, 11.2m, 8),
        new(DamagePlace.CaseBack, 43.2m, 12, 10.4m, 10.4m),
        new(DamagePlace.Clasp, 42.4m, 33.6m, 12, 7.2m),
    ];

    /// <summary>Paints it.</summary>
    /// <param name="marks">Where the marks are, in the order they are listed in.</param>
    public static Picture Of(IReadOnlyList<DamagePlace> marks)
    {
        var shapes = Watch();
        List<Word> words =
        [
            new(PaintRole.Name, "back", 48.4m, 26.6m, 2.8m),
            new(PaintRole.Name, "clasp", 48.4m, 44.4m, 2.8m),
            new(PaintRole.Head, "12", 20, 19.6m, 2.4m),
            new(PaintRole.Head, "6", 20, 33.2m, 2.4m),
        ];
        foreach (var at in Places)
        {
            var numbers = Enumerable.Range(0, marks.Count).Where(i => marks[i] == at.Place).ToList();
            for (var i = 0; i < numbers.Count; i++)
            {
                var x = at.X + at.Width / 2 + Apart * (i - (numbers.Count - 1) / 2m);
                var y = at.Y + at.Height / 2;
                shapes.Add(new Shape(PaintRole.Dot, PathData.Circle((double)x, (double)y, 2.1)));
                words.Add(new Word(PaintRole.Number, (numbers[i] + 1).ToString(CultureInfo.InvariantCulture), x, y + 1, 2.8m) { Strong = true });
            }
        }
        return new Picture(5.6m, 0, 50.4m, 51.2m, shapes, words);
    }

    private static List<Shape> Watch() =>
    [
        new(PaintRole.Fine, PathData.Line((14.4, 12), (14.4, 0.8), (25.6, 0.8), (25.6, 12))),
        new(PaintRole.Fine, PathData.Line((14.4, 39.2), (14.4, 50.4), (25.6, 50.4), (25.6, 39.2))),
        new(PaintRole.Outline, PathData.Circle(20, 25.6, 13.2)),
        new(PaintRole.Fine, PathData.Circle(20, 25.6, 8.8)),
        new(PaintRole.Outline, PathData.Line((33.2, 23.2), (36, 23.2), (36, 28), (33.2, 28))),
        new(PaintRole.Outline, PathData.Line((10.8, 16.2), (10.8, 8.8), (14, 8.8), (14, 13.84))),
        new(PaintRole.Outline, PathData.Line((29.2, 16.2), (29.2, 8.8), (26, 8.8), (26, 13.84))),
        new(PaintRole.Outline, PathData.Line((10.8, 35), (10.8, 42.4), (14, 42.4), (14, 37.36))),
        new(PaintRole.Outline, PathData.Line((29.2, 35), (29.2, 42.4), (26, 42.4), (26, 37.36))),
        new(PaintRole.Fine, PathData.Circle(48.4, 17.2, 6)),
        new(PaintRole.Fine, PathData.Box(41.6, 33.6, 13.6, 7.2, 0.8)),
    ];
}
