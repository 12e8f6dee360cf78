using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Gauging;

/// <summary>The owner's own bracelet as its sheet has it so far; null where nothing was entered.</summary>
/// <param name="Twelve">The 12 side in a fitter's words, such as <c>7 full, 1 half, first 2 fixed</c>.</param>
/// <param name="Six">The 6 side.</param>
/// <param name="Spares">Loose links that came along, in the same words.</param>
/// <param name="HalfPitch">Pitch of a half link.</param>
/// <param name="ClaspName">What it closes with.</param>
/// <param name="ClaspTwelve">From the last 12-side pivot to the clasp's centre, at its tightest.</param>
/// <param name="ClaspSix">From the clasp's centre to the last 6-side pivot.</param>
/// <param name="MicroSide">The side that carries the micro-adjust.</param>
/// <param name="Positions">Micro positions; one when it has none.</param>
/// <param name="Step">What each adds.</param>
/// <param name="Position">The position it stands in, from 1, the tightest.</param>
/// <param name="Fastener">What joins its links.</param>
/// <param name="BenchLength">The whole length as measured along the bench.</param>
/// <param name="Width">Its width at the lugs, where it was known before this visit.</param>
/// <param name="Thickness">Its thickness, where it was known before this visit.</param>
/// <param name="SolidEnd">Whether its end links are solid; null when nobody looked.</param>
public sealed record OwnBracelet(
    string Twelve = "",
    string Six = "",
    string Spares = "",
    Length? HalfPitch = null,
    string ClaspName = "fold-over",
    Length? ClaspTwelve = null,
    Length? ClaspSix = null,
    Side MicroSide = Side.Twelve,
    int Positions = 1,
    Length? Step = null,
    int Position = 1,
    Fastener? Fastener = null,
    Length? BenchLength = null,
    Length? Width = null,
    Length? Thickness = null,
    bool? SolidEnd = null)
{
    /// <summary>Thickness of a metal band that is assumed until measured: the pivots then lie 1.75 mm above the skin.</summary>
    public static readonly Length AssumedThickness = Length.FromMillimetres(3.5m);

    /// <summary>The sheet of a bracelet that is known already.</summary>
    /// <exception cref="ArgumentException">The band is no link bracelet.</exception>
    public static OwnBracelet Of(Band band) => band is { Links: { } links, Clasp: { } clasp }
        ? new OwnBracelet(
            LinkRowText.Print(links.Twelve),
            LinkRowText.Print(links.Six),
            LinkRowText.Print([.. band.Spares.SelectMany(s => Enumerable.Repeat(new Link(s.Pitch, true) { Mark = s.Mark }, s.Count))]),
            ClaspName: band.ClaspName,
            ClaspTwelve: clasp.Twelve,
            ClaspSix: clasp.Six,
            MicroSide: clasp.MicroSide,
            Positions: clasp.Positions,
            Step: clasp.Positions > 1 ? clasp.Step : null,
            Position: clasp.Position + 1,
            Width: band.Facts.Width,
            Thickness: band.Thickness,
            SolidEnd: band.Facts.SolidEnd,
            Fastener: band.Fastener)
        : throw new ArgumentException("Only a link bracelet has a bracelet sheet.", nameof(band));

    /// <summary>The rows as read with the pitches gauged; a row that cannot be read yet is empty.</summary>
    public Bracelet Rows(Figures figures) => new(Row(Twelve, figures), Row(Six, figures));

    /// <summary>Why the 12 side cannot be read; null when it can.</summary>
    public string? TwelveWhyNot(Figures figures) => WhyNot("12 side", Twelve, figures);

    /// <summary>Why the 6 side cannot be read; null when it can.</summary>
    public string? SixWhyNot(Figures figures) => WhyNot("6 side", Six, figures);

    /// <summary>Why the loose links cannot be read; null when they can.</summary>
    public string? SparesWhyNot(Figures figures) => WhyNot("Loose links", Spares, figures);

    /// <summary>The clasp, when its two lengths are known.</summary>
    public BraceletClasp? Clasp =>
        ClaspTwelve is { } twelve && ClaspSix is { } six && (Positions == 1 || Step is not null)
            ? new BraceletClasp(twelve, six, MicroSide, Positions, Positions == 1 ? Length.Zero : Step ?? Length.Zero, Math.Min(Position, Positions) - 1)
            : null;

    /// <summary>Its length as it is now, by its sheet; null while links or clasp are unknown.</summary>
    public Length? LengthNow(Figures figures) =>
        Clasp is { } clasp && Rows(figures) is { } rows && rows.Twelve.Count + rows.Six.Count > 0 ? Fitting.BenchLength.Of(rows, clasp) : null;

    /// <summary>What is still wanted before the bracelet can be planned with, in the order the tool is moved.</summary>
    public IReadOnlyList<string> Missing(Figures figures)
    {
        var missing = new List<string>();
        var rows = Rows(figures);
        if (Twelve.Length + Six.Length == 0) missing.Add("the links");
        else if (rows.Twelve.Count + rows.Six.Count == 0 || (TwelveWhyNot(figures) ?? SixWhyNot(figures) ?? SparesWhyNot(figures)) is not null) missing.Add("a link pitch");
        if (ClaspTwelve is null || ClaspSix is null) missing.Add("the clasp’s two lengths");
        if (Positions > 1 && Step is null) missing.Add("the micro-adjust’s step");
        if (WidthOf(figures) is null) missing.Add("band width");
        return missing;
    }

    /// <summary>The band it comes to; null while anything is missing.</summary>
    public Band? Band(Figures figures)
    {
        if (Missing(figures).Count > 0 || Clasp is not { } clasp || WidthOf(figures) is not { } width)
            return null;
        var spares = Row(Spares, figures).GroupBy(l => (l.Pitch, l.Mark)).Select(g => new SpareLinks(g.Key.Pitch, g.Count()) { Mark = g.Key.Mark }).ToList();
        return new LinkBracelet(
            new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, width, BandAttachment.LooseBar, SolidEnd, figures.Family),
            figures[GaugedFigure.BandThickness] ?? Thickness ?? AssumedThickness,
            ClaspName,
            Rows(figures),
            clasp)
        {
            Loose = spares,
            JoinedBy = Fastener,
        };
    }

    /// <summary>What the bench length says against the sheet; null when they agree or either is not known.</summary>
    public string? Question(Figures figures) =>
        BenchLength is { } measured && Clasp is { } clasp && Rows(figures) is { } rows && rows.Twelve.Count + rows.Six.Count > 0
            ? Fitting.BenchLength.Question(rows, clasp, measured)
            : null;

    private Length? WidthOf(Figures figures) => figures[GaugedFigure.BandWidth] ?? Width ?? figures[GaugedFigure.LugWidth];

    private string? WhyNot(string name, string row, Figures figures) => LinkRowText.TryParse(row, Pitches(figures), out _, out var why) ? null : $"{name}: {why}";

    private NamedPitches Pitches(Figures figures) => new(figures[GaugedFigure.LinkPitch], HalfPitch);

    private IReadOnlyList<Link> Row(string text, Figures figures) =>
        LinkRowText.TryParse(text, Pitches(figures), out var row, out _) ? row : [];
}
