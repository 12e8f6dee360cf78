using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Shelf;

/// <summary>A band on the shelf, with what ranking looks at.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Band">What it is.</param>
/// <param name="PriceCents">Its price.</param>
/// <param name="InStock">How many there are.</param>
/// <param name="Reach">What it can make, of a link bracelet; without it the wearer's rule is unknown.</param>
public readonly record struct Shelved(long Id, Band Band, long PriceCents, int InStock, ShelfReach? Reach = null);

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
    /// <summary>Whether it hangs on more than what bands that are alike have in common.</summary>
    internal bool IsByRow => MostCents is not null || InStock;

    internal bool Lets(BandFacts facts, BandFacts looks) =>
        (Kind is null || facts.Kind == Kind)
        && (Material is null || facts.Material == Material)
        && (Finish is null || string.Equals(looks.Finish, Finish, StringComparison.OrdinalIgnoreCase))
        && (Colour is null || string.Equals(looks.Colour, Colour, StringComparison.OrdinalIgnoreCase));

    internal bool Lets(long priceCents, int free) => (MostCents is null || priceCents <= MostCents) && (!InStock || free > 0);
}

/// <summary>A band found on the shelf.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Verdict">Its verdict.</param>
/// <param name="Reserve">What is left the lesser way.</param>
public readonly record struct Found(long Id, Verdict Verdict, Length Reserve);

/// <summary>A strap found on the shelf.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Verdict">Its verdict.</param>
/// <param name="Length">How it comes out on this wrist.</param>
public readonly record struct StrapFound(long Id, Verdict Verdict, StrapLength Length);

/// <summary>The answer to a look along the shelf.</summary>
/// <param name="Best">The best of what was asked for, best first.</param>
/// <param name="NearestMisses">Bands that only one rule keeps from going on, nearest first.</param>
/// <param name="Counts">How many bands there are of each verdict.</param>
public sealed record ShelfAnswer(IReadOnlyList<Found> Best, IReadOnlyList<Found> NearestMisses, IReadOnlyDictionary<Verdict, int> Counts);

/// <summary>
/// All bands of a shop, made ready for questions: bands that differ in number, price and stock alone lie on one heap, and are judged once. What is
/// equal of several heaps, facts, looks or lengths, is judged once for all of them. It does not change; with a band changed it is another.
/// </summary>
public sealed class BandShelf
{
    private const int MostMisses = 5;

    private readonly Heap[] _heaps;
    private readonly Dictionary<Kind, int> _heapOf;

    // Every band's number, in order, and the heap it lies on.
    private readonly long[] _ids;
    private readonly int[] _on;

    private BandShelf(Heap[] heaps, Dictionary<Kind, int> heapOf, long[] ids, int[] on) => (_heaps, _heapOf, _ids, _on) = (heaps, heapOf, ids, on);

    /// <summary>How many bands there are.</summary>
    public int Count => _ids.Length;

    /// <summary>Makes a shelf of bands; no two have one number.</summary>
    public static BandShelf Of(IEnumerable<Shelved> bands)
    {
        var (heapOf, kinds, rows, ids) = (new Dictionary<Kind, int>(), new List<Kind>(), new List<List<Row>>(), new List<(long Id, int On)>());
        var parts = new Parts();
        foreach (var shelved in bands)
        {
            var kind = parts.Of(shelved);
            if (!heapOf.TryGetValue(kind, out var heap))
            {
                heapOf[kind] = heap = kinds.Count;
                kinds.Add(kind);
                rows.Add([]);
            }
            rows[heap].Add(new Row(shelved.Id, shelved.PriceCents, shelved.InStock));
            ids.Add((shelved.Id, heap));
        }
        ids.Sort(static (a, b) => a.Id.CompareTo(b.Id));
        return new BandShelf([.. kinds.Select((kind, i) => new Heap(kind, Sorted(rows[i])))], heapOf, [.. ids.Select(b => b.Id)], [.. ids.Select(b => b.On)]);
    }

