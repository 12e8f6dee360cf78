using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>A figure that is open, and what it usually is.</summary>
/// <param name="Figure">Which.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Range">What is usual.</param>
/// <param name="MoreIsBetter">Whether a greater one makes the verdict better; if not, it makes it worse.</param>
internal sealed record OpenRange(OpenFigure Figure, string Name, UsualRange Range, bool MoreIsBetter);

/// <summary>
/// Asks a rule over what its open figures usually are. Every rule gets only better, or only worse, along each of its figures: so the ends tell
/// what it comes to at all, and between two points with one verdict there is no other.
/// </summary>
internal sealed class OverRange
{
    // Of two open figures one is gone through in so many equal shares, the other exactly.
    private const int Shares = 40;

    private readonly IReadOnlyList<OpenRange> _open;
    private readonly Func<Length, Length, Verdict> _find;

    private OverRange(IReadOnlyList<OpenRange> open, Func<Length, Length, Verdict> find) => (_open, _find) = (open, find);

    /// <summary>The verdict at the middle of what is usual, with how sure it is and what would decide it.</summary>
    /// <param name="open">The open figures, one or two.</param>
    /// <param name="find">The verdict for two figures; where one is open, that one comes first and the other is not looked at.</param>
    /// <param name="judge">The verdict in words, and with its work, for the middle.</param>
    /// <param name="outcome">What a verdict of this rule means, in words.</param>
    public static RuleVerdict Judge(IReadOnlyList<OpenRange> open, Func<Length, Length, Verdict> find, Func<Length, Length, RuleVerdict> judge, Func<Verdict, string> outcome)
    {
        var over = new OverRange(open, find);
        var openness = over.Look();
        return judge(over.Middle(0), over.Middle(1)) with { Figure = null, Open = openness, Says = over.Say(openness, outcome) };
    }

    private Length Middle(int figure) => figure < _open.Count ? _open[figure].Range.Middle : Length.Zero;

    private Openness Look()
    {
        var (best, worst) = (Verdict.No, Verdict.Fits);
        foreach (var (first, second) in Corners())
        {
            var verdict = _find(first, second);
            (best, worst) = (verdict < best ? verdict : best, verdict > worst ? verdict : worst);
        }
        return new Openness([.. _open.Select(o => o.Figure)], best, worst, Off(), best == worst ? null : Decides());
    }

    private IEnumerable<(Length First, Length Second)> Corners()
    {
        foreach (var first in Ends(0))
            foreach (var second in Ends(1))
                yield return (first, second);
    }

    private Length[] Ends(int figure) => figure < _open.Count ? [_open[figure].Range.From, _open[figure].Range.To] : [Length.Zero];

    private double Off()
    {
        if (_open.Count == 1)
            return Off(_open[0].Range, at => _find(at, Length.Zero));
        var (from, to) = (_open[0].Range.From.Micrometres, _open[0].Range.To.Micrometres);
        return Enumerable.Range(0, Shares).Average(i =>
        {
            var first = new Length(from + (to - from) * (2 * i + 1) / (2 * Shares));
            return Off(_open[1].Range, second => _find(first, second));
        });
    }

    private static double Off(UsualRange range, Func<Length, Verdict> find)
    {
        if (range.From == range.To)
            return Off(find(range.From));
        var (off, since) = (0.0, range.From);
        foreach (var change in Changes(range, find).Append(range.To))
        {
            off += Off(find(since)) * (change - since).Micrometres;
            since = change;
        }
        return off / (range.To - range.From).Micrometres;
    }

    /// <summary>How much a verdict counts as not going on as it is.</summary>
    public static double Off(Verdict verdict) => verdict switch { Verdict.No => 1, Verdict.Work => 0.25, _ => 0 };

    /// <summary>The lengths from which on the verdict is another, ascending.</summary>
    private static List<Length> Changes(UsualRange range, Func<Length, Verdict> find)
    {
        var changes = new List<Length>();
        Between(range.From.Micrometres, find(range.From), range.To.Micrometres, find(range.To));
        return changes;

        void Between(long from, Verdict before, long to, Verdict after)
        {
            if (before == after)
                return;
            if (to - from == 1)
            {
                changes.Add(new Length(to));
                return;
            }
            var half = (from + to) / 2;
            var there = find(new Length(half));
            Between(from, before, half, there);
            Between(half, there, to, after);
        }
    }

    /// <summary>The figure most likely to change the verdict, the others at their middle; where none does there, with the others at an end.</summary>
    private Decider Decides()
    {
        foreach (var others in (Func<int, Length>[])[Middle, i => Ends(i)[0], i => Ends(i)[^1]])
        {
            var (most, decider) = (0.0, (Decider?)null);
            for (var i = 0; i < _open.Count; i++)
            {
                var figure = i;
                Verdict At(Length at) => figure == 0 ? _find(at, others(1)) : _find(others(0), at);
                var range = _open[i].Range;
                var changes = Changes(range, At);
                if (changes.Count == 0)
                    continue;
                // What lies on the other side of the changes next to the middle.
                var below = changes.LastOrDefault(c => c <= range.Middle, range.From);
                var above = changes.FirstOrDefault(c => c > range.Middle, range.To);
                var share = 1 - (double)(above - below).Micrometres / (range.To - range.From).Micrometres;
                if (share < most && decider is not null)
                    continue;
                var change = changes.MinBy(c => (c - range.Middle).Abs());
                (most, decider) = (share, new Decider(_open[i].Figure, _open[i].MoreIsBetter ? change : change - new Length(1), share));
            }
            if (decider is not null)
                return decider;
        }
        throw new InvalidOperationException("The verdict changes over what is usual, yet along none of its edges.");
    }

    private string Say(Openness openness, Func<Verdict, string> outcome)
    {
        var names = string.Join(" and ", _open.Select(o => o.Name));
        if (openness.Decides is not { At: { } at } decides)
            return $"Not checked: {names}. Wherever it usually lies, {string.Join(" and ", _open.Select(o => o.Range.ToString()))}, {outcome(openness.Best)}.";
        var (range, i) = _open.Select((o, i) => (o, i)).Single(o => o.o.Figure == decides.Figure);
        var beyond = range.MoreIsBetter ? at - new Length(1) : at + new Length(1);
        var (others, word) = (OthersAt(i, at, beyond), range.MoreIsBetter ? ("or more", "less") : ("or less", "more"));
        Verdict There(Length here) => i == 0 ? _find(here, others) : _find(others, here);
        var rest = _open.Where((_, k) => k != i).Select(o => o.Name).ToList();
        return $"{char.ToUpperInvariant(range.Name[0])}{range.Name[1..]} {at} {word.Item1}: {outcome(There(at))}; {word.Item2}: {outcome(There(beyond))}.{(rest.Count > 0 ? $" Not checked either: {string.Join(", ", rest)}." : "")}";
    }

    // The other figure where the change is.
    private Length OthersAt(int figure, Length at, Length beyond) =>
        _open.Count == 1 ? Length.Zero : ((Length[])[Middle(1 - figure), .. Ends(1 - figure)]).First(o => figure == 0 ? _find(at, o) != _find(beyond, o) : _find(o, at) != _find(o, beyond));
}
