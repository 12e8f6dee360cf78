using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Core.Tray;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Clasp;

/// <summary>A question of the key; a lead is to another question, to a kind, or to none that is known.</summary>
internal sealed record KeyStepWire(ClaspQuestion Question, string Asks, ClaspQuestion? YesAsks, ClaspKind? YesIs, ClaspQuestion? NoAsks, ClaspKind? NoIs);

/// <summary>A kind of clasp and what it is called.</summary>
internal sealed record ClaspKindWire(ClaspKind Kind, string Name);

/// <summary>The visual key.</summary>
internal sealed record ClaspKeyWire(IReadOnlyList<KeyStepWire> Steps, IReadOnlyList<ClaspKindWire> Kinds);

/// <summary>What a clasp does to the fit.</summary>
/// <param name="Lengths">The lengths that can be made near what is wanted, in millimetres.</param>
/// <param name="BetweenSizes">Whether what is wanted lies between two of them and neither can be worn.</param>
internal sealed record ClaspEffectWire(
    Length LengthMm, decimal OffCentreMm, Length MisfitMm, Length TighterMm, Length LooserMm, int LinksMoved, bool Adjusts, Length? LargestGapMm, bool BetweenSizes,
    IReadOnlyList<decimal> Lengths)
{
    // Wide enough to see the neighbours of a gap, fine enough for a drawing.
    private static readonly Length Shown = Length.FromMillimetres(18);
    private const int FinestTenths = 2;

    public static ClaspEffectWire? Of(ClaspEffect? effect, FitTarget? target) => effect is not { } known || target is not { } wanted ? null : new ClaspEffectWire(
        known.Length, known.OffCentre, known.Misfit, known.Tighter, known.Looser, known.Moved, known.Adjusts, known.Reach.LargestGap, known.IsBetweenSizes(wanted),
        [
            .. known.Reach.Lengths.Where(l => (l.Length - wanted.Length).Abs() <= Shown)
                .Select(l => Math.Round(l.Length.Millimetres * 10 / FinestTenths) * FinestTenths / 10).Distinct(),
        ]);
}

/// <summary>A clasp judged for the job's band.</summary>
/// <param name="PartId">Its number in stock; null of an offer that is not on the list yet.</param>
/// <param name="Cures">Whether it cures the between-sizes problem.</param>
internal sealed record ClaspCandidateWire(
    long? PartId, string Article, string Name, string Measured, string Supplier, string Place, int Free, int Ordered, int Listed, long PriceCents, Verdict Verdict, Certainty Certainty, string? Deciding,
    IReadOnlyList<RuleWire> Rules, ClaspEffectWire? Effect, bool Cures, bool Chosen, bool NeedsConsent)
{
    public static ClaspCandidateWire Of(ClaspCandidate candidate, StockPart? stored, FitTarget? target, bool isChosen, int available = 0)
    {
        var (part, judgement) = (candidate.Part, candidate.Judgement);
        return new ClaspCandidateWire(
            stored?.Id, part.Article, part.Name, part.Measured, part.Supplier, stored?.Place ?? "", stored?.Count.Free ?? available, stored?.Count.OnTheirWay ?? 0, stored?.Count.Listed ?? 0,
            part.PriceCents, judgement.Verdict, judgement.Certainty,
            judgement.Deciding?.Rule,
            [.. judgement.Rules.Select(RuleWire.Of)], ClaspEffectWire.Of(candidate.Effect, target), candidate.Cures, isChosen,
            judgement.SureWork.Any(w => !w.Reversible));
    }
}

/// <summary>The band's own clasp.</summary>
/// <param name="Consent">What the owner has to consent to before it is kept; null when nothing.</param>
internal sealed record PresentClaspWire(string Name, Verdict Verdict, IReadOnlyList<RuleWire> Rules, ClaspEffectWire? Effect, string? Consent);

