using System.Globalization;
using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Match;

/// <summary>Where on its reach the length wanted lies.</summary>
/// <param name="Chance">The chance to be right at the first opening; null while that is not known.</param>
/// <param name="Wrists">The wrists it serves, smallest to largest.</param>
internal sealed record WearerReach(Length ShortestMm, Length LongestMm, Length TargetMm, Length WindowMm, string Text, string? Chance, string Wrists);

/// <summary>One of the four ways to wear a pull-through band.</summary>
internal sealed record WayToWear(PullThroughWay Way, int Layers, Length RaiseMm, Length? TargetMm, int? Hole, Length? LengthMm, string Feels, Verdict Verdict, string Says);

/// <summary>A band judged for a job.</summary>
/// <param name="Certainty">How sure the verdict is.</param>
/// <param name="Deciding">The rule that decides the verdict.</param>
/// <param name="Alike">How many more there are that are alike in all.</param>
/// <param name="Missed">The wishes it does not meet.</param>
/// <param name="WhyNotAlong">Why it cannot go along in the bag; null when it can.</param>
/// <param name="Also">What it is on this job already, beside the band on the watch.</param>
/// <param name="WouldGoOn">What would make it go on, when one rule alone keeps it off.</param>
/// <param name="NeedsConsent">Whether it asks for work that cannot be undone.</param>
internal sealed record MatchWire(
    BandWire Band, Verdict Verdict, Certainty Certainty, string? Deciding, IReadOnlyList<RuleWire> Rules, WearerReach? Reach, IReadOnlyList<WayToWear> Ways, int Free, bool Chosen,
    bool NeedsConsent, string? WhyNot, string? WouldGoOn, string? WhyNotAlong, AlsoAs? Also, int Alike,
    IReadOnlyList<string> Missed);

/// <summary>A band beside the one on the watch.</summary>
/// <param name="Written">What is written on it for its wearer; empty where it was only shown.</param>
internal sealed record AlsoBandWire(long BandId, string Name, string Article, AlsoAs As, string Written, long PriceCents);

/// <summary>A band added beside the one on the watch.</summary>
/// <param name="Way">How a pull-through band is worn; as double when left out.</param>
internal sealed record AlongWire(long BandId, AlsoAs As, PullThroughWay? Way = null);

/// <summary>A verdict and how many bands have it.</summary>
internal sealed record VerdictCount(Verdict Verdict, int Count);

/// <summary>How many bands are as sure as that.</summary>
internal sealed record CertaintyCount(Certainty Certainty, int Count);

/// <summary>What the list has to suit, and the case's looks.</summary>
internal sealed record WishesWire(
    bool? Water = null, bool? NickelSensitive = null, bool? HairPull = null, string? Colour = null, string? CaseFinish = null, string? CaseColour = null,
    bool? MustNotBeLost = null, bool? LetteringKept = null);

/// <summary>A consent as recorded.</summary>
internal sealed record ConsentWire(long BandId, string Work, string SignedBy, DateTimeOffset SignedAt);

/// <summary>The bands for a job.</summary>
/// <param name="Own">The owner's own bands.</param>
/// <param name="Page">The best of the stock, best first.</param>
/// <param name="NearestMisses">Bands that one rule alone keeps from going on.</param>
/// <param name="Total">How many bands the filter lets through; those alike in all count once.</param>
/// <param name="ReadNext">What to read next, or that enough is known; null where there is nothing to judge.</param>
internal sealed record MatchSheet(
    IReadOnlyList<MatchWire> Own, IReadOnlyList<MatchWire> Page, IReadOnlyList<MatchWire> NearestMisses, int Total, int Skip,
    IReadOnlyList<VerdictCount> Counts, IReadOnlyList<string> Finishes, IReadOnlyList<string> Colours, WishesWire Wishes, ConsentWire? Consent,
    string? LugWidthSpread, IReadOnlyList<AlsoBandWire> Also, IReadOnlyList<CertaintyCount> Sure, string? ReadNext);

/// <summary>A band chosen.</summary>
/// <param name="Way">How a pull-through band is worn; as double when left out.</param>
/// <param name="ConsentSignedBy">Who signed the consent to work that cannot be undone.</param>
internal sealed record ChooseWire(long BandId, PullThroughWay? Way = null, string? ConsentSignedBy = null);

