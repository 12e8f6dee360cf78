using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Models;

/// <summary>A figure of a sheet.</summary>
/// <param name="Figure">Which.</param>
/// <param name="Known">What the pieces come to.</param>
/// <param name="LastBy">Who read it last, by initials; empty where a file brought it.</param>
/// <param name="Odd">Watches whose reading is further off than three spreads, with it, once three pieces tell.</param>
public sealed record SheetFigure(GaugedFigure Figure, BookFigure Known, string LastBy, IReadOnlyList<OddPiece> Odd);

/// <summary>A piece that does not go with the others of its model.</summary>
/// <param name="WatchId">The watch.</param>
/// <param name="Reading">What was read of it.</param>
public sealed record OddPiece(long WatchId, Length Reading)
{
    /// <summary>Whether it does not go with the others: it is held against the rest, once three pieces tell.</summary>
    /// <param name="pieces">How many pieces there are, with this one.</param>
    /// <param name="sum">The sum of their micrometres.</param>
    /// <param name="squares">The sum of the squares of their micrometres.</param>
    public bool IsOdd(int pieces, long sum, decimal squares)
    {
        if (pieces < BookFigure.Enough)
            return false;
        var rest = BookFigure.Of(pieces - 1, sum - Reading.Micrometres, squares - (decimal)Reading.Micrometres * Reading.Micrometres, HowHad.Read);
        return Math.Abs(Reading.Millimetres - rest.Mean.Millimetres) > 3 * Math.Max(rest.SpreadMm, BookFigure.LeastSpreadMm);
    }
}

/// <summary>What is known of one edition of a model.</summary>
/// <param name="Id">Its number; 0 before it is stored.</param>
/// <param name="Name">What tells it from the others; empty where there is one only.</param>
/// <param name="Figures">Its figures, in the order the tool is moved.</param>
/// <param name="Facts">What is no figure.</param>
/// <param name="Joints">What holds its joints, group by group.</param>
public sealed record EditionSheet(long Id, string Name, IReadOnlyList<SheetFigure> Figures, IReadOnlyList<KnownFact> Facts, IReadOnlyList<KnownJoints> Joints)
{
    /// <summary>How many watches tell of it.</summary>
    public int Pieces => Figures.Select(f => f.Known.Pieces).Concat(Facts.Select(f => f.Pieces)).Concat(Joints.Select(j => j.Pieces)).DefaultIfEmpty(0).Max();

    /// <summary>A fact's value; null where nobody told it.</summary>
    public string? this[ModelFact fact] => Facts.FirstOrDefault(f => f.Fact == fact)?.Value;

    /// <summary>What is known of last links that look fixed, side by side.</summary>
    public IReadOnlyList<(Side Side, FreedLink Link, int Pieces)> Freed =>
        [.. Facts.Where(f => f.Fact is ModelFact.FreedTwelve or ModelFact.FreedSix)
            .Select(f => (f.Fact == ModelFact.FreedTwelve ? Side.Twelve : Side.Six, Enum.TryParse<FreedLink>(f.Value, out var link) ? link : FreedLink.Hearsay, f.Pieces))];

    /// <summary>The bracelet's sheet as the model has it; null where its links are not known.</summary>
    public OwnBracelet? Bracelet => this[ModelFact.Twelve] is not { } twelve || this[ModelFact.Six] is not { } six ? null : new OwnBracelet(
        twelve, six,
        HalfPitch: LengthOf(ModelFact.HalfPitch),
        ClaspName: this[ModelFact.ClaspName] ?? "fold-over",
        ClaspTwelve: LengthOf(ModelFact.ClaspTwelve),
        ClaspSix: LengthOf(ModelFact.ClaspSix),
        MicroSide: Enum.TryParse<Side>(this[ModelFact.MicroSide], out var side) ? side : Side.Twelve,
        Positions: int.TryParse(this[ModelFact.Positions], System.Globalization.CultureInfo.InvariantCulture, out var positions) ? positions : 1,
        Step: LengthOf(ModelFact.Step),
        Fastener: Enum.TryParse<Fastener>(this[ModelFact.Fastener], out var fastener) ? fastener : null);

    /// <summary>What a bracelet's sheet says of its model.</summary>
    /// <param name="bracelet">The sheet.</param>
    public static IReadOnlyList<(ModelFact Fact, string Value)> FactsOf(OwnBracelet bracelet)
    {
        (ModelFact, string?)[] all = bracelet.Twelve.Length + bracelet.Six.Length == 0 ? [] :
        [
            (ModelFact.Twelve, bracelet.Twelve), (ModelFact.Six, bracelet.Six), (ModelFact.HalfPitch, bracelet.HalfPitch is { } half ? Text(half) : null),
            (ModelFact.ClaspName, bracelet.ClaspName), (ModelFact.ClaspTwelve, bracelet.ClaspTwelve is { } one ? Text(one) : null), (ModelFact.ClaspSix, bracelet.ClaspSix is { } other ? Text(other) : null),
            (ModelFact.MicroSide, bracelet.MicroSide.ToString()), (ModelFact.Positions, bracelet.Positions.ToString(System.Globalization.CultureInfo.InvariantCulture)),
            (ModelFact.Step, bracelet.Step is { } step ? Text(step) : null), (ModelFact.Fastener, bracelet.Fastener?.ToString()),
        ];
        return [.. all.Where(f => f.Item2 is { Length: > 0 }).Select(f => (f.Item1, f.Item2!))];
    }

    private static string Text(Length length) => length.Millimetres.ToString("0.###", System.Globalization.CultureInfo.InvariantCulture);

    private Length? LengthOf(ModelFact fact) =>
        decimal.TryParse(this[fact], System.Globalization.NumberStyles.Number, System.Globalization.CultureInfo.InvariantCulture, out var mm) ? Length.FromMillimetres(mm) : null;
}

/// <summary>What the shop knows of a model.</summary>
/// <param name="Id">Its number; 0 before it is stored.</param>
/// <param name="Name">Its name.</param>
/// <param name="Note">What was noted of it: usual trouble, tools that fitted.</param>
/// <param name="Editions">Its editions, at least one.</param>
public sealed record ModelSheet(long Id, string Name, string Note, IReadOnlyList<EditionSheet> Editions);
