using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A piece of work.</summary>
internal sealed record WorkWire(string What, bool Reversible, string Tools, int Minutes, string? Caution);

/// <summary>What a rule found.</summary>
/// <param name="Figure">The number that decides it, short.</param>
internal sealed record RuleWire(string Rule, Verdict Verdict, string Says, string? Figure, IReadOnlyList<WorkWire> Work)
{
    public static RuleWire Of(RuleVerdict rule) =>
        new(rule.Rule, rule.Verdict, rule.Says, rule.Figure, [.. rule.Work.Select(w => new WorkWire(w.What, w.Reversible, w.Tools, w.Minutes, w.Caution))]);
}
