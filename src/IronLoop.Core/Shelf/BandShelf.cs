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
/// <param name="Reach">What it can make, of a link bracelet; without it its wearer is not asked about.</param>
/// <param name="Name">What it is called.</param>
public readonly record struct Shelved(long Id, Band Band, long PriceCents, int InStock, ShelfReach? Reach = null, string Name = "");

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
    /// <summary>What a request narrows it to: who asks for mesh is offered mesh.</summary>
    public static ShelfFilter AskedBy(Request request) => new(request == Request.FitMesh ? BandKind.Mesh : null);

    /// <summary>Whether it hangs on more than what bands that are alike have in common.</summary>
    internal bool IsByRow => MostCents is not null || InStock;

    internal bool Lets(BandFacts facts) => (Kind is null || facts.Kind == Kind) && (Material is null || facts.Material == Material);

    internal bool LetsLooks(BandFacts looks) =>
        (Finish is null || string.Equals(looks.Finish, Finish, StringComparison.OrdinalIgnoreCase))
        && (Colour is null || string.Equals(looks.Colour, Colour, StringComparison.OrdinalIgnoreCase));

    internal bool Lets(long priceCents, int free) => (MostCents is null || priceCents <= MostCents) && (!InStock || free > 0);
}

/// <summary>A band found on the shelf.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Verdict">Its verdict.</param>
/// <param name="Certainty">How sure that is.</param>
/// <param name="Reserve">What is left the lesser way.</param>
/// <param name="Alike">How many more there are that are alike in all, their price with it.</param>
public readonly record struct Found(long Id, Verdict Verdict, Certainty Certainty, Length Reserve, int Alike = 0);

/// <summary>A strap found on the shelf.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Verdict">Its verdict.</param>
/// <param name="Length">How it comes out on this wrist.</param>
public readonly record struct StrapFound(long Id, Verdict Verdict, StrapLength Length);

/// <summary>The answer to a look along the shelf.</summary>
/// <param name="Best">The best of what was asked for, best first.</param>
/// <param name="NearestMisses">Bands that only one rule keeps from going on, nearest first.</param>
/// <param name="Counts">How many bands there are of each verdict; those that are alike in all count once.</param>
/// <param name="Sure">How many of them are certain, likely and unknown.</param>
public sealed record ShelfAnswer(
    IReadOnlyList<Found> Best, IReadOnlyList<Found> NearestMisses, IReadOnlyDictionary<Verdict, int> Counts, IReadOnlyDictionary<Certainty, int> Sure);

/// <summary>
/// All bands of a shop, made ready for questions: bands that differ in number, price and stock alone lie on one heap, and are judged once. What is
/// equal of several heaps, facts, looks or lengths, is judged once for all of them. It does not change; with a band changed it is another.
/// </summary>
public sealed class BandShelf
{
    private const int MostMisses = 5;

    private readonly Heap[] _heaps;
    private readonly Dictionary<Kind, int> _heapOf;

    // The heaps that matching looks at alike.
    private readonly Group[] _groups;

    // Every band's number, in order, and the heap it lies on.
    private readonly long[] _ids;
    private readonly int[] _on;

