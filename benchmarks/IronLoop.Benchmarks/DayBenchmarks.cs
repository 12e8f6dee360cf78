using BenchmarkDotNet.Attributes;
using IronLoop.Core.Day;

namespace IronLoop.Benchmarks;

/// <summary>A full shop: two hundred open jobs, five fitters, twenty days.</summary>
public class DayBenchmarks
{
    private const int MinutesADay = 24 * 60;

    private readonly List<DayHand> _hands = [];
    private readonly List<DayJob> _jobs = [];

    [GlobalSetup]
    public void Fill()
    {
        var random = new Random(1);
        HashSet<string> nothing = [];
        for (var h = 0; h < 5; h++)
            _hands.Add(new DayHand($"{h}", [.. Enumerable.Range(0, 20).Select(d => new WorkTime(d * MinutesADay + 540, d * MinutesADay + 1080))], h == 4 ? new HashSet<string> { "mesh" } : nothing));
        for (var j = 0; j < 200; j++)
        {
            var from = random.Next(4) == 0 ? random.Next(1, 10) * MinutesADay : 540;
            _jobs.Add(new DayJob($"{j}", random.Next(5, 60), from, (from / MinutesADay + random.Next(2, 10)) * MinutesADay + 1080, random.Next(8) == 0 ? new HashSet<string> { "mesh" } : nothing) { Tools = $"{random.Next(4)}" });
        }
    }

    [Benchmark(Description = "feasible, and today's lists")]
    public int Lists() => (new Keeping(540, _hands).Keeps(_jobs) ? 1 : 0) + DayLists.Of(540, _hands, _jobs).Late.Count;

    [Benchmark(Description = "one promise")]
    public int? Promise() => new Keeping(540, _hands).Earliest(_jobs, new DayJob("one", 24, 540, 0, new HashSet<string>()), 20);
}
