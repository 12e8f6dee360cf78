using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>A band on the shelf, with what ranking looks at.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Band">What it is.</param>
/// <param name="PriceCents">Its price.</param>
/// <param name="InStock">How many there are.</param>
public readonly record struct Shelved(long Id, Band Band, long PriceCents, int InStock);

/// <summary>What the list is narrowed to; null where anything goes.</summary>
/// <param name="Kind">Kind of band.</param>
/// <param name="Material">Material.</param>
/// <param name="Finish">Finish.</param>
/// <param name="Colour">Colour.</param>
/// <param name="MostCents">Price at most.</param>
/// <param name="InStock">Only what is in stock.</param>
/// <param name="Verdict">Only bands of this verdict.</param>
public sealed record ShelfFilter(
    BandKind? Kind = null, BandMaterial? Material = null, string? Finish = null, string? Colour = null, long? MostCents = null, bool InStock = false,
    Verdict? Verdict = null)
{
    internal bool Lets(in Shelved shelved, int free) =>
        (Kind is null || shelved.Band.Facts.Kind == Kind)
        && (Material is null || shelved.Band.Facts.Material == Material)
        && (Finish is null || string.Equals(shelved.Band.Facts.Finish, Finish, StringComparison.OrdinalIgnoreCase))
        && (Colour is null || string.Equals(shelved.Band.Facts.Colour, Colour, StringComparison.OrdinalIgnoreCase))
        && (MostCents is null || shelved.PriceCents <= MostCents)
        && (!InStock || free > 0);
}

/// <summary>A band found on the shelf.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Verdict">Its verdict.</param>
/// <param name="Reserve">What is left the lesser way.</param>
public readonly record struct Found(long Id, Verdict Verdict, Length Reserve);

/// <summary>The answer to a look along the shelf.</summary>
/// <param name="Best">The best of what was asked for, best first.</param>
/// <param name="NearestMisses">Bands that only one rule keeps from going on, nearest first.</param>
/// <param name="Counts">How many bands there are of each verdict.</param>
public sealed record ShelfAnswer(IReadOnlyList<Found> Best, IReadOnlyList<Found> NearestMisses, IReadOnlyDictionary<Verdict, int> Counts);

/// <summary>
/// All bands of a shop, made ready for questions: bands of equal facts are judged once, and what a bracelet can make is
/// worked out beforehand.
/// </summary>
public sealed class Shelf
{
    private readonly Shelved[] _bands;
    private readonly int[] _factsOf;
    private readonly BandFacts[] _facts;
    private readonly ShelfReach?[] _reach;

    private Shelf(Shelved[] bands, int[] factsOf, BandFacts[] facts, ShelfReach?[] reach) =>
        (_bands, _factsOf, _facts, _reach) = (bands, factsOf, facts, reach);

    /// <summary>How many bands there are.</summary>
    public int Count => _bands.Length;

    /// <summary>Makes a shelf of bands.</summary>
    public static Shelf Of(IEnumerable<Shelved> bands)
    {
        var all = bands.ToArray();
        var facts = new List<BandFacts>();
        var seen = new Dictionary<BandFacts, int>();
        var factsOf = new int[all.Length];
        var reaches = new Dictionary<string, ShelfReach>(StringComparer.Ordinal);
        var reach = new ShelfReach?[all.Length];
        for (var i = 0; i < all.Length; i++)
        {
            var worn = all[i].Band.FactsWorn(PullThroughWay.Double);
            if (!seen.TryGetValue(worn, out var at))
            {
                seen[worn] = at = facts.Count;
                facts.Add(worn);
            }
            factsOf[i] = at;
            if (all[i].Band.Links is null)
                continue;
            // Bracelets that differ in width or finish alone share what they can make.
            var key = KeyOf(all[i].Band);
            if (!reaches.TryGetValue(key, out var made))
                reaches[key] = made = ShelfReach.Of(all[i].Band);
            reach[i] = made;
        }
        return new Shelf(all, factsOf, [.. facts], reach);
    }

    /// <summary>Looks along the shelf for a job.</summary>
    /// <param name="figures">What was gauged.</param>
    /// <param name="house">What the shop has.</param>
    /// <param name="filter">What the list is narrowed to.</param>
    /// <param name="skip">How many of the best are passed over: earlier pages.</param>
    /// <param name="take">How many are wanted.</param>
    /// <param name="spokenFor">How many of each band other jobs have chosen.</param>
    public ShelfAnswer Find(
        Figures figures, House house, ShelfFilter filter, int skip, int take, IReadOnlyDictionary<long, int>? spokenFor = null)
    {
        var judged = JudgeFacts(figures, house);
        var targets = new Targets(figures);
        var counts = new int[Enum.GetValues<Verdict>().Length];
        var best = new PriorityQueue<Found, Place>(Place.WorstFirst);
        var misses = new PriorityQueue<Found, Place>(Place.WorstFirst);
        for (var i = 0; i < _bands.Length; i++)
        {
            ref readonly var shelved = ref _bands[i];
            var free = shelved.InStock - (spokenFor?.GetValueOrDefault(shelved.Id) ?? 0);
            if (!filter.Lets(shelved, free))
                continue;
            var (verdict, refusals, isCompromise) = judged[_factsOf[i]];
            var (wearer, reserve, missing) = Wearer(shelved.Band, _reach[i], targets);
            var whole = wearer > verdict ? wearer : verdict;
            counts[(int)whole]++;
            var place = new Place(whole, reserve.Micrometres, isCompromise, free > 0, shelved.PriceCents, i);
            if (filter.Verdict is null || filter.Verdict == whole)
                Keep(best, new Found(shelved.Id, whole, reserve), place, skip + take);
            if (whole == Verdict.No && refusals + (wearer == Verdict.No ? 1 : 0) == 1)
                Keep(misses, new Found(shelved.Id, whole, reserve), place with { Reserve = -missing.Micrometres }, 5);
        }
        return new ShelfAnswer(
            [.. BestFirst(best).Skip(skip)],
            BestFirst(misses),
            Enum.GetValues<Verdict>().ToDictionary(v => v, v => counts[(int)v]));
    }