    private BandShelf(Heap[] heaps, Dictionary<Kind, int> heapOf, Group[] groups, long[] ids, int[] on) => (_heaps, _heapOf, _groups, _ids, _on) = (heaps, heapOf, groups, ids, on);

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
            rows[heap].Add(Row.Of(shelved));
            ids.Add((shelved.Id, heap));
        }
        ids.Sort(static (a, b) => a.Id.CompareTo(b.Id));
        var groups = kinds.Select((kind, i) => (kind.Facts, Heap: i)).GroupBy(k => k.Facts, ReferenceEqualityComparer.Instance).Select(g => new Group(g.First().Facts, [.. g.Select(k => k.Heap)]));
        return new BandShelf([.. kinds.Select((kind, i) => new Heap(kind, Article.Of(rows[i])))], heapOf, [.. groups], [.. ids.Select(b => b.Id)], [.. ids.Select(b => b.On)]);
    }

    /// <summary>The shelf with a few bands changed, added or taken away; the heaps they do not lie on are the same.</summary>
    /// <param name="changed">The bands as they are now.</param>
    /// <param name="gone">Numbers of bands that are no longer on the shelf.</param>
    public BandShelf With(IEnumerable<Shelved> changed, IReadOnlySet<long>? gone = null)
    {
        var now = changed.ToDictionary(b => b.Id);
        var (heaps, heapOf, groups, parts) = (_heaps.ToList(), _heapOf, _groups.ToList(), new Parts());
        var touched = new Dictionary<int, List<Row>>();
        List<Row> Rows(int heap) => touched.TryGetValue(heap, out var rows) ? rows : touched[heap] = [.. heaps[heap].Articles.SelectMany(a => a.Rows)];
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
                groups.Add(new Group(kind.Facts, [heap]));
            }
            Rows(heap).Add(Row.Of(shelved));
            added.Add((shelved.Id, heap));
        }
        foreach (var (heap, rows) in touched)
            heaps[heap] = heaps[heap] with { Articles = Article.Of(rows) };
        var (ids, on) = Merged(off, added);
        return new BandShelf([.. heaps], heapOf, [.. groups], ids, on);
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
        var (counts, sure) = (new int[Enum.GetValues<Verdict>().Length], new int[Enum.GetValues<Certainty>().Length]);
        var best = new PriorityQueue<Found, Place>(Place.WorstFirst);
        var misses = new PriorityQueue<Found, Place>(Place.WorstFirst);
        var wanted = skip + take;
        var isNoAsked = filter.Verdict is null or Verdict.No;
        // What its width keeps off comes after all the others, the nearest width first: of most of it nothing more is asked, for it would not be told of.
        foreach (var (group, known) in judge.InOrder(_groups.Where(g => filter.Lets(g.Facts))))
        {
            if (known.Refused && (!isNoAsked || IsBeyond(best, new Place(known.Standing with { Chance = 100, Reserve = long.MaxValue }, true, 0, 0), wanted))
                && (known.Refusals > 1 || IsBeyond(misses, Place.OfMiss(Length.Zero, known.Standing), MostMisses)))
            {
                var many = 0;
                foreach (var heap in group.Heaps)
                    many += Many(_heaps[heap]);
                counts[(int)Verdict.No] += many;
                sure[(int)Certainty.Certain] += many;
                continue;
            }
            var facts = known.IsWhole ? known : judge.FactsOf(group.Facts);
            foreach (var heap in group.Heaps)
                Look(_heaps[heap], facts);
        }
        return new ShelfAnswer(
            [.. BestFirst(best).Skip(skip)],
            BestFirst(misses),
            Enum.GetValues<Verdict>().ToDictionary(v => v, v => counts[(int)v]),
            Enum.GetValues<Certainty>().ToDictionary(c => c, c => sure[(int)c]));

        int Free(Row row) => row.InStock - (spokenFor?.GetValueOrDefault(row.Id) ?? 0);

        int Many(Heap heap) => !filter.LetsLooks(heap.Kind.Looks.Facts) ? 0
            : filter.IsByRow ? heap.Articles.Count(a => a.Rows.Any(r => filter.Lets(a.PriceCents, Free(r)))) : heap.Articles.Length;

        void Look(Heap heap, in Facts facts)
        {
            var many = Many(heap);
            if (many == 0)
                return;
            var (likeness, missed) = judge.LooksOf(heap.Kind.Looks);
            var worn = judge.Wearer(heap.Kind.Lengths);
            var whole = facts.With(worn.Verdict, likeness == Likeness.Other ? Verdict.Compromise : Verdict.Fits);
            counts[(int)whole.Verdict] += many;
            sure[(int)whole.Certainty] += many;
            var standing = facts.Standing with
            {
                Stands = worn.Verdict > facts.Standing.Stands ? worn.Verdict : facts.Standing.Stands,
                Certainty = whole.Certainty,
                Chance = 100,
                Reserve = worn.Reserve.Micrometres,
                Looks = likeness,
                Missed = missed,
            };
            var found = new Found(0, whole.Verdict, whole.Certainty, worn.Reserve);
            // How likely it is right is asked only of those that may be among the first.
            if ((filter.Verdict is null || filter.Verdict == whole.Verdict) && !IsBeyond(best, new Place(standing, true, 0, 0), wanted))
                Keep(best, heap, found, new Place(standing with { Chance = judge.Chance(heap.Kind.Lengths) }, true, 0, 0), wanted);
            if (whole.Verdict == Verdict.No && facts.Refusals + (worn.Verdict == Verdict.No ? 1 : 0) == 1)
                Keep(misses, heap, found, Place.OfMiss(worn.Missing, standing), MostMisses);
        }

        // The articles of a heap come cheapest first: once one is pushed out, so are all after it.
        void Keep(PriorityQueue<Found, Place> kept, Heap heap, Found found, Place like, int most)
        {
            foreach (var isFree in (bool[])[true, false])
                foreach (var article in heap.Articles)
                {
                    var first = Array.FindIndex(article.Rows, r => Free(r) > 0);
                    if (first >= 0 != isFree || !filter.Lets(article.PriceCents, isFree ? 1 : 0))
                        continue;
                    var row = article.Rows[Math.Max(0, first)];
                    var place = like with { InStock = isFree, PriceCents = article.PriceCents, Id = row.Id };
                    if (IsBeyond(kept, place, most))
                        break;
                    var one = found with { Id = row.Id, Alike = article.Rows.Length - 1 };
                    if (kept.Count < most)
                        kept.Enqueue(one, place);
                    else
                        kept.EnqueueDequeue(one, place);
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
        foreach (var (group, facts) in judge.InOrder(_groups.Where(g => g.Facts.Kind == BandKind.TwoPiece)))
        {
            if (facts.Verdict > Verdict.Compromise)
                continue;
            foreach (var heap in group.Heaps.Select(h => _heaps[h]))
            {
                var verdict = (Verdict)Math.Max((int)facts.Verdict, (int)judge.Wearer(heap.Kind.Lengths).Verdict);
                if (verdict > Verdict.Compromise || heap.Kind.Lengths.Band is not { Strap: { } strap } band || judge.Wanted(band) is not { } target)
                    continue;
                var length = StrapLength.Of(strap, target);
                verdict = judge.LooksOf(heap.Kind.Looks).Likeness == Likeness.Other ? Verdict.Compromise : verdict;
                found.AddRange(heap.Articles.SelectMany(a => a.Rows.Where(r => r.InStock > (spokenFor?.GetValueOrDefault(r.Id) ?? 0)).Take(1)).OrderBy(r => r.Id).Take(most).Select(r => new StrapFound(r.Id, verdict, length)));
            }
        }
        return [.. found.OrderBy(s => s.Length.Miss).ThenBy(s => s.Verdict).ThenBy(s => s.Id).Take(most)];
    }

    /// <summary>Whether a place comes after all that are kept, so that it would be pushed out at once.</summary>
    private static bool IsBeyond(PriorityQueue<Found, Place> kept, Place place, int most) =>
        kept.Count >= most && (most == 0 || kept.TryPeek(out _, out var last) && Place.WorstFirst.Compare(place, last) < 0);

    private static List<Found> BestFirst(PriorityQueue<Found, Place> kept)
    {
        var list = new List<Found>(kept.Count);
        while (kept.TryDequeue(out var found, out _))
            list.Add(found);
        list.Reverse();
        return list;
    }

    /// <summary>A band on a heap.</summary>
    private readonly record struct Row(long Id, long PriceCents, int InStock, string Name)
    {
        public static Row Of(in Shelved shelved) => new(shelved.Id, shelved.PriceCents, shelved.InStock, shelved.Name);
    }

    /// <summary>Bands that are alike in all that an owner would ask: one line of a list.</summary>
    private sealed record Article(long PriceCents, Row[] Rows)
    {
        /// <summary>The bands of a heap, the cheapest first.</summary>
        public static Article[] Of(List<Row> rows) =>
            [.. rows.GroupBy(r => (r.PriceCents, r.Name)).Select(g => new Article(g.Key.PriceCents, [.. g.OrderBy(r => r.Id)])).OrderBy(a => a.PriceCents).ThenBy(a => a.Rows[0].Id)];
    }

    /// <summary>Bands that are alike but for their number, their name, their price and how many there are; the cheapest first.</summary>
    private sealed record Heap(Kind Kind, Article[] Articles);

    /// <summary>Heaps that matching looks at alike.</summary>
    private sealed record Group(BandFacts Facts, int[] Heaps);

    /// <summary>What the bands of a heap have in common.</summary>
    private readonly record struct Kind(BandFacts Facts, Seen Looks, Lengths Lengths);

    /// <summary>What is seen of a band, and what wishes ask of it.</summary>
    private sealed record Seen(BandFacts Facts, WishedOf Wished);

    /// <summary>What the rules that ask for no length come to.</summary>
    /// <param name="Standing">Where they put it.</param>
    /// <param name="Verdict">Their verdict.</param>
    /// <param name="Certain">The worst of those that are certain.</param>
    /// <param name="AtWorst">The worst that those which are not certain may come to.</param>
    /// <param name="Refusals">How many of them keep it off.</param>
    /// <param name="IsWhole">Whether every rule was asked; where the width alone keeps it off, no other was.</param>
    private readonly record struct Facts(Standing Standing, Verdict Verdict, Verdict Certain, Verdict AtWorst, int Refusals, bool IsWhole = true)
    {
        public bool Refused => Certain == Verdict.No;

        public static Facts OfWidth(Standing standing) => new(standing, Verdict.No, Verdict.No, Verdict.Fits, 1, IsWhole: false);

        public static Facts Of(Standing standing, IReadOnlyList<RuleVerdict> rules)
        {
            var facts = new Facts(standing, Verdict.Fits, Verdict.Fits, Verdict.Fits, 0);
            foreach (var rule in rules)
            {
                facts = facts with { Verdict = Worse(facts.Verdict, rule.Verdict), Refusals = facts.Refusals + (rule.Verdict == Verdict.No ? 1 : 0) };
                facts = rule.Certainty == Certainty.Certain ? facts with { Certain = Worse(facts.Certain, rule.Verdict) } : facts with { AtWorst = Worse(facts.AtWorst, rule.AtWorst) };
            }
            return facts;
        }

        /// <summary>The verdict together with two that are certain, and how sure it is.</summary>
        public (Verdict Verdict, Certainty Certainty) With(Verdict wearer, Verdict looks)
        {
            var whole = Worse(Worse(Verdict, wearer), looks);
            return (whole, whole == Verdict.Unknown ? Certainty.Unknown : Worse(Worse(Certain, wearer), looks) == whole && AtWorst <= whole ? Certainty.Certain : Certainty.Likely);
        }

        private static Verdict Worse(Verdict a, Verdict b) => a > b ? a : b;
    }

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
        private readonly Dictionary<Seen, Seen> _looks = [];
        private readonly Dictionary<Lengths, Lengths> _lengths = [];

        public Kind Of(in Shelved shelved)
        {
            var worn = shelved.Band.FactsWorn(PullThroughWay.Double);
            var looks = new BandFacts(BandKind.TwoPiece, worn.Material, Length.Zero, BandAttachment.LooseBar, null, null) { Finish = worn.Finish, Colour = worn.Colour };
            return new Kind(One(_facts, worn with { Finish = null, Colour = null }), One(_looks, new Seen(looks, WishedOf.Of(shelved.Band))), One(_lengths, new Lengths(shelved.Band, shelved.Reach)));
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
        private readonly Dictionary<Seen, (Likeness Likeness, int Missed)> _looks = new(ReferenceEqualityComparer.Instance);
        private readonly Dictionary<Lengths, Worn> _lengths = new(ReferenceEqualityComparer.Instance);
        private readonly Dictionary<Lengths, int> _chances = new(ReferenceEqualityComparer.Instance);

        /// <summary>The groups with what the rules that ask for no length say of each, best first; of what its width keeps off no other rule is asked.</summary>
        public IEnumerable<(Group Group, Facts Facts)> InOrder(IEnumerable<Group> groups)
        {
            var all = groups.ToArray();
            var judged = new Facts[all.Length];
            Parallel.For(0, all.Length, i => judged[i] = LugWidthRule.Refuses(_watch, all[i].Facts, house.Limits)
                ? Facts.OfWidth(Standing.Of([], _watch, all[i].Facts, null, house.Limits) with { Stands = Verdict.No, Certainty = Certainty.Certain }) : FactsOf(all[i].Facts));
            return all.Select((group, i) => (Group: group, Facts: judged[i])).OrderBy(g => g.Facts.Standing.Stands).ThenBy(g => g.Facts.Standing.Gap).ThenBy(g => g.Facts.Standing.Width);
        }

        public Facts FactsOf(BandFacts facts)
        {
            var rules = BandToWatch.Judge(_watch, facts, _wearer, house.Bars, house.Limits);
            return Facts.Of(Standing.Of(rules, _watch, facts, house.Bars, house.Limits), rules);
        }

        public (Likeness Likeness, int Missed) LooksOf(Seen looks) => _looks.TryGetValue(looks, out var known)
            ? known : _looks[looks] = (FinishRule.LikenessOf(_watch, looks.Facts, _wearer), looks.Wished.Missed(figures, house.Limits).Count);

        public FitTarget? Wanted(Band band) => _wanted.Of(band, PullThroughWay.Double);

        public Worn Wearer(Lengths lengths) => _lengths.TryGetValue(lengths, out var known) ? known : _lengths[lengths] = Wear(lengths.Band, lengths.Reach);

        private Worn Wear(Band band, ShelfReach? reach)
        {
            // Nothing is judged of a wearer nobody measured.
            if (Wanted(band) is not { } wanted)
                return default;
            var (target, window) = (wanted.Length, wanted.Window);
            if (reach is not null)
            {
                if (reach.Reserve(target, window) is { } left)
                    return new Worn(WearerRule.VerdictOf(isMade: true, left > Length.Zero), left, Length.Zero);
                var missing = reach.Count == 0 ? window : reach.Missing(target, window);
                return reach.MakesOffItsPlace(target, window + wanted.Sigma) || reach.Count > 0 && missing <= wanted.Sigma
                    ? new Worn(Verdict.Compromise, Length.Zero, Length.Zero) : new Worn(Verdict.No, Length.Zero, missing);
            }
            if (band.Holed(_wanted.BareHead) is not { } holed)
                return default;
            var verdict = WearerRule.VerdictOf(holed, wanted);
            return new Worn(verdict, holed.Reserve(target, window) ?? Length.Zero, verdict == Verdict.No ? holed.Nearest(wanted).Misfit : Length.Zero);
        }

        /// <summary>The chance to be right on this wearer, in whole percents; nought while that is not known.</summary>
        public int Chance(Lengths lengths) => _chances.TryGetValue(lengths, out var known) ? known : _chances[lengths] = Wanted(lengths.Band) is not { } wanted ? 0
            : (int)Math.Round(100 * ((lengths.Reach is { } reach ? reach.Chance(wanted) : lengths.Band.Holed(_wanted.BareHead) is { } holed ? FirstTimeChance.Of(holed, wanted) : null) ?? 0));
    }

    /// <summary>What a wearer comes to with a band.</summary>
    private readonly record struct Worn(Verdict Verdict, Length Reserve, Length Missing);

    /// <summary>A place in the order: where it stands; in stock; price; then by number.</summary>
    private readonly record struct Place(Standing Standing, bool InStock, long PriceCents, long Id)
    {
        /// <summary>The worst first, so that it is the one to be pushed out.</summary>
        public static Comparer<Place> WorstFirst { get; } = Comparer<Place>.Create(static (a, b) =>
        {
            var order = Standing.Compare(b.Standing, a.Standing);
            if (order == 0) order = a.InStock.CompareTo(b.InStock);
            if (order == 0) order = b.PriceCents.CompareTo(a.PriceCents);
            return order != 0 ? order : b.Id.CompareTo(a.Id);
        });

        /// <summary>The place among near misses: what is missing least comes first.</summary>
        public static Place OfMiss(Length missing, Standing standing) => new(
            new Standing(Verdict.No, 0, 0, Certainty.Certain, 0, -missing.Micrometres, standing.Looks, standing.Missed, standing.Width), true, 0, 0);
    }
}
