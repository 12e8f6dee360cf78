using System.Buffers.Binary;
using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Shelf;

/// <summary>
/// A link bracelet's reach, packed for looking up and for storing: each length with the most that can be left the lesser
/// way when it is made. It is worked out once, when the bracelet is stored.
/// </summary>
public sealed class ShelfReach
{
    private readonly int[] _lengths;
    private readonly int[] _reserves;

    // What is made only with the clasp off its place.
    private readonly int[] _offPlace;

    // In the packed form it says so where a reserve would stand.
    private const int OffPlace = -1;

    private ShelfReach(int[] lengths, int[] reserves, int[] offPlace) => (_lengths, _reserves, _offPlace) = (lengths, reserves, offPlace);

    /// <summary>How many lengths it has with its clasp in its place.</summary>
    public int Count => _lengths.Length;

    /// <summary>Works out the reach of a bracelet with its clasp and spares, in whole micrometres.</summary>
    public static ShelfReach Of(Band bracelet)
    {
        var request = Sizing.Request(bracelet, new FitTarget(Length.Zero, Length.Zero, Length.Zero));
        var clasp = request.Clasp;
        var best = new SortedDictionary<int, int>();
        foreach (var (length, position) in Reach.Arrangements(request))
        {
            var left = Math.Min(clasp.Tighter(position).Micrometres, clasp.Looser(position).Micrometres);
            var key = (int)length.Micrometres;
            best[key] = Math.Max(best.GetValueOrDefault(key), (int)left);
        }
        return new ShelfReach([.. best.Keys], [.. best.Values], [.. Reach.OffItsPlace(request with { Effort = new Effort() }).Select(l => (int)l.Micrometres)]);
    }

    /// <summary>What a bracelet's reach depends on, as text: bracelets that differ in width or finish alone share it.</summary>
    /// <exception cref="InvalidOperationException">The band is no link bracelet.</exception>
    public static string MadeOf(Band bracelet)
    {
        if (bracelet is not { Links: { } links, Clasp: { } clasp })
            throw new InvalidOperationException("Only a link bracelet has a reach of its own.");
        static string Row(IReadOnlyList<Link> row) => string.Join(' ', row.Select(l => $"{l.Pitch.Micrometres}{(l.Removable ? l.OneSided ? "o" : "" : "f")}"));
        var spares = string.Join(' ', bracelet.Spares.OrderBy(s => s.Pitch).ThenBy(s => s.Count).Select(s => $"{s.Count}x{s.Pitch.Micrometres}"));
        // Where the clasp stands now does not change what it can be set to.
        return FormattableString.Invariant(
            $"12 {Row(links.Twelve)} | 6 {Row(links.Six)} | spare {spares} | clasp {clasp.Twelve.Micrometres} {clasp.Six.Micrometres} {clasp.MicroSide} {clasp.Positions} {clasp.Step.Micrometres}");
    }

    /// <summary>
    /// As bytes: for each length four bytes of it and four of what is left, micrometres, the low byte first; −1 is left where the clasp would be
    /// off its place.
    /// </summary>
    public byte[] Pack()
    {
        var packed = new byte[8 * (Count + _offPlace.Length)];
        var at = 0;
        foreach (var (length, left) in _lengths.Zip(_reserves).Concat(_offPlace.Select(l => (l, OffPlace))))
        {
            BinaryPrimitives.WriteInt32LittleEndian(packed.AsSpan(at), length);
            BinaryPrimitives.WriteInt32LittleEndian(packed.AsSpan(at + 4), left);
            at += 8;
        }
        return packed;
    }

    /// <summary>Back from bytes.</summary>
    /// <exception cref="FormatException">They are not what <see cref="Pack"/> makes.</exception>
    public static ShelfReach Unpack(ReadOnlySpan<byte> packed)
    {
        if (packed.Length % 8 != 0)
            throw new FormatException($"A packed reach has eight bytes a length; these are {packed.Length}.");
        var (lengths, reserves, offPlace) = (new List<int>(packed.Length / 8), new List<int>(packed.Length / 8), new List<int>());
        for (var at = 0; at < packed.Length; at += 8)
        {
            var (length, left) = (BinaryPrimitives.ReadInt32LittleEndian(packed[at..]), BinaryPrimitives.ReadInt32LittleEndian(packed[(at + 4)..]));
            if (left == OffPlace)
            {
                offPlace.Add(length);
                continue;
            }
            lengths.Add(length);
            reserves.Add(left);
        }
        return new ShelfReach([.. lengths], [.. reserves], [.. offPlace]);
    }

    /// <summary>The same, as a reach to be drawn and asked for its gaps.</summary>
    public Reach Whole() => Reach.Of(_lengths.Select((length, i) => new ReachedLength(new Length(length), _reserves[i] > 0)), _offPlace.Select(l => new Length(l)));

    /// <summary>The most that can be left the lesser way with a length inside the window; null when no length is.</summary>
    public Length? Reserve(Length target, Length window)
    {
        var from = target.Micrometres - window.Micrometres;
        var to = target.Micrometres + window.Micrometres;
        var at = Array.BinarySearch(_lengths, (int)from);
        if (at < 0)
            at = ~at;
        var best = -1;
        for (; at < _lengths.Length && _lengths[at] <= to; at++)
            best = Math.Max(best, _reserves[at]);
        return best < 0 ? null : new Length(best);
    }

    /// <summary>What the nearest length misses the window by.</summary>
    public Length Missing(Length target, Length window)
    {
        var at = Array.BinarySearch(_lengths, (int)target.Micrometres);
        var next = at < 0 ? ~at : at;
        var above = next < _lengths.Length ? _lengths[next] - target.Micrometres : long.MaxValue;
        var below = next > 0 ? target.Micrometres - _lengths[next - 1] : long.MaxValue;
        return new Length(Math.Max(0, Math.Min(above, below) - window.Micrometres));
    }

    /// <summary>Whether a length inside the window is made with the clasp off its place.</summary>
    public bool MakesOffItsPlace(Length target, Length window)
    {
        var at = Array.BinarySearch(_offPlace, (int)(target - window).Micrometres);
        at = at < 0 ? ~at : at;
        return at < _offPlace.Length && _offPlace[at] <= (target + window).Micrometres;
    }

    /// <summary>
    /// About the chance to be right at the first opening: of a length, with what is left both ways while its clasp stays in its place. It orders
    /// bands; a plan's own chance is worked out link by link.
    /// </summary>
    /// <returns>Null while it is not known how well the length is known.</returns>
    public double? Chance(FitTarget wanted)
    {
        if (wanted.Sigma <= Length.Zero)
            return null;
        var (target, sigma) = ((double)wanted.Length.Micrometres, (double)wanted.Sigma.Micrometres);
        var (near, best) = (wanted.Window.Micrometres + PlanRequest.HouseTolerance.Micrometres + (long)(3 * sigma), 0.0);
        var first = Array.BinarySearch(_lengths, (int)(wanted.Length.Micrometres - near));
        for (var i = first < 0 ? ~first : first; i < _lengths.Length && _lengths[i] <= wanted.Length.Micrometres + near; i++)
        {
            var room = wanted.Window.Micrometres + Math.Min(_reserves[i], PlanRequest.HouseCentring.Tolerance.Micrometres);
            best = Math.Max(best, FirstTimeChance.Between((_lengths[i] - room - target) / sigma, (_lengths[i] + room - target) / sigma));
        }
        return best;
    }
}
