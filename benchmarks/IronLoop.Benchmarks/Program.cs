using BenchmarkDotNet.Running;
using IronLoop.Benchmarks;

BenchmarkSwitcher.FromAssembly(typeof(PlanBenchmarks).Assembly).Run(args);
