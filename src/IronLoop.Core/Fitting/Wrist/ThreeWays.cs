namespace IronLoop.Core.Fitting;

/// <summary>How the needed length came to be known (fit model, section 2).</summary>
public enum Way
{
    /// <summary>From the wrist's tape reading and the head.</summary>
    Measured,

    /// <summary>From the surplus of the band as it is on the wrist.</summary>
    TryOn,

    /// <summary>From another loop that feels right on the same wrist.</summary>
    Copy,
}

/// <summary>The needed length by one way.</summary>
/// <param name="Way">Which way.</param>
/// <param name="Need">Needed length and its uncertainty in millimetres.</param>
public readonly record struct KnownNeed(Way Way, Need Need);

/// <summary>Two ways that differ by more than their uncertainty explains.</summary>
/// <param name="One">The one.</param>
/// <param name="Other">The other.</param>
/// <param name="Apart">How far they are apart, in millimetres.</param>
public readonly record struct Disagreement(Way One, Way Other, double Apart);

/// <summary>The ways to know the needed length, brought together.</summary>
/// <param name="Ways">Each way that is known, one or more.</param>
/// <param name="Together">Their inverse-variance mean, or the one that the house goes by alone; where they disagree the try-on's, else the copied loop's.</param>
/// <param name="Disagreements">The pairs that disagree; none when all is well.</param>
public sealed record ThreeWays(IReadOnlyList<KnownNeed> Ways, Need Together, IReadOnlyList<Disagreement> Disagreements)
{
    /// <summary>
    /// Combines the ways by inverse variance; two disagree when they differ by more than twice the root of the sum of
    /// their squared uncertainties (fit model, sections 2 and 4). Those are not averaged: until one is read again or left out the try-on's
    /// answer stands, else the copied loop's, and their distance is its standard deviation.
    /// </summary>
    /// <param name="ways">The ways known, each once; their uncertainties are above nought.</param>
    /// <param name="alone">The way a house goes by alone, when it is known; else all together.</param>
    /// <returns>Null when no way is known.</returns>
    public static ThreeWays? Combine(IReadOnlyList<KnownNeed> ways, Way? alone = null)
    {
        if (ways.Count == 0)
            return null;
        var disagreements = new List<Disagreement>();
        for (var i = 0; i < ways.Count; i++)
        {
            for (var j = i + 1; j < ways.Count; j++)
            {
                var (a, b) = (ways[i].Need, ways[j].Need);
                var apart = Math.Abs(a.Needed - b.Needed);
                if (apart > 2 * Math.Sqrt(a.Sigma * a.Sigma + b.Sigma * b.Sigma))
                    disagreements.Add(new Disagreement(ways[i].Way, ways[j].Way, apart));
            }
        }
        if (alone is { } way && ways.Any(w => w.Way == way))
            return new ThreeWays(ways, Mean([ways.First(w => w.Way == way)]), disagreements);
        if (disagreements.Count == 0)
            return new ThreeWays(ways, Mean(ways), disagreements);
        var (stands, far) = (ways.First(w => w.Way == (ways.Any(o => o.Way == Way.TryOn) ? Way.TryOn : Way.Copy)), disagreements.Max(d => d.Apart));
        return new ThreeWays(ways, new Need(stands.Need.Needed, new NeedSpread([], 1 / (far * far))), disagreements) { Stands = stands.Way };
    }

    /// <summary>The way whose answer is taken while ways disagree, until one is read again or left out; null where the mean is taken.</summary>
    public Way? Stands { get; private init; }

    /// <summary>What the plan rests on where ways disagree; null where they do not, or the house goes by one alone.</summary>
    public string? RestsOn => Stands is { } way ? $"{Says} Until then the {Name(way)}’s answer is taken, with their distance as its spread." : null;

    private static Need Mean(IReadOnlyList<KnownNeed> ways)
    {
        var weight = ways.Sum(w => 1 / (w.Need.Sigma * w.Need.Sigma));
        var together = ways is [var only] ? only.Need : new Need(ways.Sum(w => w.Need.Needed / (w.Need.Sigma * w.Need.Sigma)) / weight, 1 / Math.Sqrt(weight));
        return together with
        {
            Spread = new NeedSpread([.. ways.SelectMany(w => w.Need.Spread?.By ?? [])], ways.Where(w => w.Need.Spread is null).Sum(w => 1 / (w.Need.Sigma * w.Need.Sigma))),
        };
    }

    /// <summary>The way that stands alone against two that agree; null when none does.</summary>
    public Way? OddOneOut =>
        Ways.Count == 3 && Disagreements.Count == 2
            ? Ways.Select(w => w.Way).Single(w => Disagreements.All(d => d.One == w || d.Other == w))
            : null;

    /// <summary>The disagreement in words with what to do about it; null when there is none.</summary>
    public string? Says
    {
        get
        {
            if (Disagreements.Count == 0)
                return null;
            var apart = string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{Disagreements.Max(d => d.Apart):0.0} mm");
            if (OddOneOut is { } odd)
                return $"The {Name(odd)} stands alone, {apart} from the others; do that one again.";
            var names = Disagreements.SelectMany(d => new[] { d.One, d.Other }).Distinct().Order().Select(Name).ToList();
            return $"The {string.Join(", ", names.SkipLast(1))} and the {names[^1]} disagree by {apart}; do the one you trust least again.";
        }
    }

    private static string Name(Way way) => way switch
    {
        Way.Measured => "tape",
        Way.TryOn => "try-on",
        Way.Copy => "copied loop",
        _ => throw new ArgumentOutOfRangeException(nameof(way), way, "Not a way."),
    };
}
