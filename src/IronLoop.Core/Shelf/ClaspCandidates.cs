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

    /// <summary>What the rules say of the present clasp, measured as it is; it is on, so nothing is said of it that nobody measured.</summary>
    public Judgement JudgePresent(ClaspFacts clasp) => new([.. Fitting(clasp).Where(r => r.Certainty == Certainty.Certain), .. Target is { } target && Present is { } present ? (RuleVerdict[])[ClaspReachRule.Judge(present, null, target)] : []]);

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
            if (Target is { } length && OverUsualHalves(part.Name, clasp, length) is { } likely)
                rules.Add(likely);
            return new ClaspCandidate(part, new Judgement(rules), null, Cures: false);
        }
        var effect = Target is { } wanted ? ClaspOnBand.Effect(ClaspOnBand.With(Band, part.Name, clasp), wanted, BareHead, Habits) : null;
        if (effect is { } made && Target is { } asked)
            rules.Add(ClaspReachRule.Judge(made, Present, asked));
        var judgement = new Judgement(rules);
        // A cure that does not go on is none.
        return new ClaspCandidate(
            part, judgement, effect, judgement.Verdict != Verdict.No && Target is { } target && ClaspReachRule.Cures(effect, Present, target));
    }

    /// <summary>
    /// All clasps, best first: what is certain of them, looks left out; what goes on as it is wherever the unread figures lie; those that cure a
    /// bracelet between sizes; the kind that is on it now; looks; how near the best length comes and how much is left each way; the smaller
    /// largest gap; the lower price.
    /// </summary>
    public IReadOnlyList<ClaspCandidate> Rank(IEnumerable<Part> parts) =>
    [
        .. parts.Where(p => p.Clasp is not null).Select(Judge)
            .OrderBy(c => Stands(c.Judgement))
            .ThenBy(c => Off(c.Judgement))
            .ThenBy(c => c.Judgement.Certainty)
            .ThenByDescending(c => c.Cures)
            .ThenBy(c => c.Part.Clasp!.Facts.Kind != Band.ClaspKind)
            .ThenBy(c => c.Judgement.Rules.FirstOrDefault(r => r.Rule == ClaspFinishRule.Name)?.Verdict ?? Verdict.Fits)
            .ThenBy(Amiss)
            .ThenBy(c => c.Effect?.Reach.LargestGap ?? Length.FromMillimetres(1_000))
            .ThenBy(c => c.Part.PriceCents)
            .ThenBy(c => c.Part.Article, StringComparer.Ordinal),
    ];

    private static Verdict Stands(Judgement judgement) => judgement.Rules
        .Where(r => r.Certainty != Certainty.Likely && r.Rule != ClaspFinishRule.Name)
        .Select(r => r.Verdict == Verdict.Work && r.Work.All(w => w.Reversible) ? Verdict.Compromise : r.Verdict)
        .DefaultIfEmpty(Verdict.Fits).Max();

    private static int Off(Judgement judgement) => (int)Math.Round(10 * (1 - judgement.Rules.Aggregate(1.0, (on, r) => on * (1 - (r.Certainty == Certainty.Likely ? r.Open!.Off : 0)))));

    // Its word at the usual half lengths; nothing is drawn of them.
    private RuleVerdict? OverUsualHalves(string name, StockedClasp clasp, FitTarget target)
    {
        var usual = clasp with { Loop = ClaspOnBand.UsualLoop(clasp.Facts.Kind, Band.Clasp?.MicroSide ?? Side.Twelve, Limits) };
        if (ClaspOnBand.Effect(ClaspOnBand.With(Band, name, usual), target, BareHead, Habits) is not { } effect)
            return null;
        var judged = ClaspReachRule.Judge(effect, Present, target);
        return judged with
        {
            Says = $"With the usual half lengths: {judged.Says} Measure them, from each last pivot to its centre.",
            Open = Openness.Looked(OpenFigure.ClaspHalves, Verdict.Fits, Verdict.No, judged.Verdict),
        };
    }

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
