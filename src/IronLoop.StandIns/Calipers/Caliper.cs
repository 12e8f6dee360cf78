using System.Globalization;

namespace IronLoop.StandIns.Calipers;

/// <summary>
/// A digital caliper as its electronics see it: a jaw, a zero, a unit, and the small unsteadiness of a hand and a
/// scale. Lengths are millimetres.
/// </summary>
/// <param name="random">Where the unsteadiness comes from.</param>
internal sealed class Caliper(Random random)
{
    /// <summary>How far the jaw opens.</summary>
    public const double Opens = 200;

    /// <summary>One standard deviation of the unsteadiness.</summary>
    private const double Unsteady = 0.008;

    private readonly Lock _lock = new();
    private double _jaw = 20;
    private double _zero;
    private bool _inches;

    /// <summary>Where the jaw stands.</summary>
    public double Jaw
    {
        get
        {
            lock (_lock)
                return _jaw;
        }
        set
        {
            lock (_lock)
                _jaw = Math.Clamp(value, 0, Opens);
        }
    }

    /// <summary>Whether it shows inches.</summary>
    public bool Inches
    {
        get
        {
            lock (_lock)
                return _inches;
        }
    }

    /// <summary>Changes between millimetres and inches.</summary>
    public void ChangeUnit()
    {
        lock (_lock)
            _inches = !_inches;
    }

    /// <summary>Takes where the jaw stands for nought.</summary>
    public void Zero()
    {
        lock (_lock)
            _zero = _jaw;
    }

    /// <summary>What the display shows and the line sends: hundredths of a millimetre, or half thousandths of an inch.</summary>
    public string Read()
    {
        lock (_lock)
        {
            var mm = _jaw - _zero + Unsteady * Normal();
            return _inches
                ? (Math.Round(mm / 25.4 * 2000) / 2000).ToString("0.0000", CultureInfo.InvariantCulture) + " in"
                : (Math.Round(mm * 100) / 100).ToString("0.00", CultureInfo.InvariantCulture) + " mm";
        }
    }

    /// <summary>A standard normal number, by the polar form of two even ones.</summary>
    private double Normal() => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
