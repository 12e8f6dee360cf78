using BenchmarkDotNet.Running;
using IronLoop.Benchmarks;

// Not a matter of nanoseconds: how dear a question can a stranger make.
if (args is ["strangers", ..])
    Strangers.Run(args is [_, { } count] ? int.Parse(count, System.Globalization.CultureInfo.InvariantCulture) : 10_000);
else
    BenchmarkSwitcher.FromAssembly(typeof(PlanBenchmarks).Assembly).Run(args);