    /// <summary>The shelf with a few bands changed, added or taken away; the heaps they do not lie on are the same.</summary>
    /// <param name="changed">The bands as they are now.</param>
    /// <param name="gone">Numbers of bands that are no longer on the shelf.</param>
    public BandShelf With(IEnumerable<Shelved> changed, IReadOnlySet<long>? gone = null)
    {
        var now = changed.ToDictionary(b => b.Id);
        var (heaps, heapOf, parts) = (_heaps.ToList(), _heapOf, new Parts());
        var touched = new Dictionary<int, List<Row>>();
        List<Row> Rows(int heap) => touched.TryGetValue(heap, out var rows) ? rows : touched[heap] = [.. heaps[heap].Rows];
        var off = new HashSet<long>();
        foreach (var id in now.Keys.Concat(gone ?? Enumerable.Empty<long>()))
            if (Array.BinarySearch(_ids, id) is >= 0 and var at && off.Add(id))
                Rows(_on[at]).RemoveAll(r => r.Id == id);
        var added = new List<(long Id, int On)>();
        foreach (var shelved in now.Values.OrderBy(b => b.Id))
        {
            var kind = parts.Of(shelved);
            if (!heapOf.TryGetValue(kind, out var heap))
            {
                if (ReferenceEquals(heapOf, _heapOf))
                    heapOf = new Dictionary<Kind, int>(_heapOf);
                heapOf[kind] = heap = heaps.Count;
                heaps.Add(new Heap(kind, []));
            }
            Rows(heap).Add(new Row(shelved.Id, shelved.PriceCents, shelved.InStock));
            added.Add((shelved.Id, heap));
        }
        foreach (var (heap, rows) in touched)
            heaps[heap] = heaps[heap] with { Rows = Sorted(rows) };
        var (ids, on) = Merged(off, added);
        return new BandShelf([.. heaps], heapOf, ids, on);
    }

    private (long[] Ids, int[] On) Merged(HashSet<long> off, List<(long Id, int On)> added)
    {
        var (ids, on) = (new long[_ids.Length - off.Count + added.Count], new int[_ids.Length - off.Count + added.Count]);
        var (to, next) = (0, 0);
        for (var i = 0; i <= _ids.Length; i++)
        {
            for (; next < added.Count && (i == _ids.Length || added[next].Id < _ids[i]); next++)
                (ids[to], on[to++]) = added[next];
            if (i == _ids.Length)
                break;
            if (!off.Contains(_ids[i]))
                (ids[to], on[to++]) = (_ids[i], _on[i]);
            else if (next < added.Count && added[next].Id == _ids[i])
                (ids[to], on[to++]) = added[next++];
        }
        return (ids, on);
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
        var judge = new Judge(figures, house);
        var counts = new int[Enum.GetValues<Verdict>().Length];
        var best = new PriorityQueue<Found, Place>(Place.WorstFirst);
        var misses = new PriorityQueue<Found, Place>(Place.WorstFirst);
        var wanted = skip + take;
        // What its width or its ends keep off comes after all the others: most of it would not be told of, whatever the wearer's rule says.
        foreach (var (heap, verdict, refusals) in judge.FactsOf(_heaps, filter).OrderBy(h => h.Verdict))
        {
            var many = filter.IsByRow ? heap.Rows.Count(r => filter.Lets(r.PriceCents, Free(r))) : heap.Rows.Length;
            if (many == 0)
                continue;
            var looksDifferent = judge.LooksDifferent(heap.Kind.Looks);
            var place = new Place(verdict, long.MaxValue, looksDifferent, true, 0, 0);
            if (verdict == Verdict.No && IsBeyond(best, place, wanted, filter.Verdict) && (refusals > 1 || IsBeyond(misses, place with { Reserve = 0 }, MostMisses)))
            {
                counts[(int)Verdict.No] += many;
                continue;
            }
            var (wearer, reserve, missing) = judge.Wearer(heap.Kind.Lengths);
            var whole = wearer > verdict ? wearer : verdict;
            if (looksDifferent && whole < Verdict.Compromise)
                whole = Verdict.Compromise;
            counts[(int)whole] += many;
            if (filter.Verdict is null || filter.Verdict == whole)
                Keep(best, heap, new Found(0, whole, reserve), place with { Verdict = whole, Reserve = reserve.Micrometres }, wanted);
            if (whole == Verdict.No && refusals + (wearer == Verdict.No ? 1 : 0) == 1)
                Keep(misses, heap, new Found(0, whole, reserve), place with { Verdict = whole, Reserve = -missing.Micrometres }, MostMisses);
        }
        return new ShelfAnswer(
            [.. BestFirst(best).Skip(skip)],
            BestFirst(misses),
            Enum.GetValues<Verdict>().ToDictionary(v => v, v => counts[(int)v]));

        int Free(Row row) => row.InStock - (spokenFor?.GetValueOrDefault(row.Id) ?? 0);

        // The rows of a heap come cheapest first: once one is pushed out, so are all after it.
        void Keep(PriorityQueue<Found, Place> kept, Heap heap, Found found, Place like, int most)
        {
            foreach (var isFree in (bool[])[true, false])
                foreach (var row in heap.Rows)
                {
                    var free = Free(row);
                    if (free > 0 != isFree || !filter.Lets(row.PriceCents, free))
                        continue;
                    var place = like with { InStock = isFree, PriceCents = row.PriceCents, Id = row.Id };
                    if (IsBeyond(kept, place, most))
                        break;
                    if (kept.Count < most)
                        kept.Enqueue(found with { Id = row.Id }, place);
                    else
                        kept.EnqueueDequeue(found with { Id = row.Id }, place);
                }
        }
    }

