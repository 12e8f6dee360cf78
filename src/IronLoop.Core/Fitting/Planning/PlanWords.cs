using System.Globalization;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>Says a plan in a fitter's words: what to do, what it leaves, why not one link more.</summary>
public static class PlanWords
{
    /// <summary>What to do and why.</summary>
    internal static string Say(PlanRequest request, Plan plan, Reach reach)
    {
        var words = new List<string>();
        if (plan.Figures.Misfit > Length.Zero)
        {
            words.Add(NothingFits(request, plan, reach));
            words.AddRange(Cures(request));
        }
        words.Add(WhatToDo(request, plan) + ".");
        words.AddRange(WhatIsAmiss(request, plan.Figures));
        if (plan.Figures.TwiceWander > Length.Zero && FreedAtTheClasp(request, plan.Figures) is { } look)
            words.Add(look);
        if (plan.Figures.Misfit == Length.Zero && WhyNotAnother(request, plan) is { } why)
            words.Add(why);
        return string.Join(' ', words);
    }

    /// <summary>The other side.</summary>
    public static Side Other(Side side) => side == Side.Twelve ? Side.Six : Side.Twelve;

    /// <summary>What to do, as one clause: "Take 2 links out of the 12 side, micro-adjust to position 3 of 8".</summary>
    public static string WhatToDo(PlanRequest request, Plan plan)
    {
        var acts = new List<string>();
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            foreach (var count in plan.On(side))
            {
                var before = request.Bracelet.On(side).Count(l => l.Removable && l.KindOn(side) == count.Kind);
                if (count.Count < before)
                    acts.Add($"take {Links(before - count.Count, count.Kind)} out of the {Name(side)} side");
                else if (count.Count > before)
                    acts.Add($"put {Links(count.Count - before, count.Kind)} into the {Name(side)} side");
            }
        }
        if (request.Clasp.Positions > 1)
        {
            acts.Add(plan.Position == request.Clasp.Position
                ? $"leave the micro-adjust in position {plan.Position + 1} of {request.Clasp.Positions}"
                : $"move the micro-adjust to position {plan.Position + 1} of {request.Clasp.Positions}");
        }
        var said = acts.Count == 0 ? "leave everything as it is" : string.Join(", ", acts);
        return char.ToUpperInvariant(said[0]) + said[1..];
    }

    /// <summary>What another plan trades against the recommended one: what is better, then what it costs.</summary>
    /// <param name="request">What is wanted.</param>
    /// <param name="recommended">The plan that ranks first.</param>
    /// <param name="other">The other.</param>
    public static string Trade(PlanRequest request, PlanFigures recommended, PlanFigures other)
    {
        var (better, worse) = (new List<string>(), new List<string>());
        void Weigh(Length ours, Length theirs, string less, string more)
        {
            if (theirs != ours)
                (theirs < ours ? better : worse).Add($"{(theirs - ours).Abs().ToTenths()} {(theirs < ours ? less : more)}");
        }
        Length OffTarget(PlanFigures f) => (f.Length - request.Target.Length).Abs();
        Length OffWish(PlanFigures f) => new((f.TwiceOffCentre - 2 * request.Centring.Desired).Abs().Micrometres / 2);
        Weigh(OffTarget(recommended), OffTarget(other), "nearer the length wanted", "further from the length wanted");
        Weigh(OffWish(recommended), OffWish(other), "nearer the middle", "further off the middle");
        Weigh(recommended.Shortfall, other.Shortfall, "more reserve", "less reserve");
        var moved = other.LinksMoved - recommended.LinksMoved;
        if (moved != 0)
            (moved < 0 ? better : worse).Add($"{Math.Abs(moved).ToString(CultureInfo.InvariantCulture)} {(moved < 0 ? "fewer" : "more")} {(Math.Abs(moved) == 1 ? "link" : "links")} moved");
        if (other.Misfit > recommended.Misfit)
            worse.Insert(0, $"{other.Misfit.ToTenths()} outside what can be worn");
        return (better.Count, worse.Count) switch
        {
            (0, 0) => "As good.",
            (_, 0) => $"{string.Join(", ", better)}.",
            (0, _) => $"Only {string.Join(", ", worse)}.",
            _ => $"{string.Join(", ", better)}; but {string.Join(", ", worse)}.",
        };
    }

    /// <summary>The side's name on the bench.</summary>
    public static string Name(Side side) => side == Side.Twelve ? "12" : "6";

    private static string SomeOrNothing(Length length) => length == Length.Zero ? "nothing" : length.ToTenths();

    private static string Links(int count, LinkKind kind) => $"{count} {(count == 1 ? "link" : "links")} of {kind}";

    private static string NothingFits(PlanRequest request, Plan plan, Reach reach)
    {
        var loose = plan.Figures.Length > request.Target.Length;
        var said = $"No arrangement can be worn: the nearest is {plan.Figures.Misfit.ToTenths()} too {(loose ? "loose" : "tight")}.";
        return reach.GapAt(request.Target.Length, request.Target.Window) switch
        {
            ({ } below, { } above) => $"{said} Centred, the loop comes to {below.ToTenths()} or {above.ToTenths()} and nothing between; {request.Target.Length.ToTenths()} is wanted.",
            ({ } below, null) => $"{said} Centred, the longest is {below.ToTenths()}; {request.Target.Length.ToTenths()} is wanted.",
            (null, { } above) => $"{said} Centred, the shortest is {above.ToTenths()}; {request.Target.Length.ToTenths()} is wanted.",
            _ => said,
        };
    }

    /// <summary>Tries what usually closes a gap: a half link, then spare links, one after another.</summary>
    private static IEnumerable<string> Cures(PlanRequest request)
    {
        var pitches = request.Bracelet.Twelve.Concat(request.Bracelet.Six).Select(l => l.Pitch).ToList();
        if (pitches.Count == 0)
            yield break;
        var usual = pitches.GroupBy(p => p).OrderByDescending(g => g.Count()).ThenBy(g => g.Key).First().Key;
        var half = usual.Half();
        if (FitRanges.Pitch.Holds(half) && Closes(request, new SpareLinks(half, 1)))
        {
            yield return $"A half link of {half} would close the gap.";
            yield break;
        }
        for (var count = 1; count <= 8; count++)
        {
            if (Closes(request, new SpareLinks(usual, count)))
            {
                yield return $"{Links(count, new LinkKind(usual))} more would close the gap.";
                yield break;
            }
        }
        yield return "Neither a half link nor spare links close the gap; look at another clasp.";
    }

    private static bool Closes(PlanRequest request, SpareLinks spare) =>
        Planner.Recommend(request with { Spares = [.. request.Spares, spare] }).Figures.Misfit == Length.Zero;

    private static IEnumerable<string> WhatIsAmiss(PlanRequest request, PlanFigures figures)
    {
        if (figures.TwiceWander > Length.Zero)
        {
            var offCentre = Math.Round(figures.OffCentreMillimetres, 1, MidpointRounding.AwayFromZero);
            yield return string.Create(CultureInfo.InvariantCulture,
                $"The clasp sits {Math.Abs(offCentre):0.0} mm toward the {(offCentre > 0 ? "6" : "12")} side.");
        }
        if (request.Clasp.Positions == 1)
            yield return "This clasp has no micro-adjust, so nothing is left for hot or cold days.";
        else if (figures.Tighter < request.Reserve.Tighter)
            yield return $"It leaves {SomeOrNothing(figures.Tighter)} to tighten where {request.Reserve.Tighter.ToTenths()} is wanted.";
        else if (figures.Looser < request.Reserve.Looser)
            yield return $"It leaves {SomeOrNothing(figures.Looser)} to loosen where {request.Reserve.Looser.ToTenths()} is wanted.";
    }

    /// <summary>A clasp that drifts because a side has no more links that come out: whether its last link, freed at the clasp's joint, would centre it better.</summary>
    private static string? FreedAtTheClasp(PlanRequest request, PlanFigures figures)
    {
        var side = figures.TwiceOffCentre > 2 * request.Centring.Desired ? Side.Twelve : Side.Six;
        if (request.Bracelet.On(side) is not [_, .., { Removable: false } last])
            return null;
        Link[] freed = [.. request.Bracelet.On(side).SkipLast(1), last with { Removable = true }];
        var bracelet = side == Side.Twelve ? request.Bracelet with { Twelve = freed } : request.Bracelet with { Six = freed };
        var better = Planner.Recommend(request with { Bracelet = bracelet }).Figures;
        return better.Misfit > figures.Misfit || better.TwiceWander >= figures.TwiceWander ? null
            : $"Look at the clasp’s joint on the {Name(side)} side before its last link is called fixed: freed there, it would sit {Centred(better)}.";
    }

    private static string Centred(PlanFigures figures) => figures.TwiceWander == Length.Zero
        ? "in the middle"
        : string.Create(CultureInfo.InvariantCulture, $"only {Math.Abs(Math.Round(figures.OffCentreMillimetres, 1, MidpointRounding.AwayFromZero)):0.0} mm off");

    /// <summary>What one link less would come to at its best position: one more out, or one of those that come not put in.</summary>
    private static string? WhyNotAnother(PlanRequest request, Plan plan)
    {
        var came = ((Side[])[Side.Twelve, Side.Six]).SelectMany(s => plan.On(s).Select(c => (Side: s, Count: c, Joins: c.Count - request.Bracelet.On(s).Count(l => l.Removable && l.KindOn(s) == c.Kind))))
            .Where(c => c.Joins > 0).OrderByDescending(c => c.Joins).FirstOrDefault();
        var side = came.Joins > 0 ? came.Side : plan.Twelve.Sum(c => c.Count) > plan.Six.Sum(c => c.Count) ? Side.Twelve : Side.Six;
        var candidate = came.Joins > 0 ? came.Count : plan.On(side).Where(c => c.Count > 0).OrderByDescending(c => c.Count).FirstOrDefault();
        if (candidate.Count == 0)
            return null;
        var (clasp, out12) = (request.Clasp, side == Side.Twelve ? candidate.Pitch : Length.Zero);
        // Both half loops, less what the clasp makes of them, are the links.
        var links12 = (plan.Figures.Length + plan.Figures.TwiceOffCentre).Half() - clasp.Half(Side.Twelve, Length.Zero, plan.Position) - out12;
        var links6 = (plan.Figures.Length - plan.Figures.TwiceOffCentre).Half() - clasp.Half(Side.Six, Length.Zero, plan.Position) - (candidate.Pitch - out12);
        var another = Enumerable.Range(0, clasp.Positions).Select(p => PlanFigures.Judge(request, links12, links6, p, plan.Figures.LinksMoved + 1))
            .MinBy(f => (f.Length - request.Target.Length).Abs());
        var with = came.Joins switch { > 1 => $"With one link fewer put into the {Name(side)} side it", 1 => "Without it the loop", _ => $"One link more out of the {Name(side)} side" };
        if (another.Misfit > Length.Zero)
            return $"{with} would be {another.Misfit.ToTenths()} too tight at the loosest position.";
        if (another.Looser < request.Reserve.Looser)
            return another.Looser == Length.Zero ? $"{with} would leave no room to loosen." : $"{with} would leave only {another.Looser.ToTenths()} to loosen.";
        return null;
    }
}
