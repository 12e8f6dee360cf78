using System.Collections.Concurrent;

namespace IronLoop.Load;

/// <summary>Every call by its kind, how long it took, and what was refused.</summary>
internal sealed class Tally
{
    private readonly ConcurrentDictionary<string, ConcurrentBag<double>> _times = new(StringComparer.Ordinal);
    private readonly ConcurrentBag<double> _writes = [];
    private readonly ConcurrentDictionary<string, int> _errors = new(StringComparer.Ordinal);

    public void Add(string kind, bool isWrite, TimeSpan took, string? error)
    {
        if (isWrite)
            _writes.Add(took.TotalMilliseconds);
        _times.GetOrAdd(kind, _ => []).Add(took.TotalMilliseconds);
        if (error is not null)
            _errors.AddOrUpdate(error.Length > 200 ? error[..200] : error, 1, (_, n) => n + 1);
    }

    public void Print(TimeSpan over)
    {
        Console.WriteLine($"{"kind",-12}{"calls",8}{"p50 ms",10}{"p99 ms",10}{"worst",10}");
        var all = _times.Values.SelectMany(t => t).Order().ToArray();
        foreach (var (kind, times) in _times.OrderBy(t => t.Key, StringComparer.Ordinal))
            Line(kind, [.. times.Order()]);
        if (!_writes.IsEmpty)
            Line("writes", [.. _writes.Order()]);
        Line("all", all);
        Console.WriteLine($"{all.Length / over.TotalSeconds:0} calls a second, {_errors.Values.Sum()} refused or failed");
        foreach (var (error, count) in _errors.OrderByDescending(e => e.Value).Take(10))
            Console.WriteLine($"  {count} × {error}");
    }

    private static void Line(string kind, double[] sorted) =>
        Console.WriteLine($"{kind,-12}{sorted.Length,8}{At(sorted, 0.5),10:0.0}{At(sorted, 0.99),10:0.0}{sorted[^1],10:0.0}");

    private static double At(double[] sorted, double share) => sorted[Math.Min(sorted.Length - 1, (int)(share * sorted.Length))];
}