/// <summary>Match: which bands fit this watch and this wearer, best first, and why not the others.</summary>
internal static class MatchEndpoints
{
    public const int PageSize = 20;

    public static void MapMatch(this IEndpointRouteBuilder routes)
    {
        var match = routes.MapGroup("/api/jobs/{id:long}/match").WithTags("match");
        match.MapGet("", List).WithName("match").WithSummary("The bands, best first, each with its reasons.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesValidationProblem();
        match.MapPut("", Choose).WithName("chooseBand").WithSummary("Chooses a band.").ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        match.MapPut("/also", Add).WithName("takeAlong").WithSummary("Adds a band beside the one on the watch: for the bag, or shown for looks.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        match.MapDelete("/also/{bandId:long}", TakeOff).WithName("takeBandOff").WithSummary("Takes a band off the job that was added.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        match.MapPut("/wishes", Wish).WithName("wish").WithSummary("What the band has to suit.").ProducesValidationProblem();
        match.MapGet("/{bandId:long}", One).WithName("matchOne").WithSummary("One band judged for the job.").ProducesProblem(StatusCodes.Status404NotFound);
        match.MapGet("/{bandId:long}/loop", Preview).WithName("previewBand").WithSummary("The loop with a band, before any commitment.")
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static MatchSheet List(
        long id, OpenShop shop, MatchShelf shelf, string? kind = null, string? material = null, string? finish = null, string? colour = null,
        string? mostPrice = null, bool inStock = false, string? verdict = null, int skip = 0, int take = PageSize)
    {
        var refusals = new Refusals();
        refusals.Check("$.skip", new AllowedNumber(0, 1_000_000), skip);
        refusals.Check("$.take", new AllowedNumber(0, 100), take);
        long? mostCents = null;
        if (!string.IsNullOrWhiteSpace(mostPrice))
        {
            if (Money.TryParse(mostPrice, out var cents))
                mostCents = cents;
            else
                refusals.Add("$.mostPrice", Money.Refuse(mostPrice));
        }
        var filter = new ShelfFilter(
            refusals.Choice<BandKind>("$.kind", kind), refusals.Choice<BandMaterial>("$.material", material), Given(finish), Given(colour), mostCents, inStock,
            refusals.Choice<Verdict>("$.verdict", verdict));
        refusals.ThrowIfAny();
        using var work = shop.Look();
        var file = TheJob.Read(work, id);
        var spokenFor = Bands.SpokenFor(work, id);
        var (all, finishes, colours) = shelf.Now(shop.File);
        var bare = BandChoice.Bare(file);
        var answer = all.Find(bare, file.House, filter, skip, take, spokenFor);
        var own = Bands.OwnOf(work, file.Job.Client.Id);
        var wanted = new WantedLengths(bare);
        var also = AlsoBands.Of(work, id);
        var shown = Bands.Find(work, [.. answer.Best.Concat(answer.NearestMisses).Select(f => f.Id)]);
        var judged = new List<Judgement>();
        MatchWire Show(StockBand stock, int alike)
        {
            var judgement = JudgementOf(file, stock, Reaches.OfBand(work, stock.Id)?.Whole(), wanted);
            judged.Add(judgement.Judgement);
            return Wire(file, stock, judgement, BandChoice.Free(stock, spokenFor), wanted, also) with { Alike = alike };
        }
        var (mine, page) = (own.Select(o => Show(o, 0)).ToList(), answer.Best.Select(f => Show(shown[f.Id], f.Alike)).ToList());
        var readNext = ReadNext(file, answer.Best.Count == 0 ? null : shown[answer.Best[0].Id], judged);
        return new MatchSheet(
            mine,
            page,
            [.. answer.NearestMisses.Select(f => Show(shown[f.Id], f.Alike))],
            answer.Counts.Values.Sum(),
            skip,
            [.. answer.Counts.Select(c => new VerdictCount(c.Key, c.Value))],
            finishes,
            colours,
            WishesOf(file.Figures.Wishes),
            Consents.Of(work, id) is { } consent ? new ConsentWire(consent.BandId, consent.Work, consent.SignedBy, consent.SignedAt) : null,
            bare.Watch.LugWidthReadings is var (smallest, largest) ? $"{smallest.ToHundredths()} to {largest.ToHundredths()}" : null,
            [.. also.Select(a => new AlsoBandWire(a.Stock.Id, a.Stock.Name, a.Stock.Article, a.As, a.As == AlsoAs.ForTheBag ? a.Written(file) : "", a.Stock.OwnerClientId is null ? a.Stock.PriceCents : 0))],
            [.. answer.Sure.Select(s => new CertaintyCount(s.Key, s.Value))],
            readNext);
    }

    private static JobWire Add(long id, AlongWire added, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.AddBand);
        var (stock, way) = (BandChoice.BandFor(work, file, added.BandId), added.Way ?? PullThroughWay.Double);
        AlsoBand.MayBeAdded(file, stock, added.As, MatchBand.Judge(BandChoice.Bare(file), stock.Band, way, file.House), BandChoice.Free(stock, Bands.SpokenFor(work, id))).OrRefuse();
        var now = clock.GetUtcNow();
        AlsoBands.Add(work, id, new AlsoBand(stock, way, added.As), now);
        Log.Write(work, id, now, file.Job.TakenInBy, Station.Match, LogLine.Of(LogKind.BandAdded, stock.Name, stock.Article, added.As.ToString()));
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }

    private static JobWire TakeOff(long id, long bandId, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.AddBand);
        if (!AlsoBands.Remove(work, id, bandId))
            throw RefusedException.NotFound($"There is no band {bandId} beside the one on this watch.");
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }

    private static MatchWire One(long id, long bandId, OpenShop shop)
    {
        using var work = shop.Look();
        var file = TheJob.Read(work, id);
        var stock = BandChoice.BandFor(work, file, bandId);
        var wanted = new WantedLengths(BandChoice.Bare(file));
        return Wire(file, stock, JudgementOf(file, stock, null, wanted), BandChoice.Free(stock, Bands.SpokenFor(work, id)), wanted);
    }

    private static LoopSheet Preview(long id, long bandId, OpenShop shop, string? way = null)
    {
        var refusals = new Refusals();
        var worn = refusals.Choice<PullThroughWay>("$.way", way) ?? PullThroughWay.Double;
        refusals.ThrowIfAny();
        using var work = shop.Look();
        var file = TheJob.Read(work, id);
        return LoopSheet.Of(file.Trying(BandChoice.BandFor(work, file, bandId), worn));
    }

    private static JobWire Wish(long id, WishesWire typed, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        string? Word(string path, string? word) => refusals.Text(path, word, 40, required: false) is { Length: > 0 } text ? text : null;
        var wishes = new Wishes(
            typed.Water, typed.NickelSensitive, typed.HairPull, Word("$.colour", typed.Colour), Word("$.caseFinish", typed.CaseFinish),
            Word("$.caseColour", typed.CaseColour))
        {
            MustNotBeLost = typed.MustNotBeLost,
            LetteringKept = typed.LetteringKept,
        };
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.Gauge);
        Gaugings.Wish(work, id, wishes);
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }

