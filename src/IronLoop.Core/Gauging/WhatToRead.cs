using IronLoop.Core.Fitting;

namespace IronLoop.Core.Gauging;

/// <summary>What a job should read next before its bracelet is sized.</summary>
public static class WhatToRead
{
    // A slide has hundreds of places: nobody asked, so nobody waits for it.
    private const int MostPositions = 60;

    /// <summary>What each reading is expected to give.</summary>
    /// <param name="figures">What was gauged.</param>
    /// <param name="request">The bracelet and what is wanted.</param>
    /// <param name="need">The needed length, and how well it is known.</param>
    /// <returns>Null where there are too many arrangements or positions to weigh unasked.</returns>
    public static NextReading? Next(Figures figures, PlanRequest request, Need need)
    {
        if (need.Spread is not { } spread || request.Clasp.Positions > MostPositions || request.Target.Sigma == Measuring.Length.Zero)
            return null;
        // A house that goes by one way alone reads for that way.
        var way = figures.School.Way;
        bool Counts(Way by) => way is null || way == by;
        Readable[] readable =
        [
            .. spread.By.Select(b => b.Figure).Where(_ => Counts(Way.Measured)),
            .. (Readable[])(figures.TriedOn is null && way is null ? [Readable.TryOn] : []),
            .. (Readable[])(figures.Copy is null && way is null ? [Readable.Copy] : []),
        ];
        try
        {
            return NextReading.Of(new BestChance(request with { Effort = new Effort() }), request.Target.Length.ApproximateMillimetres, spread, readable);
        }
        catch (PlanTooLargeException)
        {
            return null;
        }
    }
}
