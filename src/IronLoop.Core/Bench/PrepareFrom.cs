using IronLoop.Core.Joints;
using IronLoop.Core.Matching;

namespace IronLoop.Core.Bench;

/// <summary>What the rules of matching asked for, as something that is done to a thing at the bench.</summary>
public static class PrepareFrom
{
    /// <summary>The pieces to prepare; work that is no shaping, such as another bar, is told by the things themselves.</summary>
    /// <param name="work">What was asked for.</param>
    /// <param name="at">Whether it is asked of the ends at the lugs or at the clasp.</param>
    public static IEnumerable<PieceToPrepare> Work(IEnumerable<PieceOfWork> work, PreparedAt at)
    {
        foreach (var piece in work)
        {
            if (ShapingOf(piece.Kind) is not { } shaping)
                continue;
            yield return new PieceToPrepare(shaping, $"{char.ToLowerInvariant(piece.What[0])}{piece.What[1..]}", !piece.Reversible, shaping == Shaping.Punch ? PreparedAt.Tail : at)
            {
                Tools = piece.Tools,
                Caution = piece.Caution ?? (piece.Reversible ? null : $"{PieceOfWork.Blades} {PieceOfWork.Filing}"),
                Minutes = piece.Minutes,
            };
        }
    }

    private static Shaping? ShapingOf(WorkKind kind) => kind switch
    {
        WorkKind.Bore => Shaping.Bore,
        WorkKind.Pierce => Shaping.Pierce,
        WorkKind.Press => Shaping.Press,
        WorkKind.File => Shaping.File,
        WorkKind.Trim => Shaping.Trim,
        WorkKind.ExtraHole => Shaping.Punch,
        _ => null,
    };
}
