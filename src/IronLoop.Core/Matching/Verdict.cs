namespace IronLoop.Core.Matching;

/// <summary>How a band suits a watch, best first; a candidate's verdict is the worst of its rules.</summary>
public enum Verdict
{
    /// <summary>Goes on as it is and looks right.</summary>
    Fits,

    /// <summary>Goes on as it is, with a drawback the owner must be told.</summary>
    Compromise,

    /// <summary>A measurement is missing, and nothing is usual that could be gone by.</summary>
    Unknown,

    /// <summary>Goes on after work.</summary>
    Work,

    /// <summary>Does not go on, or should not.</summary>
    No,
}

/// <summary>The kinds of work a band or clasp may need before it goes on.</summary>
public enum WorkKind
{
    /// <summary>A bore is opened.</summary>
    Bore,

    /// <summary>An end is pierced, or pierced wider.</summary>
    Pierce,

    /// <summary>An end is pressed flat.</summary>
    Press,

    /// <summary>An end is filed to width.</summary>
    File,

    /// <summary>Edges are trimmed.</summary>
    Trim,

    /// <summary>A curved bar is fitted.</summary>
    CurvedBar,

    /// <summary>The band's own sprung bars come out.</summary>
    BarsOut,

    /// <summary>The two ends at the clasp are exchanged.</summary>
    SwapEnds,

    /// <summary>A hole is punched between two.</summary>
    ExtraHole,
}

/// <summary>A piece of work a band needs before it goes on.</summary>
/// <param name="Kind">What kind of work it is.</param>
/// <param name="What">What is done, in words.</param>
/// <param name="Reversible">Whether it can be undone; work that cannot needs the owner's written consent.</param>
public sealed record PieceOfWork(WorkKind Kind, string What, bool Reversible)
{
    /// <summary>Sharp tools.</summary>
    public const string Blades = "Move the head away first; cut and push away from the hand.";

    /// <summary>Filing and drilling metal.</summary>
    public const string Filing = "Eye protection, the work held fast, no loose sleeves; wipe the dust up, do not blow it.";

    /// <summary>Spring bars.</summary>
    public const string Bars = "Spring bars fly: eye protection, a finger over the end, work low over the tray.";

    /// <summary>Punch and hammer.</summary>
    public const string Taps = "Eye protection; light taps, soft hammer face on the band. Hard resistance: stop and look at the arrow.";

    /// <summary>The tools it takes.</summary>
    public string Tools { get; init; } = "";

    /// <summary>How long it takes, in minutes (house rule).</summary>
    public int Minutes { get; init; } = 10;

    /// <summary>The caution that belongs to it; null when none does.</summary>
    public string? Caution { get; init; }

    /// <summary>The kinds of some work that cannot be undone.</summary>
    public static IReadOnlySet<WorkKind> LastingKinds(IEnumerable<PieceOfWork> work) => work.Where(w => !w.Reversible).Select(w => w.Kind).ToHashSet();

    /// <summary>What of some work cannot be undone, in the words a consent is given to; empty when all can.</summary>
    public static string Lasting(IEnumerable<PieceOfWork> work) => string.Join("; ", work.Where(w => !w.Reversible).Select(w => w.What));
}

/// <summary>What one rule found.</summary>
/// <param name="Rule">The rule's name, such as <c>lug-width</c>.</param>
/// <param name="Verdict">Its verdict.</param>
/// <param name="Says">The sentence a fitter would say, with the numbers compared.</param>
/// <param name="Work">The work it asks for, when its verdict is <see cref="Verdict.Work"/>.</param>
public sealed record RuleVerdict(string Rule, Verdict Verdict, string Says, IReadOnlyList<PieceOfWork> Work)
{
    /// <summary>The number that decides it, short, for a look along many; null where no number does.</summary>
    public string? Figure { get; init; }

    /// <summary>What it comes to over the figures nobody read; null where all that it asks for is read.</summary>
    public Openness? Open { get; init; }

    /// <summary>How sure it is.</summary>
    public Certainty Certainty => Verdict == Verdict.Unknown ? Certainty.Unknown : Open is null || Open.Best == Open.Worst ? Certainty.Certain : Certainty.Likely;

    /// <summary>Whether it keeps the thing off, whatever is unread.</summary>
    public bool Refuses => Verdict == Verdict.No && Certainty == Certainty.Certain;

    /// <summary>The worst that a reading may make of it.</summary>
    public Verdict AtWorst => Certainty switch
    {
        Certainty.Certain => Verdict,
        Certainty.Likely => Open!.Worst,
        _ => Verdict.No,
    };

    /// <summary>A verdict without work.</summary>
    public RuleVerdict(string rule, Verdict verdict, string says)
        : this(rule, verdict, says, [])
    {
    }
}

/// <summary>All that the rules found about one band on one watch.</summary>
/// <param name="Rules">One verdict a rule, in the order the rules are asked; rules that do not apply are left out.</param>
public sealed record Judgement(IReadOnlyList<RuleVerdict> Rules)
{
    /// <summary>The worst of the rules.</summary>
    public Verdict Verdict => Rules.Count == 0 ? Verdict.Unknown : Rules.Max(r => r.Verdict);

    /// <summary>The rule that decides it: a certain one where one says so, else the likely one a reading is likeliest to change; null where all is well and read.</summary>
    public RuleVerdict? Deciding
    {
        get
        {
            var say = Rules.Where(r => r.Verdict == Verdict).ToList();
            var likely = say.Where(r => r.Certainty == Certainty.Likely).MaxBy(r => r.Open!.Decides?.Share ?? 0);
            return Verdict == Verdict.Fits ? likely ?? Rules.FirstOrDefault(r => r.Certainty == Certainty.Likely) : say.FirstOrDefault(r => r.Certainty != Certainty.Likely) ?? likely;
        }
    }

    /// <summary>The work it asks for whatever is unread; what is only likely waits for its reading.</summary>
    public IReadOnlyList<PieceOfWork> SureWork => [.. Rules.Where(r => r.Certainty == Certainty.Certain).SelectMany(r => r.Work)];

    /// <summary>How sure it is: certain when no rule that is not certain could make it worse; a certain no is certain whatever is unread.</summary>
    public Certainty Certainty => Of(Verdict, Rules);

    /// <summary>How sure a verdict is that some rules come to together.</summary>
    private static Certainty Of(Verdict verdict, IReadOnlyList<RuleVerdict> rules)
    {
        if (verdict == Verdict.Unknown)
            return Certainty.Unknown;
        var stands = Verdict.Fits;
        foreach (var rule in rules)
            if (rule.Certainty == Certainty.Certain && rule.Verdict > stands)
                stands = rule.Verdict;
        return stands == verdict && rules.All(r => r.Certainty == Certainty.Certain || r.AtWorst <= verdict) ? Certainty.Certain : Certainty.Likely;
    }
}