    private static JobWire Choose(long id, ChooseWire choice, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var signedBy = refusals.Text("$.consentSignedBy", choice.ConsentSignedBy, 80, required: false);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        BandChoice.Choose(work, TheJob.For(work, id, JobAct.ChooseBand), choice.BandId, choice.Way ?? PullThroughWay.Double, signedBy, clock.GetUtcNow());
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }

    /// <summary>The band judged as it would be worn; one that is on the watch already is not asked how it would go on.</summary>
    private static (PullThroughWay Way, Reach? Reach, Judgement Judgement) JudgementOf(JobSnapshot file, StockBand stock, Reach? reach, WantedLengths wanted)
    {
        var (figures, isChosen) = (BandChoice.Bare(file), stock.Id == file.Job.BandId);
        var way = isChosen ? file.Way : PullThroughWay.Double;
        reach ??= MatchBand.ReachOf(stock.Band, figures.BareHead);
        return (way, reach, MatchBand.Judge(figures, stock.Band, way, file.House, reach, wanted, isOn: isChosen && file.Came.IsWanted));
    }

    /// <summary>Length first, then the verdicts.</summary>
    private static string? ReadNext(JobSnapshot file, StockBand? first, List<Judgement> judged)
    {
        if (judged.Count == 0)
            return null;
        var bare = BandChoice.Bare(file);
        if ((file.Stock ?? first)?.Band is { Links: not null, Clasp: not null } band && bare.Target(band.PivotHeight) is { } target && bare.Need(band.PivotHeight) is { } need
            && WhatToRead.Next(bare, Sizing.Request(band, target, bare.Habits), need) is { IsWorth: true } next)
        {
            return next.Says;
        }
        return NextLook.Says(judged) ?? "Enough is known.";
    }

