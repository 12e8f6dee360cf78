using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Jobs;

/// <summary>What was done to a job, in plain words for owner and log.</summary>
public static class WhatWasDone
{
    /// <summary>As far as it is decided.</summary>
    public static string Say(JobSnapshot job)
    {
        if (job.Job.IsUnworked)
            return "Nothing was done to it: it went back as it came.";
        if (job is { Stock: null, Work: null })
            return "Nothing was done yet.";
        var did = new List<string>();
        if (job.Work?.Says is { Length: > 0 } byHand)
            did.Add(byHand);
        else if (job is { Work: null, Stock: { } stock })
            did.Add(stock.OwnerClientId is null ? $"{stock.Name} fitted." : $"Own band, {stock.Name}.");
        if (job.OtherClasp is { } other)
            did.Add($"{other.Part.Name} put on instead of the {job.Chosen!.WithOwnClasp.ClaspName}.");
        if (job.Clasp.SwapEnds)
            did.Add("The band’s ends swapped.");
        if (job.Plan is not { } plan)
            return string.Join(' ', did);
        if (job.Work is not null)
            return $"{string.Join(' ', did)}{Tried(job)}";
        if (plan.Target is null)
            return $"{string.Join(' ', did)} Not sized: its wearer picks the {job.Holed?.Place ?? "place"}.{Tried(job)}";
        if (job.Figures is { WristIsKnown: false, Copy.By: var by })
            did.Add($"Sized from {by switch { LoopBy.OldStrap => "the old strap", LoopBy.Sent => "a measure that was sent", _ => "a loop that fits" }}.");
        if (job.Holed is { } holed)
            return $"{string.Join(' ', did)} Closed {holed.Closed(plan.Arrangement.Position)}.{Tried(job)}";
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            foreach (var (fate, word) in ((LinkFate, string)[])[(LinkFate.Leaves, "taken out of"), (LinkFate.Joins, "put into")])
            {
                var count = plan.Arrangement.On(side).Count(l => l.Fate == fate);
                if (count > 0)
                    did.Add($"{count} {(count == 1 ? "link" : "links")} {word} the {PlanWords.Name(side)} side.");
            }
        }
        if (job.Band!.Clasp is { Positions: > 1 } clasp)
            did.Add($"Micro-adjust in position {plan.Arrangement.Position + 1} of {clasp.Positions}.");
        return $"{string.Join(' ', did)}{Tried(job)}";
    }

    private static string Tried(JobSnapshot job) => $"{Replaced(job)}{(job switch
    {
        { Account.Tried: { } felt } => $" {felt.Says(null)}",
        { Job.HasWearer: false } when job.Work is null or HandWork.ByCount or HandWork.AtPlace => " Not tried on: its wearer was not here.",
        _ => "",
    })}";

    /// <summary>Parts that took the place of others, which were lost, bent or worn.</summary>
    private static string Replaced(JobSnapshot job) => job.Bench.Now?.Stand.Things.Where(t => t is { Instead: not null, Place: not Place.Drawer }).ToList() is { Count: > 0 } fresh
        ? $" Replaced: {string.Join(", ", fresh.GroupBy(t => t.Like).Select(g => g.First().Count(g.Count())))}." : "";
}
