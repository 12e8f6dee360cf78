using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;

namespace IronLoop.Core.HandOver;

/// <summary>What an owner has to know of how a watch sits: said at Size, before closing, and on the card.</summary>
public static class Drawbacks
{
    /// <summary>Them in words: nothing left one way, a clasp off its place, a head that sits tall.</summary>
    /// <param name="job">The job.</param>
    public static IReadOnlyList<string> Of(JobSnapshot job)
    {
        if (job.Work is not null || job.Target is not { } target || job.Band is not { } band || job.Arrangement() is not { } arrangement)
            return [];
        var said = new List<string>();
        if (job.Holed is { } holed)
        {
            var position = job.WornOnUsualDays is not null && job.Account.Tried?.Position is { } found ? found : arrangement.Position;
            NothingLeft(said, holed.Holes > 1, position == 0, position == holed.Holes - 1, $"it is closed {holed.Closed(position)}");
        }
        else if (band.Clasp is { } clasp)
        {
            NothingLeft(said, clasp.Positions > 1, arrangement.Position == 0, arrangement.Position == clasp.Positions - 1, "it takes a link");
            var judged = Planner.Judge(Sizing.Request(band, target, job.Figures.Habits), arrangement);
            if (judged.WanderMillimetres > 0)
                said.Add($"The clasp sits off its place, {judged.TwiceOffCentre.Abs().Half().ToTenths()} toward the {(judged.TwiceOffCentre > Length.Zero ? "6" : "12")} side.");
        }
        if (BuildRule.Judge(job.Figures.Watch, band.FactsWorn(job.Way), job.Figures.Wearer, job.House.Limits) is { Verdict: Verdict.Compromise } tall)
            said.Add(tall.Says);
        return said;
    }

    private static void NothingLeft(List<string> said, bool adjusts, bool isTightest, bool isLoosest, string how)
    {
        if (adjusts && isTightest)
            said.Add($"Nothing is left to tighten: {how}.");
        if (adjusts && isLoosest)
            said.Add($"Nothing is left to loosen: {how}.");
    }
}