    private (Verdict Verdict, int Refusals, bool LooksDifferent)[] JudgeFacts(Figures figures, House house)
    {
        var judged = new (Verdict, int, bool)[_facts.Length];
        var (watch, wearer) = (figures.Watch, figures.Wearer);
        Parallel.For(0, _facts.Length, i =>
        {
            var rules = BandToWatch.Judge(watch, _facts[i], wearer, house.Bars, house.Limits);
            judged[i] = (new Judgement(rules).Verdict, rules.Count(r => r.Verdict == Verdict.No),
                rules.Any(r => r.Rule == FinishRule.Name && r.Verdict == Verdict.Compromise));
        });
        return judged;
    }

    private static (Verdict Verdict, Length Reserve, Length Missing) Wearer(Band band, ShelfReach? reach, Targets targets)
    {
        if (targets.Of(band) is not var (target, window))
            return (Verdict.Unknown, Length.Zero, Length.Zero);
        if (reach is not null)
        {
            return reach.Reserve(target, window) is { } left
                ? (left > Length.Zero ? Verdict.Fits : Verdict.Compromise, left, Length.Zero)
                : (Verdict.No, Length.Zero, reach.Count == 0 ? window : reach.Missing(target, window));
        }
        if (band.Holed(targets.BareHead) is not { } holed)
            return (Verdict.Unknown, Length.Zero, Length.Zero);
        var wanted = new FitTarget(target, window, Length.Zero);
        var nearest = holed.Nearest(wanted);
        if (nearest.Misfit > Length.Zero)
            return (Verdict.No, Length.Zero, nearest.Misfit);
        // The nearest may be at an end while another, still inside the window, is not: the one nearest the middle leaves most.
        var within = holed.Step > Length.Zero ? (int)(2 * window.Micrometres / holed.Step.Micrometres) + 1 : 0;
        var best = Length.Zero;
        for (var hole = Math.Max(0, nearest.Hole - within); hole <= Math.Min(holed.Holes - 1, nearest.Hole + within); hole++)
        {
            var fit = holed.In(hole, wanted);
            if (fit is { Misfit.Micrometres: 0, KeepersHold: true })
                best = Length.Max(best, fit.Tighter < fit.Looser ? fit.Tighter : fit.Looser);
        }
        if (best > Length.Zero)
            return (Verdict.Fits, best, Length.Zero);
        return (Verdict.Compromise, Length.Zero, Length.Zero);
    }

    private static void Keep(PriorityQueue<Found, Place> kept, Found found, Place place, int most)
    {
        if (kept.Count < most)
            kept.Enqueue(found, place);
        else if (most > 0)
            kept.EnqueueDequeue(found, place);
    }

    private static List<Found> BestFirst(PriorityQueue<Found, Place> kept)
    {
        var list = new List<Found>(kept.Count);
        while (kept.TryDequeue(out var found, out _))
            list.Add(found);
        list.Reverse();
        return list;
    }

    private static string KeyOf(Band band) =>
        $"{LinkRowText.Print(band.Links!.Twelve)}|{LinkRowText.Print(band.Links.Six)}|{band.Clasp}|{string.Join(',', band.Spares)}";

    /// <summary>A place in the order: verdict; reserve; finish; in stock; price; then as shelved.</summary>
    private readonly record struct Place(Verdict Verdict, long Reserve, bool LooksDifferent, bool InStock, long PriceCents, int Ordinal)
    {
        /// <summary>The worst first, so that it is the one to be pushed out.</summary>
        public static IComparer<Place> WorstFirst { get; } = Comparer<Place>.Create(static (a, b) =>
        {
            var order = b.Verdict.CompareTo(a.Verdict);
            if (order == 0) order = a.Reserve.CompareTo(b.Reserve);
            if (order == 0) order = b.LooksDifferent.CompareTo(a.LooksDifferent);
            if (order == 0) order = a.InStock.CompareTo(b.InStock);
            if (order == 0) order = b.PriceCents.CompareTo(a.PriceCents);
            return order != 0 ? order : b.Ordinal.CompareTo(a.Ordinal);
        });
    }

    /// <summary>The length wanted hangs on the band's thickness and on what it raises the head by: each is worked out once.</summary>
    private sealed class Targets(Figures figures)
    {
        private readonly Dictionary<(long Pivot, long Raise), (Length Target, Length Window)?> _known = [];

        public Head? BareHead { get; } = figures.BareHead;

        public (Length Target, Length Window)? Of(Band band)
        {
            var raise = band.Raise(PullThroughWay.Double);
            var key = (band.PivotHeight.Micrometres, raise.Micrometres);
            if (!_known.TryGetValue(key, out var target))
            {
                var wanted = (figures with { Raise = raise }).Target(band.PivotHeight);
                _known[key] = target = wanted is { } known ? (known.Length, known.Window) : null;
            }
            return target;
        }
    }
}
