namespace IronLoop.Core.Tray;

/// <summary>Where a small part is.</summary>
public enum TrayPlace
{
    /// <summary>In the watch or its band.</summary>
    Watch,

    /// <summary>In the parts tray.</summary>
    Tray,

    /// <summary>In the owner's bag.</summary>
    Bag,

    /// <summary>Thrown away.</summary>
    Scrapped,

    /// <summary>Looked for and not found.</summary>
    Lost,

    /// <summary>In the shop's stock: as many as are taken come from there.</summary>
    Stock,
}

/// <summary>Parts of one kind that go from one place to another.</summary>
/// <param name="Part">What they are, in the trade's words.</param>
/// <param name="Count">How many, 1 or more.</param>
/// <param name="From">Where they were.</param>
/// <param name="To">Where they are now.</param>
public sealed record TrayMove(string Part, int Count, TrayPlace From, TrayPlace To)
{
    /// <summary>The move that takes this one back.</summary>
    public TrayMove Back => this with { From = To, To = From };

    /// <summary>In words: "pins: 2, out of the watch".</summary>
    public string Says => $"{Part}: {Count}, {(From, To) switch
    {
        (TrayPlace.Watch, TrayPlace.Tray) => "out of the watch",
        (TrayPlace.Tray, TrayPlace.Watch) => "back in",
        (TrayPlace.Stock, TrayPlace.Tray) => "taken from stock",
        (TrayPlace.Tray, TrayPlace.Stock) => "back to stock",
        (TrayPlace.Watch, TrayPlace.Stock) => "out of the watch, to stock",
        (TrayPlace.Stock, TrayPlace.Watch) => "from stock, on the watch",
        (TrayPlace.Tray, TrayPlace.Bag) => "into the owner’s bag",
        (TrayPlace.Tray, TrayPlace.Scrapped) => "thrown away",
        (TrayPlace.Tray, TrayPlace.Lost) => "lost",
        (TrayPlace.Lost, TrayPlace.Tray) => "found again",
        _ => $"from {From} to {To}".ToLowerInvariant(),
    }}";
}

/// <summary>
/// The account of every small part of a job. Each move takes from one place what it gives to another, so counts in are
/// counts out whatever is done, taken back or planned anew; nothing can be taken from where it is not.
/// </summary>
public sealed class TrayLedger
{
    private readonly SortedDictionary<string, int[]> _parts;

    private TrayLedger(SortedDictionary<string, int[]> parts) => _parts = parts;

    /// <summary>The account as the work begins.</summary>
    /// <param name="opening">What is in the watch, and what came loose.</param>
    public static TrayLedger Open(IEnumerable<(string Part, TrayPlace Place, int Count)> opening)
    {
        var parts = new SortedDictionary<string, int[]>(StringComparer.Ordinal);
        foreach (var (part, place, count) in opening)
            Of(parts, part)[(int)place] += count;
        return new TrayLedger(parts);
    }

    /// <summary>Every kind of part there is on the account.</summary>
    public IEnumerable<string> Parts => _parts.Keys;

    /// <summary>How many of a part are in a place; of those in stock, how many more or fewer than when the work began.</summary>
    public int this[string part, TrayPlace place] => _parts.TryGetValue(part, out var counts) ? counts[(int)place] : 0;

    /// <summary>How many of a part there are in all, wherever they are: what was there when the work began.</summary>
    public int Total(string part) => _parts.TryGetValue(part, out var counts) ? counts.Sum() : 0;

    /// <summary>What is in a place, as lines.</summary>
    public IReadOnlyList<BagLine> In(TrayPlace place) =>
        [.. _parts.Where(p => p.Value[(int)place] > 0).Select(p => new BagLine(p.Key, p.Value[(int)place]))];

    /// <summary>Why moves cannot be made; null when they can.</summary>
    public string? WhyNot(IEnumerable<TrayMove> moves)
    {
        var tried = Copy();
        foreach (var move in moves)
        {
            var there = tried[move.Part, move.From];
            if (move.Count < 1 || move.From == move.To)
                return $"{move.Part}: {move.Count} from {move.From} to {move.To} is no move.";
            if (move.From != TrayPlace.Stock && there < move.Count)
            {
                var lost = tried[move.Part, TrayPlace.Lost];
                return $"{move.Part}: {move.Count} wanted from {Name(move.From)}, {there} there{(lost > 0 ? $", {lost} lost; take one from stock" : "")}.";
            }
            tried.Make(move);
        }
        return null;
    }

    /// <summary>The account after moves.</summary>
    /// <exception cref="InvalidOperationException">A part is not where it is taken from.</exception>
    public TrayLedger With(IEnumerable<TrayMove> moves)
    {
        var list = moves as IReadOnlyCollection<TrayMove> ?? [.. moves];
        if (WhyNot(list) is { } why)
            throw new InvalidOperationException(why);
        var after = Copy();
        foreach (var move in list)
            after.Make(move);
        return after;
    }

    /// <summary>A place in the trade's words.</summary>
    public static string Name(TrayPlace place) => place switch
    {
        TrayPlace.Watch => "the watch",
        TrayPlace.Tray => "the tray",
        TrayPlace.Bag => "the bag",
        TrayPlace.Scrapped => "the waste",
        TrayPlace.Lost => "what is lost",
        TrayPlace.Stock => "stock",
        _ => throw new ArgumentOutOfRangeException(nameof(place), place, "Not a place."),
    };

    private static int[] Of(SortedDictionary<string, int[]> parts, string part)
    {
        if (!parts.TryGetValue(part, out var counts))
            parts[part] = counts = new int[Enum.GetValues<TrayPlace>().Length];
        return counts;
    }

    private TrayLedger Copy()
    {
        var parts = new SortedDictionary<string, int[]>(StringComparer.Ordinal);
        foreach (var (part, counts) in _parts)
            parts[part] = [.. counts];
        return new TrayLedger(parts);
    }

    private void Make(TrayMove move)
    {
        var counts = Of(_parts, move.Part);
        counts[(int)move.From] -= move.Count;
        counts[(int)move.To] += move.Count;
    }
}
