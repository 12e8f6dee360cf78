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
/// All bands of a shop, made ready for questions: bands of equal facts are judged once, their looks apart from the rest
/// since every strap comes in many colours.
/// </summary>
public sealed class BandShelf
{
    private const int MostMisses = 5;

    private readonly Shelved[] _bands;
    private readonly Kinds _facts;
    private readonly Kinds _looks;

    private BandShelf(Shelved[] bands, Kinds facts, Kinds looks) => (_bands, _facts, _looks) = (bands, facts, looks);

    /// <summary>How many bands there are.</summary>
    public int Count => _bands.Length;

    /// <summary>Makes a shelf of bands.</summary>
    public static BandShelf Of(IEnumerable<Shelved> bands)
    {
        var all = bands.ToArray();
        var (facts, looks) = (new Kinds(all.Length), new Kinds(all.Length));
        for (var i = 0; i < all.Length; i++)
            Add(i, all[i].Band, facts, looks);
        return new BandShelf(all, facts, looks);
    }

    /// <summary>The shelf with a few bands changed, added or taken away; the order is kept, new ones come last.</summary>
    /// <param name="changed">The bands as they are now.</param>
    /// <param name="gone">Numbers of bands that are no longer on the shelf.</param>
    public BandShelf With(IEnumerable<Shelved> changed, IReadOnlySet<long>? gone = null)
    {
        var now = changed.ToDictionary(b => b.Id);
        var all = new List<Shelved>(_bands.Length + now.Count);
        var (facts, looks) = (_facts.Copy(_bands.Length + now.Count), _looks.Copy(_bands.Length + now.Count));
        for (var i = 0; i < _bands.Length; i++)
        {
            if (gone?.Contains(_bands[i].Id) == true)
                continue;
            if (now.Remove(_bands[i].Id, out var other))
                Add(all.Count, other.Band, facts, looks);
            else
            {
                facts.Same(all.Count, _facts.Of(i));
                looks.Same(all.Count, _looks.Of(i));
                other = _bands[i];
            }
            all.Add(other);
        }
        foreach (var added in now.Values.OrderBy(b => b.Id))
        {
            Add(all.Count, added.Band, facts, looks);
            all.Add(added);
        }
        return new BandShelf([.. all], facts, looks);
    }

    private static void Add(int at, Band band, Kinds facts, Kinds looks)
    {
        var worn = band.FactsWorn(PullThroughWay.Double);
        facts.Add(at, worn with { Finish = null, Colour = null });
        looks.Add(at, new BandFacts(BandKind.TwoPiece, worn.Material, Length.Zero, BandAttachment.LooseBar, null, null) { Finish = worn.Finish, Colour = worn.Colour });
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
        var looked = JudgeLooks(figures);
        var targets = new WantedLengths(figures);
        var counts = new int[Enum.GetValues<Verdict>().Length];
        var best = new PriorityQueue<Found, Place>(Place.WorstFirst);
        var misses = new PriorityQueue<Found, Place>(Place.WorstFirst);
        var wanted = skip + take;
        for (var i = 0; i < _bands.Length; i++)
        {
            ref readonly var shelved = ref _bands[i];
            var free = shelved.InStock - (spokenFor?.GetValueOrDefault(shelved.Id) ?? 0);
            if (!filter.Lets(shelved, free))
                continue;
            var (verdict, refusals) = judged[_facts.Of(i)];
            var looksDifferent = looked[_looks.Of(i)];
            var place = new Place(verdict, 0, looksDifferent, free > 0, shelved.PriceCents, i);
            // Most bands stay off for their width alone: where they would not be told of, whatever the wearer's rule says, it is not asked.
            if (verdict == Verdict.No && IsBeyond(best, place with { Reserve = long.MaxValue }, wanted, filter.Verdict) && (refusals > 1 || IsBeyond(misses, place, MostMisses)))
            {
                counts[(int)Verdict.No]++;
                continue;
            }
            var (wearer, reserve, missing) = Wearer(shelved.Band, shelved.Reach, targets);
            var whole = wearer > verdict ? wearer : verdict;
            if (looksDifferent && whole < Verdict.Compromise)
                whole = Verdict.Compromise;
            counts[(int)whole]++;
            place = place with { Verdict = whole, Reserve = reserve.Micrometres };
            if (filter.Verdict is null || filter.Verdict == whole)
                Keep(best, new Found(shelved.Id, whole, reserve), place, wanted);
            if (whole == Verdict.No && refusals + (wearer == Verdict.No ? 1 : 0) == 1)
                Keep(misses, new Found(shelved.Id, whole, reserve), place with { Reserve = -missing.Micrometres }, MostMisses);
        }
        return new ShelfAnswer(
            [.. BestFirst(best).Skip(skip)],
            BestFirst(misses),
            Enum.GetValues<Verdict>().ToDictionary(v => v, v => counts[(int)v]));
    }

