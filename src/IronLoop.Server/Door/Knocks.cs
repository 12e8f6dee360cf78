using System.Collections.Concurrent;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Door;

/// <summary>
/// Knocks at any door that asks for a passphrase. A knock counts before the passphrase is looked at, so that many at once are no better
/// than one after the other; for the same initials from the same address one is looked at, at a time, and two in all. After three wrong
/// ones of a pair, or twelve from one address, each further one doubles the wait, up to a minute. Counts fade. A browser that was let in
/// before is counted for itself alone: whoever guesses from elsewhere keeps nobody out.
/// </summary>
internal sealed class Knocks(TimeProvider clock) : IDisposable
{
    private const int FreeAPair = 3, FreeAnAddress = 12, Remembered = 10_000, MostWaiting = 8;
    private static readonly TimeSpan LongestWait = TimeSpan.FromMinutes(1);
    private static readonly TimeSpan FadesIn = TimeSpan.FromMinutes(5);

    private readonly ConcurrentDictionary<string, (int Count, long At)> _wrong = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<string, bool> _inFlight = new(StringComparer.Ordinal);
    private readonly SemaphoreSlim _hashes = new(2);
    private int _waiting;

    /// <summary>Looks at a passphrase, once its turn has come.</summary>
    /// <param name="initials">Whose.</param>
    /// <param name="address">Where the knock comes from.</param>
    /// <param name="known">The mark of a browser that those initials were let in with before; null for another.</param>
    /// <param name="isRight">Whether it is right; as slow as a passphrase is hashed.</param>
    /// <param name="cancellation">Whoever knocks has gone away; the knock counts all the same.</param>
    /// <exception cref="RefusedException">There were too many; it is not looked at.</exception>
    public async Task<bool> Look(string initials, string address, string? known, Func<bool> isRight, CancellationToken cancellation)
    {
        var pair = known is null ? $"p {initials} {address}" : $"k {initials} {known}";
        string[] keys = known is null ? [pair, $"a {address}"] : [pair];
        if (!_inFlight.TryAdd(pair, true))
            throw Refuse(TimeSpan.FromSeconds(1), "Another try of these initials is still being looked at");
        try
        {
            var wait = keys.Select(k => Left(k, k[0] == 'a' ? FreeAnAddress : FreeAPair)).Max();
            if (wait > TimeSpan.Zero)
                throw Refuse(wait, "Too many wrong passphrases");
            foreach (var key in keys)
                Count(key);
            if (!await Hash(isRight, cancellation))
                return false;
            _wrong.TryRemove(pair, out _);
            // What was let in was no guess.
            if (known is null)
                Forget($"a {address}");
            return true;
        }
        finally
        {
            _inFlight.TryRemove(pair, out _);
        }
    }

    /// <summary>Does something as slow as hashing a passphrase, two at a time and no long queue.</summary>
    public async Task<T> Hash<T>(Func<T> slow, CancellationToken cancellation)
    {
        if (Interlocked.Increment(ref _waiting) > MostWaiting)
        {
            Interlocked.Decrement(ref _waiting);
            throw Refuse(TimeSpan.FromSeconds(1), "Too many knock at once");
        }
        try
        {
            await _hashes.WaitAsync(cancellation);
            try
            {
                return slow();
            }
            finally
            {
                _hashes.Release();
            }
        }
        finally
        {
            Interlocked.Decrement(ref _waiting);
        }
    }

    public void Dispose() => _hashes.Dispose();

    private static RefusedException Refuse(TimeSpan wait, string why)
    {
        var seconds = (int)Math.Ceiling(wait.TotalSeconds);
        return new RefusedException(StatusCodes.Status429TooManyRequests, $"{why}; wait {seconds} s, then try again.", new Dictionary<string, string[]>()) { RetryAfterSeconds = seconds };
    }

    private void Count(string key)
    {
        if (_wrong.Count >= Remembered)
            MakeRoom();
        _wrong.AddOrUpdate(key, _ => (1, clock.GetTimestamp()), (_, before) => (Faded(before) + 1, clock.GetTimestamp()));
    }

    private void Forget(string key)
    {
        if (_wrong.TryGetValue(key, out var counted))
            _wrong[key] = (Math.Max(0, counted.Count - 1), counted.At);
    }

    /// <summary>One less for every five quiet minutes.</summary>
    private int Faded((int Count, long At) wrong) => Math.Max(0, wrong.Count - (int)(clock.GetElapsedTime(wrong.At) / FadesIn));

    /// <summary>Those that have faded go first, then those with the fewest.</summary>
    private void MakeRoom()
    {
        foreach (var (key, _) in _wrong.OrderBy(w => Faded(w.Value)).ThenBy(w => w.Value.At).Take(Remembered / 10).ToList())
            _wrong.TryRemove(key, out _);
    }

    private TimeSpan Left(string key, int free)
    {
        if (!_wrong.TryGetValue(key, out var wrong) || Faded(wrong) is var count && count < free)
            return TimeSpan.Zero;
        var wait = TimeSpan.FromSeconds(Math.Pow(2, Math.Min(count - free, 10)));
        var left = (wait < LongestWait ? wait : LongestWait) - clock.GetElapsedTime(wrong.At);
        return left > TimeSpan.Zero ? left : TimeSpan.Zero;
    }
}
