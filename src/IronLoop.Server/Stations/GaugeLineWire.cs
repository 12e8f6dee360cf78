using System.Globalization;
using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>One reading.</summary>
/// <param name="Earlier">Whether it was taken on an earlier visit and cannot be dropped here.</param>
internal sealed record ReadingWire(long Id, Length Mm, string Text, bool ByLine, bool Earlier);

/// <summary>One line of the gauging sheet.</summary>
/// <param name="Wanted">Whether this job needs it; others can be gauged all the same.</param>
/// <param name="Usually">What it usually is, where that is gone by until it is read.</param>
/// <param name="Book">Where it is from, where the model book stands in for a reading; null where it does not.</param>
/// <param name="Value">The mean of the readings, or what is assumed until there are any.</param>
/// <param name="Spread">The largest less the smallest, with its unit; null below two readings.</param>
/// <param name="Question">Why it is questioned.</param>
internal sealed record GaugeLineWire(
    GaugedFigure Figure, string Name, GaugedOf Of, bool Wanted, string Jaws, IReadOnlyList<ReadingWire> Readings, FigureWire? Value, string? Spread,
    string? Question, bool Stands, string? Usually, string? Book)
{
    /// <summary>The line of a figure.</summary>
    public static GaugeLineWire Read(
        FigureKind kind, JobSnapshot file, Head? head, IReadOnlyList<GaugedFigure> wanted, IReadOnlyList<StoredReading> readings)
    {
        var figures = file.Figures;
        var assumed = kind.Figure switch
        {
            GaugedFigure.BarToBar => head?.BarToBar,
            GaugedFigure.BarRise => head?.BarRise,
            GaugedFigure.BandThickness => figures.Bracelet?.Thickness ?? OwnBracelet.AssumedThickness,
            GaugedFigure.BandWidth => figures.Bracelet?.Width,
            _ => (Length?)null,
        };
        return new GaugeLineWire(
            kind.Figure,
            kind.Name,
            kind.Of,
            wanted.Contains(kind.Figure),
            kind.Jaws,
            [.. readings.Select(r => new ReadingWire(r.Id, r.Length, r.Length.ToHundredths(), r.ByLine, r.JobId != file.Job.Id))],
            ValueOf(figures[kind.Figure] ?? assumed, figures.IsUnconfirmed(kind.Figure)),
            readings.Count > 1 ? figures.Read[kind.Figure].Spread.ToHundredths() : null,
            GaugeSheet.Question(figures, kind.Figure),
            figures.Stands?.Contains(kind.Figure) == true,
            UsualFigures.Of(kind.Figure, figures.Watch, file.House.Limits) is { } usual ? $"usually {usual.From.Millimetres.ToString("0.###", CultureInfo.InvariantCulture)} to {usual.To}" : null,
            figures.FromTheBook(kind.Figure)?.Says);
    }

    private static FigureWire? ValueOf(Length? length, bool assumed) =>
        FigureWire.Of(length, assumed) is { } value ? value with { Text = value.Mm.ToHundredths() } : null;
}
