namespace IronLoop.Core.Joints;

/// <summary>A link in its row.</summary>
/// <param name="Like">What it is called: those of one name are alike.</param>
/// <param name="MayLeave">Whether it may leave: not a permanent link, an end piece, or one never to take.</param>
public readonly record struct RowLink(string Like, bool MayLeave);

/// <summary>A joint of a row, the one at the case first, the clasp's last.</summary>
/// <param name="Opens">Whether it can be opened.</param>
/// <param name="IsOpenAnyway">Whether it is open in this round whatever leaves, so that it costs nothing.</param>
/// <param name="Fastener">What holds it.</param>
public readonly record struct RowJoint(bool Opens, bool IsOpenAnyway, Fastener Fastener);

/// <summary>A run of links that leaves a row.</summary>
/// <param name="From">Its first link, 0 at the case.</param>
/// <param name="To">Its last link.</param>
public readonly record struct Run(int From, int To);

/// <summary>Which joints of one side are opened.</summary>
/// <param name="Out">The runs that leave, from the case.</param>
/// <param name="InAt">The joint at which links go in: the one on the case side of the gap; null when none do.</param>
/// <param name="AreMates">Whether every pair of ends that meets anew is known to fit; else they are offered up first.</param>
/// <param name="Joints">How many joints are opened that would not be open anyway.</param>
public sealed record RunChoice(IReadOnlyList<Run> Out, int? InAt, bool AreMates, int Joints);

/// <summary>
/// Chooses which links leave a row and where others go in: ends that fit before ends that may not, one run before several, inside
/// the links before at the clasp (or as the house has it), fewest joints, easiest fastener, nearest the clasp.
/// </summary>
public sealed class Runs
{
    private readonly IReadOnlyList<RowLink> _row;
    private readonly IReadOnlyList<RowJoint> _joints;
    private readonly IReadOnlyList<string> _in;
    private readonly bool _atClasp;
    private readonly HashSet<(string, string)> _mates = [];
    private readonly string[] _kinds;
    private readonly Dictionary<(int At, int Left, bool Inserted), (Cost Cost, Step? Step)?> _best = [];

    private Runs(IReadOnlyList<RowLink> row, IReadOnlyList<RowJoint> joints, IReadOnlyDictionary<string, int> leave, IReadOnlyList<string> join, bool atClasp)
    {
        (_row, _joints, _in, _atClasp) = (row, joints, join, atClasp);
        _kinds = [.. leave.Keys.Order(StringComparer.Ordinal)];
        for (var i = 0; i + 1 < row.Count; i++)
            _mates.Add((row[i].Like, row[i + 1].Like));
        foreach (var like in row.Where(l => l.MayLeave).Select(l => l.Like).Concat(join))
            _mates.Add((like, like));
    }

    /// <summary>Chooses for one side.</summary>
    /// <param name="row">The links as they lie, from the case.</param>
    /// <param name="joints">One more than there are links: at the case, between each two, at the clasp.</param>
    /// <param name="leave">How many of each name leave.</param>
    /// <param name="join">What goes in, from the case.</param>
    /// <param name="atClasp">Whether the house opens at the clasp.</param>
    /// <returns>Null when it cannot be done: a joint that has to be opened does not open, or there are not so many.</returns>
    public static RunChoice? Choose(
        IReadOnlyList<RowLink> row, IReadOnlyList<RowJoint> joints, IReadOnlyDictionary<string, int> leave, IReadOnlyList<string> join, bool atClasp)
    {
        if (joints.Count != row.Count + 1)
            throw new ArgumentException("A row has one joint more than links.", nameof(joints));
        var runs = new Runs(row, joints, leave, join, atClasp);
        var code = runs._kinds.Aggregate(0, (left, kind) => left * 64 + leave[kind]);
        if (runs.Best(0, code, join.Count == 0) is not { } best)
            return null;
        var (outs, inAt) = (new List<Run>(), (int?)null);
        var (at, rest, inserted) = (0, code, join.Count == 0);
        while (runs.Best(at, rest, inserted) is { Step: { } step })
        {
            if (step.Run is { } run)
                outs.Add(run);
            if (step.Inserts)
                inAt = at;
            (at, rest, inserted) = (step.Next, step.Left, inserted || step.Inserts);
        }
        return new RunChoice(outs, inAt, best.Cost.Strangers == 0, best.Cost.Joints);
    }