/// <summary>A part of the owner's own: inspected, or not yet.</summary>
/// <param name="Says">The decision and its reason; null before it is inspected.</param>
/// <param name="Choices">What could replace it.</param>
/// <param name="Replacement">What the job takes instead.</param>
internal sealed record OwnPartWire(
    OwnPartKind Kind, string Name, bool? Came, bool? Straight, bool? Springy, bool? Unworn, bool Reused, string? Says, IReadOnlyList<PartWire> Choices, TakenWire? Replacement);

/// <summary>What the job takes of a part.</summary>
internal sealed record TakenWire(string Use, long PartId, string Article, string Name, int Count, bool Reserved, bool CameIn);

/// <summary>What is seen of the clasp.</summary>
internal sealed record ClaspSeenWire(
    ClaspKind? Kind = null, bool? Pierced = null, bool? Notched = null, bool? OtherPlain = null, BarFit? Fit = null, bool SwapEnds = false);

/// <summary>The Clasp station of a job.</summary>
/// <param name="Kind">The kind by the key, else by the clasp's name.</param>
/// <param name="Wish">What a supplier is asked for, in words.</param>
/// <param name="WishMissing">What has to be measured before a supplier can be asked.</param>
internal sealed record ClaspSheetWire(
    ClaspSeenWire Seen, ClaspKind? Kind, string? KindName, IReadOnlyList<GaugeLineWire> Lines, Length? TargetMm, Length? WindowMm, PresentClaspWire? Present,
    IReadOnlyList<ClaspCandidateWire> Candidates, IReadOnlyList<OwnPartWire> OwnParts, IReadOnlyList<TakenWire> Taken, string? Wish, string? WishMissing)
{
    public static ClaspSheetWire Read(ShopWork work, JobSnapshot file)
    {
        var kind = file.ClaspKind;
        var figures = kind is { } known ? ClaspSheet.For(known) : [GaugedFigure.ClaspEnd];
        var readings = Gaugings.ReadingsOf(work, file.Job.Id).ToLookup(r => r.Figure);
        var bench = file.ClaspBench(Parts.PinsAtHand(work));
        var target = bench?.Target;
        var stored = Parts.All(work, PartKind.Clasp);
        var byArticle = stored.ToDictionary(p => p.Part.Article, StringComparer.Ordinal);
        var wish = WishOf(file);
        return new ClaspSheetWire(
            new ClaspSeenWire(file.Clasp.Kind, file.Clasp.Pierced, file.Clasp.Notched, file.Clasp.OtherPlain, file.Clasp.Fit, file.Clasp.SwapEnds),
            kind,
            kind is { } named ? ClaspWords.Of(named) : null,
            [.. figures.Select(f => GaugeLineWire.Read(FigureKind.For(f), file, null, figures, [.. readings[f]]))],
            target?.Length,
            target?.Window,
            bench is null ? null : PresentOf(file, bench),
            bench is null ? [] :
            [
                .. bench.Rank(stored.Select(p => p.Part)).Where(c => c.Judgement.Rules[0].Verdict != Verdict.No)
                    .Select(c => ClaspCandidateWire.Of(c, byArticle[c.Part.Article], target, byArticle[c.Part.Article].Id == file.Clasp.PartId)),
            ],
            [.. OwnPartsOf(work, file)],
            [.. file.Taken.Select(Take)],
            wish?.Missing is null ? wish?.Says : null,
            wish?.Missing);
    }

    /// <summary>What a supplier is asked for: a clasp for the band's end as measured.</summary>
    public static PartWish? WishOf(JobSnapshot file) =>
        file.Chosen is { } chosen && (file.OtherClasp?.Part.Clasp?.Facts.Kind ?? file.ClaspKind) is { } kind
            ? PartWish.ForEnd(kind, chosen.ClaspEnd(file.Figures, file.Clasp, file.Account))
            : null;

    /// <summary>What a supplier is asked for in place of an own part: by the pin or its bore, by the lugs and the band's tube.</summary>
    public static PartWish? WishOf(JobSnapshot file, OwnPartKind kind) => kind switch
    {
        OwnPartKind.Clasp => WishOf(file),
        OwnPartKind.ClaspPins when file.Chosen is { } chosen => PartWish.ForPins(ClaspSheet.Pin(file.Figures), chosen.ClaspEnd(file.Figures, file.Clasp, file.Account)),
        OwnPartKind.SpringBars when file.Figures[GaugedFigure.LugWidth] is { } lugs => new PartWish(PartKind.Bar)
        {
            Length = lugs,
            Diameter = file.Band?.Facts.TubeBore is { } bore ? bore - file.House.Limits[Limit.TubeRoom] : Length.FromMillimetres(1.8m),
        },
        _ => null,
    };

    private static PresentClaspWire PresentOf(JobSnapshot file, ClaspBench bench)
    {
        var facts = file.ClaspKind is { } kind ? ClaspSheet.Facts(kind, file.Figures) : null;
        var judged = facts is null ? new Judgement([]) : bench.JudgePresent(facts);
        return new PresentClaspWire(bench.Band.ClaspName, judged.Verdict, [.. judged.Rules.Select(RuleWire.Of)], ClaspEffectWire.Of(bench.Present, bench.Target),
            PieceOfWork.Lasting(file.ClaspWork()) is { Length: > 0 } words ? words : null);
    }

    private static IEnumerable<OwnPartWire> OwnPartsOf(ShopWork work, JobSnapshot file)
    {
        var inspected = Storage.OwnParts.Of(work, file.Job.Id).ToDictionary(p => p.Kind);
        foreach (var kind in Enum.GetValues<OwnPartKind>())
        {
            var part = inspected.GetValueOrDefault(kind);
            var taken = file.Taken.FirstOrDefault(t => t.Use == PartTaken.InsteadOf(kind));
            yield return new OwnPartWire(
                kind, OwnPart.Missing(kind).Name, part?.Came, part is { Came: true } ? part.Straight : null, part is { Came: true } ? part.Springy : null,
                part is { Came: true } ? part.Unworn : null, part?.IsReused == true, part?.Says,
                part is { IsReused: false } ? [.. Choices(work, file, kind).Select(PartWire.Of)] : [],
                taken is null ? null : Take(taken));
        }
    }

    /// <summary>What could replace a part of the owner's, the best first; a clasp is chosen among the candidates.</summary>
    private static IEnumerable<StockPart> Choices(ShopWork work, JobSnapshot file, OwnPartKind kind)
    {
        var (figures, limits) = (file.Figures, file.House.Limits);
        if (kind == OwnPartKind.SpringBars && figures[GaugedFigure.LugWidth] is { } lugs)
        {
            var bars = Parts.All(work, PartKind.Bar);
            var fitting = SpringBarChoice.ForLugs(bars.Select(b => b.Part.Bar! with { InStock = Math.Max(1, b.Count.Free) }), lugs,
                figures[GaugedFigure.LugHole] ?? Length.FromMillimetres(9), limits).Select(b => b.Article).ToHashSet(StringComparer.Ordinal);
            return bars.Where(b => fitting.Contains(b.Part.Article) && (file.Band?.Facts.TubeBore is not { } bore || b.Part.Bar!.Body + limits[Limit.TubeRoom] <= bore))
                .OrderByDescending(b => b.Count.Free >= 2).ThenByDescending(b => b.Part.Bar!.Body).ThenBy(b => b.Part.Article, StringComparer.Ordinal);
        }
        if (kind != OwnPartKind.ClaspPins || file.Chosen is not { } chosen)
            return [];
        var end = chosen.ClaspEnd(figures, file.Clasp, file.Account);
        return PinRule.Wanted(ClaspSheet.Pin(figures), end.Bore, end.Width) is { } wanted
            ? Parts.All(work, PartKind.Pin).Where(p => PinRule.Holds(p.Part.Pin!, wanted.Diameter, wanted.Length, limits))
                .OrderByDescending(p => p.Count.Free >= 2).ThenByDescending(p => p.Part.Pin!.Diameter).ThenByDescending(p => p.Part.Pin!.Length)
            : [];
    }

    private static TakenWire Take(PartTaken taken) =>
        new(taken.Use, taken.Part.Id, taken.Part.Part.Article, taken.Part.Part.Name, taken.Count, taken.IsReserved, taken.CameAt is not null);
}
