using IronLoop.Storage;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>Something a row of a catalogue holds.</summary>
/// <param name="Key">What it is known by; no two rows of a catalogue have the same.</param>
/// <param name="Says">The same for a look over, in a line.</param>
/// <param name="What">What is stored.</param>
internal sealed record CatalogueItem(string Key, string Says, object What);

/// <summary>What a catalogue is of: its columns, how a row is read, and where it is stored.</summary>
internal abstract class CatalogueKind
{
    private static readonly CatalogueKind[] Kinds = [new BandCatalogue(), new ModelCatalogue()];

    /// <summary>What it is of, in a word.</summary>
    public abstract string Of { get; }

    /// <summary>The column a row is known by.</summary>
    public abstract string KeyColumn { get; }

    /// <summary>All columns.</summary>
    public abstract IReadOnlyList<string> All { get; }

    /// <summary>The columns without which no row can be taken.</summary>
    public abstract IReadOnlyList<string> Needed { get; }

    /// <summary>The kind of a word; null where there is none.</summary>
    public static CatalogueKind? Named(string of) => Kinds.FirstOrDefault(k => k.Of == of);

    /// <summary>The words of all kinds.</summary>
    public static IEnumerable<string> Words => Kinds.Select(k => k.Of);

    /// <summary>The column a header most likely means; null when it means none.</summary>
    public string? Guess(string header)
    {
        var plain = Plain(header);
        return All.FirstOrDefault(c => Plain(c) == plain) ?? All.FirstOrDefault(c => Plain(c) + "mm" == plain);
    }

    /// <summary>Reads a row.</summary>
    /// <exception cref="Contract.RefusedException">Something in it cannot be taken; the paths end in the column's name.</exception>
    public abstract CatalogueItem Read(Func<string, string> cell);

    /// <summary>What is stored already, by key, with why it may not be put in its place; null where it may.</summary>
    public abstract IReadOnlyDictionary<string, string?> Known(ShopWork work);

    /// <summary>Stores what a row holds.</summary>
    public abstract void Store(ShopWork work, CatalogueItem item, DateTimeOffset at);

    private static string Plain(string header) => string.Concat(header.Where(char.IsLetterOrDigit)).ToLowerInvariant();
}
