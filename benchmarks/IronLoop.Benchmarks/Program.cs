using BenchmarkDotNet.Running;
using IronLoop.Benchmarks;

// Not a matter of nanoseconds: how dear a question can a stranger make. strangers 10000 0 2 asks the first half of them.
if (args is ["strangers", ..])
{
    int Number(int at, int usual) => args.Length > at ? int.Parse(args[at], System.Globalization.CultureInfo.InvariantCulture) : usual;
    Strangers.Run(Number(1, 10_000), Number(2, 0), Number(3, 1));
}
else
    BenchmarkSwitcher.FromAssembly(typeof(PlanBenchmarks).Assembly).Run(args);
