using System.Globalization;
using IronLoop.Core.Jobs;

namespace IronLoop.Core.HandOver;

/// <summary>What goes home from the shop's own stock with a job, and what it comes to: the price to begin with where none was agreed.</summary>
/// <param name="Cents">All of it, in cents.</param>
/// <param name="Lines">Each with its price, in words.</param>
public sealed record Goods(long Cents, IReadOnlyList<string> Lines)
{
    /// <summary>The band that goes on, unless it is the owner's own, and every part that was taken for the job.</summary>
    public static Goods Of(JobSnapshot job)
    {
        var lines = new List<(string Says, long Cents)>();
        if (job.Stock is { OwnerClientId: null, PriceCents: > 0 } band)
            lines.Add((band.Name, band.PriceCents));
        lines.AddRange(job.Taken.Where(t => t.Part.Part.PriceCents > 0).GroupBy(t => t.Part.Part.Article).Select(same => (
            same.Sum(t => t.Count) is > 1 and var count ? $"{count} {same.First().Part.Part.Name}" : same.First().Part.Part.Name,
            same.Sum(t => t.Count * t.Part.Part.PriceCents))));
        return new Goods(lines.Sum(l => l.Cents), [.. lines.Select(l => $"{l.Says} {(l.Cents / 100m).ToString("0.00", CultureInfo.InvariantCulture)}")]);
    }
}
