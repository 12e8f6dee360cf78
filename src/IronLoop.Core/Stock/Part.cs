using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Stock;

/// <summary>What a small part is.</summary>
public enum PartKind
{
    /// <summary>A clasp or a buckle.</summary>
    Clasp,

    /// <summary>A spring bar, or a screwed one.</summary>
    Bar,

    /// <summary>A pin.</summary>
    Pin,

    /// <summary>A loose link.</summary>
    Link,
}

/// <summary>A clasp as stocked.</summary>
/// <param name="Facts">What matching looks at.</param>
/// <param name="Loop">Its half lengths and micro-adjust, when it closes a link bracelet.</param>
/// <param name="Adds">What it adds to the loop of a strap; nought for a buckle.</param>
public sealed record StockedClasp(ClaspFacts Facts, BraceletClasp? Loop, Length Adds);

/// <summary>A loose link as stocked.</summary>
/// <param name="Pitch">Pivot-to-pivot length.</param>
/// <param name="Width">Its width.</param>
public sealed record StockedLink(Length Pitch, Length Width);

/// <summary>A small part as the shop keeps it or a supplier offers it: one of a clasp, a bar, a pin or a link.</summary>
/// <param name="Article">Its article number.</param>
/// <param name="Name">What it is called.</param>
public sealed record Part(string Article, string Name)
{
    /// <summary>Who supplies it; empty when nobody is known to.</summary>
    public string Supplier { get; init; } = "";

    /// <summary>The supplier's own article number; empty when it is the same.</summary>
    public string SupplierArticle { get; init; } = "";

    /// <summary>The article number it is ordered by.</summary>
    public string OrderedAs => SupplierArticle.Length > 0 ? SupplierArticle : Article;

    /// <summary>Price of one, in cents.</summary>
    public long PriceCents { get; init; }

    /// <summary>The clasp.</summary>
    public StockedClasp? Clasp { get; init; }

    /// <summary>The bar.</summary>
    public SpringBar? Bar { get; init; }

    /// <summary>The pin.</summary>
    public FrictionPin? Pin { get; init; }

    /// <summary>The link.</summary>
    public StockedLink? Link { get; init; }

    /// <summary>What it is.</summary>
    /// <exception cref="InvalidOperationException">It is none of the four.</exception>
    public PartKind Kind => this switch
    {
        { Clasp: not null } => PartKind.Clasp,
        { Bar: not null } => PartKind.Bar,
        { Pin: not null } => PartKind.Pin,
        { Link: not null } => PartKind.Link,
        _ => throw new InvalidOperationException($"{Article} is neither clasp, bar, pin nor link."),
    };

    /// <summary>The figures it is told from its like by, as measured.</summary>
    public string Measured => this switch
    {
        { Clasp: { } clasp } => MeasuredClasp(clasp),
        { Bar: { } bar } => $"{bar.Length} long, {bar.Body} body, {bar.Tip} tip",
        { Pin: { } pin } => $"{pin.Diameter} across, {pin.Length} long",
        { Link: { } link } => $"pitch {link.Pitch}, {link.Width} wide",
        _ => "",
    };

    private string MeasuredClasp(StockedClasp clasp)
    {
        var kind = ClaspWords.Of(clasp.Facts.Kind);
        // A name that says the kind need not have it said again.
        List<string> figures = Name.Contains(kind, StringComparison.OrdinalIgnoreCase) ? [] : [kind];
        if (clasp.Facts.InnerWidth is { } inner) figures.Add($"{inner} inside");
        if (clasp.Facts.Tube is { } tube) figures.Add($"tube {tube}");
        if (clasp.Facts.OverButtons is { } over) figures.Add($"{over} over the buttons");
        if (clasp.Facts.Bar is { } bar) figures.Add($"bar {bar}");
        if (clasp.Loop is { Positions: > 1 } loop) figures.Add($"{loop.Positions} positions of {loop.Step}");
        return string.Join(", ", figures);
    }
}