    /// <summary>The straps that go on and are free, the one whose middle hole is nearest to what is wanted first (fit model, section 7).</summary>
    /// <param name="figures">What was gauged.</param>
    /// <param name="house">What the shop has.</param>
    /// <param name="most">How many are wanted.</param>
    /// <param name="spokenFor">How many of each band other jobs have chosen.</param>
    public IReadOnlyList<StrapFound> Straps(Figures figures, House house, int most, IReadOnlyDictionary<long, int>? spokenFor = null)
    {
        var judged = JudgeFacts(figures, house);
        var looked = JudgeLooks(figures);
        var targets = new WantedLengths(figures);
        var found = new List<StrapFound>();
        for (var i = 0; i < _bands.Length; i++)
        {
            ref readonly var shelved = ref _bands[i];
            if (shelved.Band.Strap is not { } strap || judged[_facts.Of(i)].Verdict > Verdict.Compromise || shelved.InStock <= (spokenFor?.GetValueOrDefault(shelved.Id) ?? 0))
                continue;
            var verdict = (Verdict)Math.Max((int)judged[_facts.Of(i)].Verdict, (int)Wearer(shelved.Band, shelved.Reach, targets).Verdict);
            if (verdict <= Verdict.Compromise && targets.Of(shelved.Band, PullThroughWay.Double) is { } target)
                found.Add(new StrapFound(shelved.Id, looked[_looks.Of(i)] ? Verdict.Compromise : verdict, StrapLength.Of(strap, target)));
        }
        return [.. found.OrderBy(s => s.Length.Miss).ThenBy(s => s.Verdict).ThenBy(s => s.Id).Take(most)];
    }

    private (Verdict Verdict, int Refusals)[] JudgeFacts(Figures figures, House house)
    {
        var judged = new (Verdict, int)[_facts.Count];
        var (watch, wearer) = (figures.Watch, figures.Wearer);
        Parallel.For(0, _facts.Count, i =>
        {
            var rules = BandToWatch.Judge(watch, _facts[i], wearer, house.Bars, house.Limits);
            judged[i] = (new Judgement(rules).Verdict, rules.Count(r => r.Verdict == Verdict.No));
        });
        return judged;
    }

    private bool[] JudgeLooks(Figures figures)
    {
        var (watch, wearer) = (figures.Watch, figures.Wearer);
        var judged = new bool[_looks.Count];
        for (var i = 0; i < judged.Length; i++)
            judged[i] = FinishRule.Judge(watch, _looks[i], wearer)?.Verdict == Verdict.Compromise;
        return judged;
    }

    private static (Verdict Verdict, Length Reserve, Length Missing) Wearer(Band band, ShelfReach? reach, WantedLengths targets)
    {
        if (targets.Of(band, PullThroughWay.Double) is not { } wanted)
            return (Verdict.Unknown, Length.Zero, Length.Zero);
        var (target, window) = (wanted.Length, wanted.Window);
        if (reach is not null)
        {
            var left = reach.Reserve(target, window);
            return (WearerRule.VerdictOf(left is not null, left > Length.Zero), left ?? Length.Zero, left is not null ? Length.Zero : reach.Count == 0 ? window : reach.Missing(target, window));
        }
        if (band.Holed(targets.BareHead) is not { } holed)
            return (Verdict.Unknown, Length.Zero, Length.Zero);
        var room = holed.Reserve(target, window);
        return (WearerRule.VerdictOf(room is not null, room > Length.Zero), room ?? Length.Zero, room is null ? holed.Nearest(wanted).Misfit : Length.Zero);
    }

    /// <summary>Whether a place comes after all that are kept, so that it would be pushed out at once.</summary>
    private static bool IsBeyond(PriorityQueue<Found, Place> kept, Place place, int most, Verdict? only = null) =>
        only is { } verdict && verdict != place.Verdict || kept.Count >= most && (most == 0 || kept.TryPeek(out _, out var last) && Place.WorstFirst.Compare(place, last) < 0);

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

    /// <summary>The different facts there are, and which of them each band has.</summary>
    private sealed class Kinds
    {
        private readonly int[] _of;
        private readonly List<BandFacts> _kinds;
        private readonly Dictionary<BandFacts, int> _seen;

        public Kinds(int bands)
            : this(bands, [], [])
        {
        }

        private Kinds(int bands, List<BandFacts> kinds, Dictionary<BandFacts, int> seen) => (_of, _kinds, _seen) = (new int[bands], kinds, seen);

        public int Count => _kinds.Count;

        public BandFacts this[int kind] => _kinds[kind];

        public int Of(int band) => _of[band];

        /// <summary>The same kinds for a shelf of so many bands, none of them placed yet.</summary>
        public Kinds Copy(int bands) => new(bands, [.. _kinds], new(_seen));

        public void Same(int band, int kind) => _of[band] = kind;

        public void Add(int band, BandFacts facts)
        {
            if (!_seen.TryGetValue(facts, out var kind))
            {
                _seen[facts] = kind = _kinds.Count;
                _kinds.Add(facts);
            }
            _of[band] = kind;
        }
    }

    /// <summary>A place in the order: verdict; reserve; finish; in stock; price; then as shelved.</summary>
    private readonly record struct Place(Verdict Verdict, long Reserve, bool LooksDifferent, bool InStock, long PriceCents, int Ordinal)
    {
        /// <summary>The worst first, so that it is the one to be pushed out.</summary>
        public static Comparer<Place> WorstFirst { get; } = Comparer<Place>.Create(static (a, b) =>
        {
            var order = b.Verdict.CompareTo(a.Verdict);
            if (order == 0) order = a.Reserve.CompareTo(b.Reserve);
            if (order == 0) order = b.LooksDifferent.CompareTo(a.LooksDifferent);
            if (order == 0) order = a.InStock.CompareTo(b.InStock);
            if (order == 0) order = b.PriceCents.CompareTo(a.PriceCents);
            return order != 0 ? order : b.Ordinal.CompareTo(a.Ordinal);
        });
    }
}
