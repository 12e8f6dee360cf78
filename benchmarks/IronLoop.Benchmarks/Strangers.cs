using System.Diagnostics;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Benchmarks;

/// <summary>What the costliest of many random questions takes: processor time of the answer or refusal, and what was allocated on the way.</summary>
internal static class Strangers
{
    /// <summary>Asks so many, and prints the worst.</summary>
    /// <param name="count">How many are drawn.</param>
    /// <param name="part">Of these every so many-th is asked, from this one on: several processes share the work.</param>
    /// <param name="parts">How many share it.</param>
    public static void Run(int count, int part = 0, int parts = 1)
    {
        var random = new Random(20_261_128);
        var worst = new List<(double Ms, double Mb, string What, PlanRequest Request)>();
        var (answered, refused) = (0, 0);
        for (var i = 0; i < count; i++)
        {
            var (request, what) = Draw(random);
            if (i % parts != part)
                continue;
            var (ms, mb, isAnswered) = Ask(request);
            (answered, refused) = isAnswered ? (answered + 1, refused) : (answered, refused + 1);
            worst.Add((ms, mb, isAnswered ? what : what + ", refused", request));
        }
        Console.WriteLine($"{worst.Count} questions: {answered} answered, {refused} refused");
        // Compiling and collecting count as well, and fall on whichever question is asked then: the dearest are asked again.
        foreach (var (ms, mb, what, request) in worst.OrderByDescending(w => w.Ms).Take(10))
            Console.WriteLine($"  {ms:0} ms, asked again {Enumerable.Range(0, 3).Min(_ => Ask(request).Ms):0} ms of processor, {mb:0.0} MB allocated: {what}");
        foreach (var (_, mb, what, _) in worst.OrderByDescending(w => w.Mb).Take(3))
            Console.WriteLine($"  {mb:0.0} MB allocated: {what}");
        Console.WriteLine($"  median {worst.OrderBy(w => w.Ms).ElementAt(worst.Count / 2).Ms:0.00} ms");
    }

    /// <summary>Asks one: processor time over all threads, whatever else the machine does meanwhile.</summary>
    private static (double Ms, double Mb, bool IsAnswered) Ask(PlanRequest request)
    {
        using var process = Process.GetCurrentProcess();
        var (before, isAnswered) = (GC.GetTotalAllocatedBytes(), true);
        var taken = process.TotalProcessorTime;
        try
        {
            Planner.Answer(request with { Effort = new Effort() });
        }
        catch (PlanTooLargeException)
        {
            isAnswered = false;
        }
        process.Refresh();
        return ((process.TotalProcessorTime - taken).TotalMilliseconds, (GC.GetTotalAllocatedBytes() - before) / 1e6, isAnswered);
    }

    private static (PlanRequest, string) Draw(Random random)
    {
        var (twelve, six) = (random.Next(1, 25), random.Next(1, 25));
        // In thousandths, in tenths, or of one pitch.
        var grain = random.Next(4) switch { 0 => 1, 1 => 10, 2 => 100, _ => 3_000 };
        Link[] Row(int count) => [.. Enumerable.Range(0, count).Select(_ => new Link(new Length(6_000 + grain * random.Next(0, 3_000 / grain + 1)), random.Next(10) > 0))];
        var positions = random.Next(1, 13);
        var window = new Length(random.Next(3) == 0 ? 1 : random.Next(1, 40_000));
        var tolerance = new Length(random.Next(3) == 0 ? 1 : random.Next(1, 40_000));
        return (new PlanRequest(
                new Bracelet(Row(twelve), Row(six)), [], new BraceletClasp(new(18_000), new(18_000), Side.Twelve, positions, positions == 1 ? Length.Zero : new(random.Next(200, 3_000)), 0),
                new FitTarget(new(random.Next(120_000, 220_000)), window, tolerance), new Centring(Length.Zero, tolerance), PlanRequest.HouseReserve),
            $"{twelve} + {six} links in {grain} µm, {positions} positions, window {window}, tolerance {tolerance}");
    }
}
