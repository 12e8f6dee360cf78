using System.Collections.Concurrent;

namespace IronLoop.Server.Door;

/// <summary>
/// Slows wrong passphrases: after three in a row for the same initials, or ten from the same address, each further one doubles the
/// wait, up to a minute. A right one forgets them.
/// </summary>
internal sealed class WrongTries(TimeProvider clock)
{
    private const int Remembered = 10_000;
    private static readonly TimeSpan LongestWait = TimeSpan.FromMinutes(1);

    private readonly ConcurrentDictionary<string, (int Count, long At)> _wrong = new(StringComparer.Ordinal);

    /// <summary>How long is still to be waited; nought when a try is taken.</summary>
    public TimeSpan Wait(string initials, string address) => Longer(Left("i " + initials, 3), Left("a " + address, 10));

    public void Wrong(string initials, string address)
    {
        if (_wrong.Count > Remembered)
            _wrong.Clear();
        foreach (var key in (string[])["i " + initials, "a " + address])
            _wrong.AddOrUpdate(key, _ => (1, clock.GetTimestamp()), (_, before) => (before.Count + 1, clock.GetTimestamp()));
    }

    public void Right(string initials, string address)
    {
        _wrong.TryRemove("i " + initials, out _);
        _wrong.TryRemove("a " + address, out _);
    }

    private TimeSpan Left(string key, int free)
    {
        if (!_wrong.TryGetValue(key, out var wrong) || wrong.Count < free)
            return TimeSpan.Zero;
        var wait = TimeSpan.FromSeconds(Math.Pow(2, Math.Min(wrong.Count - free, 10)));
        var left = (wait < LongestWait ? wait : LongestWait) - clock.GetElapsedTime(wrong.At);
        return left > TimeSpan.Zero ? left : TimeSpan.Zero;
    }

    private static TimeSpan Longer(TimeSpan a, TimeSpan b) => a > b ? a : b;
}
