using System.Globalization;
using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Models;

/// <summary>What a job tells the model book beside its readings: what is the model's, and not the piece's own.</summary>
public static class Taught
{
    /// <summary>Facts that only work at the bench tells: they stand until a later job tells another.</summary>
    public static IReadOnlySet<ModelFact> ByWork { get; } = new HashSet<ModelFact> { ModelFact.FreedTwelve, ModelFact.FreedSix, ModelFact.Tools, ModelFact.StrapLengths };

    /// <summary>What is no figure: as it was gauged, and once it is worked, how that went.</summary>
    public static IReadOnlyList<(ModelFact Fact, string Value)> FactsOf(JobSnapshot job)
    {
        var figures = job.Figures;
        (ModelFact, string?)[] gauged = [(ModelFact.Attachment, figures.Attachment?.ToString()), (ModelFact.CaseShape, figures.CaseShape?.ToString()), (ModelFact.Family, figures.Family)];
        (ModelFact, string?)[] worked = job.Account.Done.Count == 0 ? [] :
        [
            (ModelFact.FreedTwelve, Freed(job, Fitting.Side.Twelve)), (ModelFact.FreedSix, Freed(job, Fitting.Side.Six)),
            (ModelFact.Tools, job.Account.Looks.Values.Any(l => l.Fastener.IsPin()) ? job.Account.Setup.Tools.ToString() : null),
            (ModelFact.StrapLengths, job.Band?.Strap is { } strap ? string.Create(CultureInfo.InvariantCulture, $"{strap.BucklePiece.Millimetres:0.#}/{strap.Tail.Millimetres:0.#}") : null),
        ];
        return
        [
            .. gauged.Concat(worked).Where(f => f.Item2 is { Length: > 0 }).Select(f => (f.Item1, f.Item2!)),
            .. figures.Bracelet is { } bracelet ? EditionSheet.FactsOf(bracelet) : [],
        ];
    }

    /// <summary>What holds its joints, as far as somebody looked.</summary>
    public static IEnumerable<(JointGroup Group, JointLook Look)> JointsOf(JobSnapshot job) =>
        job.Account.Looks.Where(l => l.Value.Fastener != Fastener.NotLookedAt).Select(l => (l.Key, l.Value));

    private static string? Freed(JobSnapshot job, Fitting.Side side) => job.Marks.Freed.ContainsKey(side) ? nameof(FreedLink.Tried) : null;
}
