namespace IronLoop.Core.Bench;

/// <summary>What a bench works from, as it was when the work began or was agreed anew.</summary>
/// <param name="Plan">The plan.</param>
/// <param name="AtSeq">How many steps were done then.</param>
public sealed record AgreedBench(BenchPlan Plan, int AtSeq);