    /// <summary>The straps that go on and are free, the one whose middle hole is nearest to what is wanted first (fit model, section 7).</summary>
    /// <param name="figures">What was gauged.</param>
    /// <param name="house">What the shop has.</param>
    /// <param name="most">How many are wanted.</param>
    /// <param name="spokenFor">How many of each band other jobs have chosen.</param>
    public IReadOnlyList<StrapFound> Straps(Figures figures, House house, int most, IReadOnlyDictionary<long, int>? spokenFor = null)
    {
        var judge = new Judge(figures, house);
        var found = new List<StrapFound>();
        foreach (var (heap, facts, _) in judge.FactsOf(_heaps, new ShelfFilter(BandKind.TwoPiece)))
        {
            if (facts > Verdict.Compromise || heap.Kind.Lengths.Band is not { Strap: { } strap } band)
                continue;
            var verdict = (Verdict)Math.Max((int)facts, (int)judge.Wearer(heap.Kind.Lengths).Verdict);
            if (verdict > Verdict.Compromise || judge.Wanted(band) is not { } target)
                continue;
            var length = StrapLength.Of(strap, target);
            verdict = judge.LooksDifferent(heap.Kind.Looks) ? Verdict.Compromise : verdict;
            found.AddRange(heap.Rows.Where(r => r.InStock > (spokenFor?.GetValueOrDefault(r.Id) ?? 0)).OrderBy(r => r.Id).Take(most).Select(r => new StrapFound(r.Id, verdict, length)));
        }
        return [.. found.OrderBy(s => s.Length.Miss).ThenBy(s => s.Verdict).ThenBy(s => s.Id).Take(most)];
    }

    private static Row[] Sorted(List<Row> rows) => [.. rows.OrderBy(r => r.PriceCents).ThenBy(r => r.Id)];

    /// <summary>Whether a place comes after all that are kept, so that it would be pushed out at once.</summary>
    private static bool IsBeyond(PriorityQueue<Found, Place> kept, Place place, int most, Verdict? only = null) =>
        only is { } verdict && verdict != place.Verdict || kept.Count >= most && (most == 0 || kept.TryPeek(out _, out var last) && Place.WorstFirst.Compare(place, last) < 0);

    private static List<Found> BestFirst(PriorityQueue<Found, Place> kept)
    {
        var list = new List<Found>(kept.Count);
        while (kept.TryDequeue(out var found, out _))
            list.Add(found);
        list.Reverse();
        return list;
    }

    /// <summary>A band on a heap.</summary>
    private readonly record struct Row(long Id, long PriceCents, int InStock);

    /// <summary>Bands that are alike but for their number, their price and how many there are; the cheapest first.</summary>
    private sealed record Heap(Kind Kind, Row[] Rows);

    /// <summary>What the bands of a heap have in common.</summary>
    private readonly record struct Kind(BandFacts Facts, BandFacts Looks, Lengths Lengths);

    /// <summary>What hangs on a wearer: how long a band can be made, and how high it lies. Bands that are alike in that are told by one of them.</summary>
    private sealed class Lengths(Band band, ShelfReach? reach) : IEquatable<Lengths>
    {
        private readonly (Length Pivot, Length Raise, object? Holes) _shape =
            (band.PivotHeight, band.Raise(PullThroughWay.Double), (object?)band.Strap ?? (object?)band.OnePiece ?? band.Mesh);

        public Band Band => band;

        public ShelfReach? Reach => reach;

        public bool Equals(Lengths? other) => other is not null && ReferenceEquals(reach, other.Reach) && _shape.Equals(other._shape);

        public override bool Equals(object? obj) => Equals(obj as Lengths);

        public override int GetHashCode() => HashCode.Combine(_shape, reach);
    }

    /// <summary>Makes what is equal one and the same, so that it is judged once.</summary>
    private sealed class Parts
    {
        private readonly Dictionary<BandFacts, BandFacts> _facts = [];
        private readonly Dictionary<Lengths, Lengths> _lengths = [];

        public Kind Of(in Shelved shelved)
        {
            var worn = shelved.Band.FactsWorn(PullThroughWay.Double);
            var looks = new BandFacts(BandKind.TwoPiece, worn.Material, Length.Zero, BandAttachment.LooseBar, null, null) { Finish = worn.Finish, Colour = worn.Colour };
            return new Kind(One(_facts, worn with { Finish = null, Colour = null }), One(_facts, looks), One(_lengths, new Lengths(shelved.Band, shelved.Reach)));
        }

