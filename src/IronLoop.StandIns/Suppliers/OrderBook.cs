namespace IronLoop.StandIns.Suppliers;

/// <summary>What is asked for.</summary>
internal sealed record AskedLine(string Article, int Count);

/// <summary>A line of an order as it stands.</summary>
/// <param name="Shipped">How many are on their way.</param>
/// <param name="Refused">Why the rest is not sent; empty when it is.</param>
internal sealed record StandingLine(string Article, int Count, long PriceCents, int Shipped, string Refused);

/// <summary>An order as it stands: accepted, packed, partly shipped, shipped, or refused.</summary>
internal sealed record StandingOrder(string Number, string Supplier, string Reference, string State, IReadOnlyList<StandingLine> Lines);

/// <summary>
/// The suppliers' order book, by a made-up clock that runs fast and can be put forward: an order is packed after 12 hours
/// and shipped after 48; what was not on the shelf follows after 120.
/// </summary>
internal sealed class OrderBook(TimeProvider clock)
{
    /// <summary>Made-up hours that pass in a second.</summary>
    public const double HoursASecond = 1;

    private readonly Lock _lock = new();
    private readonly Dictionary<string, Taken> _byKey = new(StringComparer.Ordinal);
    private readonly Dictionary<string, Taken> _byNumber = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int> _shelf = Offers.All.ToDictionary(o => o.Article, o => o.Available, StringComparer.Ordinal);
    private double _forward;

    /// <summary>How many orders were taken.</summary>
    public int Count
    {
        get
        {
            lock (_lock)
                return _byNumber.Count;
        }
    }

    /// <summary>Puts the made-up clock forward.</summary>
    public void Forward(double hours)
    {
        lock (_lock)
            _forward += hours;
    }

    /// <summary>How many of an article lie on the shelf.</summary>
    public int OnShelf(string article)
    {
        lock (_lock)
            return _shelf.GetValueOrDefault(article);
    }

    /// <summary>Takes an order; the same key is the same order, however often it comes.</summary>
    /// <returns>The order, and whether it is new.</returns>
    public (StandingOrder Order, bool IsNew) Take(string key, string supplier, string reference, IReadOnlyList<AskedLine> lines, bool partly, bool refuse)
    {
        lock (_lock)
        {
            if (_byKey.TryGetValue(key, out var known))
                return (Standing(known), false);
            var taken = new Taken($"{(supplier == Offers.Findings ? "FL" : "QS")}-{1_000 + _byNumber.Count}", supplier, reference, Hours(), refuse,
                [.. lines.Select(l => Line(supplier, l, partly))]);
            _byKey[key] = _byNumber[taken.Number] = taken;
            return (Standing(taken), true);
        }
    }

    /// <summary>An order by its number; null when there is none.</summary>
    public StandingOrder? Find(string number)
    {
        lock (_lock)
            return _byNumber.TryGetValue(number, out var taken) ? Standing(taken) : null;
    }

    private TakenLine Line(string supplier, AskedLine asked, bool partly)
    {
        if (Offers.All.FirstOrDefault(o => o.Article == asked.Article && o.Supplier == supplier) is not { } offer)
            return new TakenLine(asked.Article, asked.Count, 0, 0, "not known here");
        if (offer.Available == 0)
            return new TakenLine(asked.Article, asked.Count, offer.PriceCents, 0, "no longer made");
        var now = Math.Min(asked.Count, _shelf[asked.Article]);
        if (partly)
            now = Math.Min(now, asked.Count / 2);
        _shelf[asked.Article] -= now;
        return new TakenLine(asked.Article, asked.Count, offer.PriceCents, now, "");
    }

    private StandingOrder Standing(Taken taken)
    {
        var hours = Hours() - taken.At;
        var lines = taken.Lines.Select(l => new StandingLine(
            l.Article, l.Count, l.PriceCents,
            taken.Refuse || l.Refused.Length > 0 ? 0 : hours >= 120 ? l.Count : hours >= 48 ? l.Now : 0,
            taken.Refuse ? "the account is on hold" : l.Refused)).ToList();
        var coming = lines.Where(l => l.Refused.Length == 0).ToList();
        var state = coming.Count == 0 ? "refused"
            : coming.All(l => l.Shipped == l.Count) ? "shipped"
            : coming.Any(l => l.Shipped > 0) ? "partlyShipped"
            : hours >= 12 ? "packed" : "accepted";
        return new StandingOrder(taken.Number, taken.Supplier, taken.Reference, state, lines);
    }

    private double Hours() => _forward + clock.GetUtcNow().ToUnixTimeMilliseconds() / 1_000d * HoursASecond;

    private sealed record Taken(string Number, string Supplier, string Reference, double At, bool Refuse, IReadOnlyList<TakenLine> Lines);

    private sealed record TakenLine(string Article, int Count, long PriceCents, int Now, string Refused);
}
