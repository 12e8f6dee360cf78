using System.Globalization;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Gauging;

/// <summary>How a figure of the model book was had.</summary>
public enum HowHad
{
    /// <summary>It was read with a tool.</summary>
    Read,

    /// <summary>Somebody said so.</summary>
    Said,

    /// <summary>A catalogue has it.</summary>
    Catalogue,
}

/// <summary>What the model book has of a figure: it stands in for a reading until there is one.</summary>
/// <param name="Mean">The mean over the pieces.</param>
/// <param name="SpreadMm">Their standard deviation in millimetres, 0 or more; 0 of a single piece.</param>
/// <param name="Pieces">How many pieces, 1 or more.</param>
/// <param name="How">How it was had.</param>
/// <param name="Confirmed">Whether somebody who has the watch in hand said that it is so.</param>
public sealed record BookFigure(Length Mean, decimal SpreadMm, int Pieces, HowHad How = HowHad.Read, bool Confirmed = false)
{
    /// <summary>No spread is taken to be smaller, in millimetres.</summary>
    public const decimal LeastSpreadMm = 0.05m;

    /// <summary>From so many pieces on their own spread is gone by; before that, what one reading is known to.</summary>
    public const int Enough = 3;

    private const decimal OneReadingMm = 0.3m;

    /// <summary>The spread that is gone by, in millimetres.</summary>
    public decimal GoneByMm => Math.Max(SpreadMm, Pieces >= Enough ? LeastSpreadMm : OneReadingMm);

    /// <summary>How well it tells the figure of one more piece: one standard deviation in millimetres.</summary>
    public double SigmaMm => (double)GoneByMm * Math.Sqrt(1 + 1.0 / Pieces);

    /// <summary>Whether a reading is further off than three spreads: another edition, or a changed piece.</summary>
    public bool Disagrees(Length reading) => Math.Abs(reading.Millimetres - Mean.Millimetres) > 3 * GoneByMm;

    /// <summary>Where it is from, in words.</summary>
    public string Says => string.Create(CultureInfo.InvariantCulture,
        $"from the model book, {Pieces} {(Pieces == 1 ? "watch" : "watches")}{(Pieces > 1 ? $", ± {Math.Max(SpreadMm, LeastSpreadMm):0.##} mm" : "")}{(How == HowHad.Read ? "" : How == HowHad.Said ? ", as said" : ", by a catalogue")}");

    /// <summary>What the pieces of a model come to.</summary>
    /// <param name="pieces">How many.</param>
    /// <param name="sum">The sum of their micrometres.</param>
    /// <param name="squares">The sum of the squares of their micrometres.</param>
    /// <param name="how">How it was had.</param>
    public static BookFigure Of(int pieces, long sum, decimal squares, HowHad how)
    {
        var mean = (decimal)sum / pieces;
        var variance = pieces > 1 ? Math.Max(0, (squares - mean * sum) / (pieces - 1)) : 0;
        return new BookFigure(new Length((long)Math.Round(mean)), Math.Round((decimal)Math.Sqrt((double)variance) / 1000, 4), pieces, how);
    }
}