        private static T One<T>(Dictionary<T, T> known, T one)
            where T : notnull
        {
            if (known.TryGetValue(one, out var same))
                return same;
            known[one] = one;
            return one;
        }
    }

    /// <summary>The rules for one job, each asked once of what is equal.</summary>
    private sealed class Judge(Figures figures, House house)
    {
        private readonly WatchFacts _watch = figures.Watch;
        private readonly WearerFacts _wearer = figures.Wearer;
        private readonly WantedLengths _wanted = new(figures);
        // What is equal is mostly one and the same; where it is not, it is judged once more.
        private readonly Dictionary<BandFacts, bool> _looks = new(ReferenceEqualityComparer.Instance);
        private readonly Dictionary<Lengths, (Verdict Verdict, Length Reserve, Length Missing)> _lengths = new(ReferenceEqualityComparer.Instance);

        /// <summary>The heaps a filter lets through, with what the rules that ask for no length say of each.</summary>
        public IEnumerable<(Heap Heap, Verdict Verdict, int Refusals)> FactsOf(Heap[] heaps, ShelfFilter filter)
        {
            var let = heaps.Where(h => h.Rows.Length > 0 && filter.Lets(h.Kind.Facts, h.Kind.Looks)).ToList();
            var of = new Dictionary<BandFacts, int>(ReferenceEqualityComparer.Instance);
            foreach (var heap in let)
                of.TryAdd(heap.Kind.Facts, of.Count);
            var facts = of.Keys.ToList();
            var judged = new (Verdict Verdict, int Refusals)[facts.Count];
            Parallel.For(0, facts.Count, i =>
            {
                var rules = BandToWatch.Judge(_watch, facts[i], _wearer, house.Bars, house.Limits);
                judged[i] = (new Judgement(rules).Verdict, rules.Count(r => r.Verdict == Verdict.No));
            });
            return let.Select(h => (h, judged[of[h.Kind.Facts]].Verdict, judged[of[h.Kind.Facts]].Refusals));
        }

        public bool LooksDifferent(BandFacts looks) =>
            _looks.TryGetValue(looks, out var known) ? known : _looks[looks] = FinishRule.Judge(_watch, looks, _wearer)?.Verdict == Verdict.Compromise;

        public FitTarget? Wanted(Band band) => _wanted.Of(band, PullThroughWay.Double);

        public (Verdict Verdict, Length Reserve, Length Missing) Wearer(Lengths lengths) =>
            _lengths.TryGetValue(lengths, out var known) ? known : _lengths[lengths] = Worn(lengths.Band, lengths.Reach);

        private (Verdict Verdict, Length Reserve, Length Missing) Worn(Band band, ShelfReach? reach)
        {
            if (Wanted(band) is not { } wanted)
                return (Verdict.Unknown, Length.Zero, Length.Zero);
            var (target, window) = (wanted.Length, wanted.Window);
            if (reach is not null)
            {
                var left = reach.Reserve(target, window);
                if (left is null && reach.Count > 0 && reach.Missing(target, window) <= wanted.Sigma)
                    return (Verdict.Compromise, Length.Zero, Length.Zero);
                return (WearerRule.VerdictOf(left is not null, left > Length.Zero), left ?? Length.Zero, left is not null ? Length.Zero : reach.Count == 0 ? window : reach.Missing(target, window));
            }
            if (band.Holed(_wanted.BareHead) is not { } holed)
                return (Verdict.Unknown, Length.Zero, Length.Zero);
            var verdict = WearerRule.VerdictOf(holed, wanted);
            return (verdict, holed.Reserve(target, window) ?? Length.Zero, verdict == Verdict.No ? holed.Nearest(wanted).Misfit : Length.Zero);
        }
    }

    /// <summary>A place in the order: verdict; reserve; finish; in stock; price; then by number.</summary>
    private readonly record struct Place(Verdict Verdict, long Reserve, bool LooksDifferent, bool InStock, long PriceCents, long Id)
    {
        /// <summary>The worst first, so that it is the one to be pushed out.</summary>
        public static Comparer<Place> WorstFirst { get; } = Comparer<Place>.Create(static (a, b) =>
        {
            var order = b.Verdict.CompareTo(a.Verdict);
            if (order == 0) order = a.Reserve.CompareTo(b.Reserve);
            if (order == 0) order = b.LooksDifferent.CompareTo(a.LooksDifferent);
            if (order == 0) order = a.InStock.CompareTo(b.InStock);
            if (order == 0) order = b.PriceCents.CompareTo(a.PriceCents);
            return order != 0 ? order : b.Id.CompareTo(a.Id);
        });
    }
}
