using BenchmarkDotNet.Attributes;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Benchmarks;

/// <summary>The planner on named bracelets. Run: dotnet run -c Release --project benchmarks/IronLoop.Benchmarks -- --filter '*'</summary>
[MemoryDiagnoser]
public class PlanBenchmarks
{
    private readonly PlanRequest _usual = Usual();
    private readonly PlanRequest _long = Long();
    private readonly PlanRequest _extreme = Extreme(300);
    private readonly PlanRequest _extremeFar = Extreme(160);

    /// <summary>The whole answer for a usual bracelet: 10 links a side that come out, one of them a half link, 8 positions.</summary>
    [Benchmark]
    public PlanAnswer UsualWhole() => Planner.Answer(Anew(_usual));

    /// <summary>The recommended plan alone for the usual bracelet.</summary>
    [Benchmark]
    public Plan UsualRecommended() => Planner.Recommend(Anew(_usual));

    /// <summary>The recommended plan for 15 links a side of two pitches, 10 spares, 60 positions.</summary>
    [Benchmark]
    public Plan LongRecommended() => Planner.Recommend(Anew(_long));

    /// <summary>The whole answer for it.</summary>
    [Benchmark]
    public PlanAnswer LongWhole() => Planner.Answer(Anew(_long));

    /// <summary>The recommended plan for 30 links a side of four pitches evenly mixed, 40 spares, 400 steps of a slide.</summary>
    [Benchmark]
    public Plan ExtremeRecommended() => Planner.Recommend(Anew(_extreme));

    /// <summary>The same where many links have to leave.</summary>
    [Benchmark]
    public Plan ExtremeFarRecommended() => Planner.Recommend(Anew(_extremeFar));

    /// <summary>The whole answer for the usual bracelet, the length known to 1.5 mm.</summary>
    [Benchmark]
    public PlanAnswer UsualWholeKnown() => Planner.Answer(Known(_usual));

    /// <summary>The recommended plan alone for it.</summary>
    [Benchmark]
    public Plan UsualRecommendedKnown() => Planner.Recommend(Known(_usual));

    /// <summary>The whole answer for 15 links a side, the length known to 1.5 mm.</summary>
    [Benchmark]
    public PlanAnswer LongWholeKnown() => Planner.Answer(Known(_long));

    /// <summary>The recommended plan alone for it.</summary>
    [Benchmark]
    public Plan LongRecommendedKnown() => Planner.Recommend(Known(_long));

    /// <summary>The recommended plan for the extreme, where the chance cannot be weighed in.</summary>
    [Benchmark]
    public Plan ExtremeRecommendedKnown() => Planner.Recommend(Known(_extreme));

    // What a question may cost is counted: each is asked with a purse of its own.
    private static PlanRequest Anew(PlanRequest request) => request with { Effort = new Effort() };

    private static PlanRequest Known(PlanRequest request) => Anew(request) with { Target = request.Target with { Sigma = Mm(1.5m) } };

    /// <summary>Needed length and its uncertainty.</summary>
    [Benchmark]
    public Need? Need() => NeededLength.WithUncertainty(Mm(170), 1.35m, new Head(Mm(44), Mm(3)), Mm(1.75m), default);

    private static PlanRequest Usual()
    {
        Link[] twelve = [new(Mm(8.6m), false), .. Enumerable.Repeat(new Link(Mm(8.2m), true), 9), new(Mm(5), true)];
        Link[] six = [new(Mm(8.6m), false), .. Enumerable.Repeat(new Link(Mm(8.2m), true), 10)];
        return Request(twelve, six, [], new BraceletClasp(Mm(18.4m), Mm(19.6m), Side.Twelve, 8, Mm(1.8m), 3), 157.5m);
    }

    private static PlanRequest Long()
    {
        Link[] row = [new(Mm(7.1m), false), .. Enumerable.Repeat(new Link(Mm(6.3m), true), 8), .. Enumerable.Repeat(new Link(Mm(4.7m), true), 7)];
        return Request(row, row, [new SpareLinks(Mm(6.3m), 5), new SpareLinks(Mm(4.7m), 5)],
            new BraceletClasp(Mm(18.4m), Mm(19.6m), Side.Twelve, 60, Mm(0.3m), 30), 157.5m);
    }

    private static PlanRequest Extreme(decimal target)
    {
        var pitches = new[] { 6.3m, 4.7m, 5.2m, 3.9m };
        Link[] row = [.. Enumerable.Range(0, 30).Select(i => new Link(Mm(pitches[i % 4]), true))];
        return Request(row, row, [.. pitches.Select(p => new SpareLinks(Mm(p), 10))], new BraceletClasp(Mm(20), Mm(22), Side.Six, 400, Mm(0.1m), 100), target);
    }

    private static PlanRequest Request(Link[] twelve, Link[] six, SpareLinks[] spares, BraceletClasp clasp, decimal target) =>
        new(new Bracelet(twelve, six), spares, clasp, new FitTarget(Mm(target), Mm(2.5m), PlanRequest.HouseTolerance),
            PlanRequest.HouseCentring, PlanRequest.HouseReserve);

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
