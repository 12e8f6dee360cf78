using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;

namespace IronLoop.Core.Jobs;

/// <summary>What is still to be said or gauged of a job, and which stations it passes: as the table of what is asked has it.</summary>
public static class Asking
{
    /// <summary>How a job is asked for, by what was said of it.</summary>
    public static Needs NeedsOf(JobSnapshot job) => Needs.Of(job.Job.Request, job.Work is HandWork.ByCount or HandWork.AtPlace);

    /// <summary>What the work cannot be told without and nobody said yet, in the order of the hand.</summary>
    public static IReadOnlyList<Wanted> Missing(JobSnapshot job) => [.. NeedsOf(job).Must.SelectMany(asked => Missing(job, asked))];

    /// <summary>The stations that a job passes. The others are open, and nothing waits for them.</summary>
    public static IReadOnlySet<Station> Uses(JobSnapshot job)
    {
        var uses = new HashSet<Station>(NeedsOf(job).Stations);
        // A band that is chosen is looked over, whatever was asked.
        if (job is { Work: null, Stock: not null } && uses.Count == 0)
            uses.UnionWith([Station.Match, Station.Size]);
        // A length that nobody judges has no plan to look over.
        if (job.Work is not null || !NeedsOf(job).IsSized && job.Target is null)
            uses.Remove(Station.Size);
        return uses;
    }

    private static IReadOnlyList<Wanted> Missing(JobSnapshot job, Asked asked)
    {
        var figures = job.Figures;
        IReadOnlyList<Wanted> Unless(bool known, string field, string words) => known ? [] : [Wanted.Gauged(field, words)];
        return asked switch
        {
            Asked.LugWidth => Unless(figures[GaugedFigure.LugWidth] is not null, "lugWidth", "lug width"),
            Asked.Head => Unless(figures.Head is not null, "lugToLug", "lug-to-lug"),
            Asked.Wrist => Unless(figures.WristIsKnown, "wrist", "wrist"),
            Asked.Wear => Unless(figures.Wear is not null, "wear", "wear preference"),
            Asked.Bracelet => job.Stock is not null ? [] : [.. (figures.Bracelet ?? new OwnBracelet()).Missing(figures).Select(m => Wanted.Gauged("bracelet", m))],
            Asked.ClaspEnd => Unless(job.Band?.ClaspEnd is not null || figures[GaugedFigure.ClaspEnd] is not null, "claspEnd", "band width at the clasp"),
            Asked.Count => Unless(job.Work is HandWork.ByCount or HandWork.AtPlace, "byHand", "how many links of which side"),
            Asked.Place => Unless(job.Work is HandWork.AtPlace, "byHand", "which place now, and which it shall be"),
            Asked.Part => Unless(job.Work is HandWork.Part, "byHand", "which part, and where"),
            Asked.OwnBand => Unless(job.Work is HandWork.OwnBandOn, "byHand", "what the band is, and how it attaches"),
            // What is on it is taken to be what is usual, and how that is held, not looked at yet; what closes it is looked at, at the Clasp.
            _ => [],
        };
    }
}