    /// <summary>A band judged, with all that the screen shows of it.</summary>
    private static MatchWire Wire(
        JobSnapshot file, StockBand stock, (PullThroughWay Way, Reach? Reach, Judgement Judgement) judged, int free, WantedLengths wanted, IReadOnlyList<AlsoBand>? also = null)
    {
        var figures = BandChoice.Bare(file);
        var (way, reach, judgement) = judged;
        return new MatchWire(
            BandWire.Of(stock),
            judgement.Verdict,
            judgement.Certainty,
            judgement.Deciding?.Rule,
            [.. judgement.Rules.Select(RuleWire.Of)],
            ReachOf(figures, stock.Band, way, wanted.Of(stock.Band, way), reach),
            stock.Band.OnePiece is null ? [] : [.. OnePieceBand.Ways.Select(w => Worn(figures, stock.Band, w, file.House, wanted))],
            free,
            stock.Id == file.Job.BandId,
            judgement.SureWork.Any(w => !w.Reversible),
            stock.MayBeChosen(judgement, free).Why,
            judgement.Rules.Where(r => r.Verdict == Verdict.No).ToList() is [var only]
                ? NearMiss.Cure(only, figures.Watch, stock.Band.FactsWorn(way), file.House.Limits)
                : null,
            AlsoBand.MayGoAlong(stock, judgement, free).Why,
            also?.FirstOrDefault(a => a.Stock.Id == stock.Id)?.As,
            0,
            WishedOf.Of(stock.Band).Missed(figures, file.House.Limits));
    }

    private static WearerReach? ReachOf(Figures figures, Band band, PullThroughWay way, FitTarget? wanted, Reach? reach)
    {
        if (wanted is not { } target || reach is not { Shortest: { } shortest, Longest: { } longest })
            return null;
        var head = (figures with { Raise = band.Raise(way) }).Head;
        var (smallest, largest) = head is { } known && figures.Wear is { } wear
            ? WristServed.Range(shortest, longest, Wear.Of(wear), figures.Aspect, known, band.PivotHeight) : default;
        static string Whole(Length wrist) => Math.Round(wrist.Millimetres).ToString("0", CultureInfo.InvariantCulture);
        return new WearerReach(
            shortest, longest, target.Length, target.Window, $"{shortest.ToTenths()} to {longest.ToTenths()}",
            MatchBand.Chance(figures, band, target) is { } chance ? FirstTimeChance.Says(chance) : null,
            head is null || figures.Wear is null ? ""
                : $"{(smallest is { } least ? Whole(least) : $"under {Whole(FitRanges.Wrist.Lowest)}")} to {(largest is { } most ? $"{Whole(most)} mm" : $"over {Whole(FitRanges.Wrist.Highest)} mm")}");
    }

    private static WayToWear Worn(Figures figures, Band band, PullThroughWay way, House house, WantedLengths wanted)
    {
        var judgement = MatchBand.Judge(figures, band, way, house, wanted: wanted);
        var target = wanted.Of(band, way);
        var fit = target is { } length ? band.Holed(figures.BareHead)?.Nearest(length) : null;
        return new WayToWear(
            way, OnePieceBand.Layers(way), band.Raise(way), target?.Length, fit?.Hole, fit?.Length, OnePieceBand.Feels(way),
            judgement.Verdict, judgement.Rules.First(r => r.Verdict == judgement.Verdict).Says);
    }

    private static string? Given(string? word) => string.IsNullOrWhiteSpace(word) ? null : word.Trim();

    private static WishesWire WishesOf(Wishes wishes) =>
        new(wishes.Water, wishes.NickelSensitive, wishes.HairPull, wishes.Colour, wishes.CaseFinish, wishes.CaseColour, wishes.MustNotBeLost, wishes.LetteringKept);
}
