using IronLoop.Core.Shelf;

namespace IronLoop.Storage;

/// <summary>What was read of a job, piece by piece, with the tables each was read from: what cannot have changed is not read again.</summary>
internal sealed class JobPieces
{
    private readonly Dictionary<string, Piece> _pieces = new(StringComparer.Ordinal);

    /// <summary>The tables that those which hang on what others do were read from.</summary>
    public Tables FromShop => _pieces.Values.Where(p => p.IsOfShop).Aggregate(Tables.None, (sum, p) => sum | p.From);

    /// <summary>What a piece hangs on.</summary>
    private readonly record struct Piece(object? Value, Tables From, bool IsOfShop);

    /// <summary>A piece that hangs on what is stored of the job, its watch and its client.</summary>
    /// <param name="work">The piece of work it is read in, where it is not known.</param>
    /// <param name="name">What it is; with a number where it is of something that the job may change.</param>
    /// <param name="read">Reads it.</param>
    public T Of<T>(ShopWork work, string name, Func<T> read) => Of(work, name, read, isOfShop: false);

    /// <summary>A piece that hangs on what others do as well: on stock, and on what other jobs take of it.</summary>
    /// <param name="work">The piece of work it is read in, where it is not known.</param>
    /// <param name="name">What it is; with a number where it is of something that the job may change.</param>
    /// <param name="read">Reads it.</param>
    public T OfShop<T>(ShopWork work, string name, Func<T> read) => Of(work, name, read, isOfShop: true);

    /// <summary>A band that plays a part in the job: what others change of another is nothing to it.</summary>
    /// <param name="work">The piece of work it is read in, where it is not known.</param>
    /// <param name="name">As which it does.</param>
    /// <param name="band">Its number.</param>
    public StockBand? Band(ShopWork work, string name, long band)
    {
        if (_pieces.TryGetValue(name, out var known) && known.Value is (long read, _) && read != band)
            _pieces.Remove(name);
        return Of(work, name, () => (band, Bands.Find(work, band))).Item2;
    }

    /// <summary>Those that still stand after changes.</summary>
    /// <param name="ofJob">What was changed of the job, its watch or its client.</param>
    /// <param name="ofShop">What was changed at all.</param>
    public JobPieces After(Tables ofJob, Tables ofShop)
    {
        var standing = new JobPieces();
        foreach (var (name, piece) in _pieces)
            if (!piece.From.Meets(piece.IsOfShop ? ofShop : ofJob))
                standing._pieces[name] = piece;
        return standing;
    }

    private T Of<T>(ShopWork work, string name, Func<T> read, bool isOfShop)
    {
        if (_pieces.TryGetValue(name, out var known))
            return (T)known.Value!;
        var value = work.Noting(read, out var from);
        _pieces[name] = new Piece(value, from, isOfShop);
        return value;
    }
}
