using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Shelf;

/// <summary>A clasp that could go on a job's band.</summary>
/// <param name="Part">The clasp.</param>
/// <param name="Judgement">What every rule says of it.</param>
/// <param name="Effect">What it does to the fit; null while wrist or head, or its half lengths, are unknown.</param>
/// <param name="Cures">Whether it cures a bracelet that is between sizes with its present clasp.</param>
public sealed record ClaspCandidate(Part Part, Judgement Judgement, ClaspEffect? Effect, bool Cures);

/// <summary>What clasps are judged by on one job.</summary>
/// <param name="Band">The band with its present clasp.</param>
/// <param name="End">Its clasp end.</param>
/// <param name="Target">The length wanted; null while it is not known.</param>
/// <param name="BareHead">The head, not raised.</param>
/// <param name="Pins">The pins at hand.</param>
/// <param name="Limits">The house's limits.</param>
/// <param name="Fit">How an opened hole is to hold its bar.</param>
/// <param name="Habits">How the client wears it.</param>
public sealed record ClaspBench(
    Band Band, BandEndFacts End, FitTarget? Target, Head? BareHead, IReadOnlyList<FrictionPin> Pins, HouseLimits Limits, BarFit? Fit = null,
    Habits? Habits = null)
{
    /// <summary>The fit with the present clasp; null while it cannot be worked out.</summary>
    public ClaspEffect? Present { get; } = Target is { } target ? ClaspOnBand.Effect(Band, target, BareHead, Habits) : null;

    /// <summary>What the rules say of the present clasp, measured as it is.</summary>
    public Judgement JudgePresent(ClaspFacts clasp) => new([.. Fitting(clasp), .. Target is { } target ? (RuleVerdict[])[ClaspReachRule.Judge(Present, null, target)] : []]);

    /// <summary>Judges one clasp.</summary>
    public ClaspCandidate Judge(Part part)
    {
        var clasp = part.Clasp ?? throw new ArgumentException($"{part.Article} is no clasp.", nameof(part));
        var rules = Fitting(clasp.Facts).ToList();
        // What cannot go on the band has no effect on its fit.
        var goesOn = rules.All(r => r.Rule != ClaspKindRule.Name || r.Verdict != Verdict.No);
        if (!goesOn)
            return new ClaspCandidate(part, new Judgement(rules), null, Cures: false);
        if (!ClaspOnBand.CanPlan(Band, clasp))
        {
            rules.Add(new RuleVerdict(ClaspReachRule.Name, Verdict.Unknown, "Measure the clasp’s two half lengths: from each last pivot to its centre."));
            return new ClaspCandidate(part, new Judgement(rules), null, Cures: false);
        }
        var effect = Target is { } wanted ? ClaspOnBand.Effect(ClaspOnBand.With(Band, part.Name, clasp), wanted, BareHead, Habits) : null;
        rules.Add(ClaspReachRule.Judge(effect, Present, Target ?? default));
        var judgement = new Judgement(rules);
        // A cure that does not go on is none.
        return new ClaspCandidate(
            part, judgement, effect, judgement.Verdict != Verdict.No && Target is { } target && ClaspReachRule.Cures(effect, Present, target));
    }

    /// <summary>
    /// All clasps, best first: by verdict; then those that cure a bracelet between sizes; then by how near the best length
    /// comes and how much is left each way; then by the smaller largest gap and the lower price.
    /// </summary>
    public IReadOnlyList<ClaspCandidate> Rank(IEnumerable<Part> parts) =>
    [
        .. parts.Where(p => p.Clasp is not null).Select(Judge)
            .OrderBy(c => c.Judgement.Verdict)
            .ThenByDescending(c => c.Cures)
            .ThenBy(Amiss)
            .ThenBy(c => c.Effect?.Reach.LargestGap ?? Length.FromMillimetres(1_000))
            .ThenBy(c => c.Part.PriceCents)
            .ThenBy(c => c.Part.Article, StringComparer.Ordinal),
    ];

    private IEnumerable<RuleVerdict> Fitting(ClaspFacts clasp)
    {
        foreach (var rule in ClaspToBand.Judge(End, clasp, Limits, Fit))
            yield return rule;
        if (clasp.Kind == ClaspKind.Butterfly)
            yield return PinRule.Judge(End.Bore, End.Width, Pins, Limits);
    }

    private Length Amiss(ClaspCandidate candidate) => candidate.Effect is { } effect && Target is { } target
        ? effect.Misfit + Length.Max((effect.Length - target.Length).Abs() - target.Tolerance, Length.Zero) + Length.FromMillimetres(effect.Wander)
            + (effect.Adjusts ? effect.Shortfall : Length.Zero)
        : Length.FromMillimetres(1_000);
}