    /// <summary>What a choice costs, the first figure before the next.</summary>
    private readonly record struct Cost(int SaidElsewhere, int Strangers, int Runs, int OffSchool, int Joints, int Trouble, int Far)
    {
        public static Cost operator +(Cost a, Cost b) => new(
            a.SaidElsewhere + b.SaidElsewhere, a.Strangers + b.Strangers, a.Runs + b.Runs, a.OffSchool + b.OffSchool, a.Joints + b.Joints, Math.Max(a.Trouble, b.Trouble), a.Far + b.Far);

        public bool IsLessThan(Cost other) =>
            (SaidElsewhere, Strangers, Runs, OffSchool, Joints, Trouble, Far)
                .CompareTo((other.SaidElsewhere, other.Strangers, other.Runs, other.OffSchool, other.Joints, other.Trouble, other.Far)) < 0;
    }

    private sealed record Step(Run? Run, bool Inserts, int Next, int Left);

    /// <summary>
    /// The best from a link on, the one before it staying: it stays, or a run leaves that begins with it, and others go in before it
    /// or in the run's place.
    /// </summary>
    private (Cost Cost, Step? Step)? Best(int at, int left, bool inserted)
    {
        if (_best.TryGetValue((at, left, inserted), out var known))
            return known;
        (Cost Cost, Step? Step)? best = null;
        void Try(Cost cost, Step step)
        {
            if (Best(step.Next, step.Left, inserted || step.Inserts) is { } rest && (best is null || (cost + rest.Cost).IsLessThan(best.Value.Cost)))
                best = (cost + rest.Cost, step);
        }
        if (at < _row.Count)
        {
            Try(default, new Step(null, false, at + 1, left));
            if (!inserted && CostOf(null, at, at, inserts: true) is { } inCost)
                Try(inCost, new Step(null, true, at + 1, left));
            var rest = left;
            for (var to = at; to < _row.Count && _row[to].MayLeave && Without(rest, _row[to].Like) is { } fewer; to++)
            {
                rest = fewer;
                // What follows a run stays, so that two runs are never one.
                var next = Math.Min(to + 2, _row.Count + 1);
                if (CostOf(new Run(at, to), at, to + 1, inserts: false) is { } cost)
                    Try(cost, new Step(new Run(at, to), false, next, rest));
                if (!inserted && CostOf(new Run(at, to), at, to + 1, inserts: true) is { } both)
                    Try(both, new Step(new Run(at, to), true, next, rest));
            }
        }
        else if (at == _row.Count && !inserted && CostOf(null, at, at, inserts: true) is { } atTheClasp)
        {
            Try(atTheClasp, new Step(null, true, at + 1, left));
        }
        if (left == 0 && inserted && at >= _row.Count && best is null)
            best = (default, null);
        _best[(at, left, inserted)] = best;
        return best;
    }

    /// <summary>What a gap costs that is opened from a joint to a joint; null when it cannot be.</summary>
    private Cost? CostOf(Run? run, int from, int to, bool inserts)
    {
        int[] opened = from == to ? [from] : [from, to];
        if (opened.Any(j => !_joints[j].Opens || j == 0))
            return null;
        var (left, right) = (_row[from - 1].Like, to < _row.Count ? _row[to].Like : null);
        var strangers = 0;
        if (!inserts)
            strangers = Fit(left, right, from, to) ? 0 : 1;
        else
        {
            strangers += Fit(left, _in[0], from, from) ? 0 : 1;
            strangers += Fit(_in[^1], right, to, to) ? 0 : 1;
        }
        var paid = opened.Where(j => !_joints[j].IsOpenAnyway).ToList();
        var atClasp = opened.Contains(_row.Count);
        // Whoever says "at the clasp" means it, and offers the ends up; else the clasp's joint is left where any run inside will do.
        return new Cost(
            _atClasp && !atClasp ? 1 : 0, strangers, run is null ? 0 : 1, !_atClasp && atClasp && !_joints[_row.Count].IsOpenAnyway ? 1 : 0, paid.Count, paid.Count == 0 ? 0 : paid.Max(j => _joints[j].Fastener.Trouble()), _row.Count - to);
    }

    /// <summary>
    /// Whether two ends that meet anew are known to fit: links of names that were joined; a link at the clasp only where one of its
    /// name was joined there, by the fastener that its own joint has. Two joints held differently leave ends that are no mates.
    /// </summary>
    private bool Fit(string left, string? right, int from, int to)
    {
        // Inside the links all joints are of one group, looked at or not.
        if (right is not null)
            return _mates.Contains((left, right)) && _joints[from].Fastener == _joints[to].Fastener;
        var own = _joints[from < _row.Count ? from : Math.Max(from - 1, 0)].Fastener;
        return left == _row[^1].Like && own == _joints[^1].Fastener && own != Fastener.NotLookedAt;
    }

    private int? Without(int left, string like)
    {
        var at = Array.IndexOf(_kinds, like);
        if (at < 0)
            return null;
        var unit = 1;
        for (var i = _kinds.Length - 1; i > at; i--)
            unit *= 64;
        return left / unit % 64 > 0 ? left - unit : null;
    }
}
