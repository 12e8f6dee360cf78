using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Counter;

/// <summary>The counter: one sheet for the short jobs, from hearing what is asked to the first step at the bench.</summary>
internal static class CounterEndpoints
{
    private const int Offered = 5;

    public static void MapCounter(this IEndpointRouteBuilder routes)
    {
        var counter = routes.MapGroup("/api/counter").WithTags("counter");
        counter.MapGet("/questions", Asks).WithName("counterQuestions").WithSummary("What each short job is asked, in the order of the hand.");
        counter.MapPost("/answer", Answer).WithName("counterAnswer").WithSummary("What a short job comes to, while it is typed; nothing is stored.")
            .WithMetadata(new OnlyAsks()).ProducesValidationProblem();
        counter.MapPost("", TakeIn).WithName("counter").WithSummary("Takes a short job in, with what was gauged and chosen over the counter, and to the bench.")
            .Produces<JobWire>(StatusCodes.Status201Created).ProducesValidationProblem().ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static List<RequestAsks> Asks() =>
        [.. Questions.Counter.Select(r => new RequestAsks(r.Request, r.Name, Core.Jobs.Needs.ToldBy(r.Request), QuestionWire.Of(Questions.AtTheCounter(r.Request))))];

    private static IResult TakeIn(CounterWire heard, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = Take(work, heard, shop.By, clock, isWhole: true);
        if (!file.May(JobAct.Agree).Ok && file.Uses.Contains(Station.Size))
        {
            // What has to be sized first is sized at its station.
            ModelBook.Learn(work, file, work.By ?? file.Job.TakenInBy, clock.GetUtcNow());
            work.Commit();
            return Results.Created($"/api/jobs/{file.Job.Id}", JobWire.Of(TheJob.Read(work, file.Job.Id), clock.Today()));
        }
        file.May(JobAct.Agree).OrRefuse();
        var at = clock.GetUtcNow();
        ModelBook.Learn(work, file, work.By ?? file.Job.TakenInBy, at);
        Agreeing.Store(work, file, Agreeing.WorkOut(file, at), at);
        work.Commit();
        return Results.Created($"/api/jobs/{file.Job.Id}", JobWire.Of(TheJob.Read(work, file.Job.Id), clock.Today()));
    }

    /// <summary>The job as it would be, in a piece of work that is never stored.</summary>
    private static CounterAnswer Answer(CounterWire heard, OpenShop shop, MatchShelf shelf, TimeProvider clock)
    {
        // Filled before anybody waits for the turn.
        var (bands, _, _) = shelf.Now(shop.File);
        using var work = shop.File.Begin();
        JobSnapshot file;
        try
        {
            file = Take(work, heard, shop.By, clock, isWhole: false);
        }
        catch (RefusedException refused)
        {
            // In the middle of a figure it is not one yet.
            return new CounterAnswer([], "", [], [], 0, refused.Errors.Values.SelectMany(e => e).FirstOrDefault() ?? refused.Message, []);
        }
        var needs = Asking.NeedsOf(file);
        var may = file.May(JobAct.Agree);
        var asksForBands = needs.Stations.Contains(Station.Match) && file.Figures[GaugedFigure.LugWidth] is not null;
        var offers = heard.Request == Request.ReplaceClasp ? Clasps(work, file) : asksForBands ? Bands(work, file, bands) : [];
        var agreed = may.Ok ? AgreedPlan.Of(file, clock.GetUtcNow()).Job : null;
        return new CounterAnswer(
            [.. Asking.Missing(file).Select(m => m.Words)],
            agreed is null ? "" : WhatWasDone.Say(agreed),
            offers,
            [.. agreed?.Bench.Left.Select(s => s.Says) ?? []],
            agreed?.Bench.Left.Sum(s => s.Minutes) ?? 0,
            asksForBands && offers.Count == 0 ? "No band of that width is in stock: put one in stock, or order it." : may.Why ?? agreed!.Bench.Trouble,
            [.. Known.Where(k => file.Figures.FromTheBook(k.Figure) is not null).Select(k => new BookAnswer(k.Ask, $"{file.Figures[k.Figure]}, {file.Figures.FromTheBook(k.Figure)!.Says}"))]);
    }

    /// <summary>Questions the model book has an answer to.</summary>
    private static readonly (Ask Ask, GaugedFigure Figure)[] Known = [(Ask.LugWidth, GaugedFigure.LugWidth), (Ask.ClaspEnd, GaugedFigure.ClaspEnd)];

    private static List<CounterOffer> Bands(ShopWork work, JobSnapshot file, BandShelf shelf)
    {
        var spokenFor = Storage.Bands.SpokenFor(work, file.Job.Id);
        var bare = BandChoice.Bare(file);
        var found = shelf.Find(bare, file.House, ShelfFilter.AskedBy(file.Job.Request) with { InStock = true }, 0, Offered, spokenFor);
        var shown = Storage.Bands.Find(work, found.Best.Select(b => b.Id));
        return [.. found.Best.Select(b => Offer(shown[b.Id]))];

        CounterOffer Offer(StockBand stock)
        {
            var judgement = MatchBand.Judge(bare, stock.Band, PullThroughWay.Double, file.House);
            var free = BandChoice.Free(stock, spokenFor);
            return new CounterOffer(stock.Id, stock.Name, stock.Article, judgement.Verdict, judgement.Certainty, Deciding(judgement), stock.PriceCents, free, stock.MayBeChosen(judgement, free).Why);
        }
    }

    private static List<CounterOffer> Clasps(ShopWork work, JobSnapshot file) => file.ClaspBench(Parts.PinsAtHand(work)) is not { } bench ? [] :
    [
        .. bench.Rank(Parts.All(work, Core.Stock.PartKind.Clasp).Select(p => p.Part)).Take(Offered).Select(c => (Candidate: c, Stored: Parts.Find(work, c.Part.Article)!)).Select(c => new CounterOffer(
            c.Stored.Id, c.Candidate.Part.Name, c.Candidate.Part.Article, c.Candidate.Judgement.Verdict, c.Candidate.Judgement.Certainty, Deciding(c.Candidate.Judgement), c.Candidate.Part.PriceCents, c.Stored.Count.Free,
            c.Candidate.Judgement.Rules.FirstOrDefault(r => r.Refuses)?.Says)),
    ];

    private static string Deciding(Judgement judgement) => (judgement.Deciding ?? (judgement.Rules is [var first, ..] ? first : null))?.Says ?? "";

    /// <summary>Takes it in, with what is known so far.</summary>
    /// <param name="isWhole">Whether it is to be stored: then a name of the fitter is wanted.</param>
    private static JobSnapshot Take(ShopWork work, CounterWire heard, string? signedIn, TimeProvider clock, bool isWhole)
    {
        var refusals = new Refusals();
        var (client, watch) = (refusals.Text("$.client", heard.Client, Job.LongestName, required: false), refusals.Text("$.watch", heard.Watch, Job.LongestName, required: false));
        var words = refusals.Text("$.words", heard.Words, Job.LongestWords, required: false);
        var by = isWhole ? refusals.Initials("$.by", heard.By, signedIn) : "";
        var promised = heard.Promised ?? clock.Today();
        if (promised < clock.Today() || promised > clock.Today().AddYears(3))
            refusals.Add("$.promised", $"promised is {promised:yyyy-MM-dd}; allowed is {clock.Today():yyyy-MM-dd} to {clock.Today().AddYears(3):yyyy-MM-dd}.");
        Length? Figure(string path, string? typed, GaugedFigure figure) => refusals.Typed(path, typed, FigureKind.For(figure).Allowed);
        var gauged = new (GaugedFigure Figure, Length? Length)[]
        {
            (GaugedFigure.LugWidth, Figure("$.lugWidth", heard.LugWidth, GaugedFigure.LugWidth)), (GaugedFigure.ClaspEnd, Figure("$.claspEnd", heard.ClaspEnd, GaugedFigure.ClaspEnd)),
            (GaugedFigure.BandThickness, Figure("$.thickness", heard.Thickness, GaugedFigure.BandThickness)),
        };
        var (piece, hole) = (refusals.Typed("$.bucklePiece", heard.BucklePiece, Pieces), refusals.Typed("$.toHole", heard.ToHole, Pieces));
        var sent = refusals.Typed("$.sent", heard.Sent, FitRanges.Target);
        var byHand = heard.ByHand?.Read(refusals, heard.Request, "$.byHand");
        if (isWhole && heard.Sized == SizedBy.OldStrap && (piece is null || hole is null))
            refusals.Add(piece is null ? "$.bucklePiece" : "$.toHole", "Sized by the old strap: both its lengths are wanted, lug end to the buckle’s bar and lug end to the worn hole.");
        if (isWhole && heard.Sized == SizedBy.Sent && sent is null)
            refusals.Add("$.sent", "Sized by a measure that was sent: the length of the loop is wanted.");
        var edition = heard.Edition is { } known ? ModelBook.Edition(work, known) : null;
        if (heard.Edition is not null && edition is null)
            refusals.Add("$.edition", $"edition is {heard.Edition}; the model book has none of that number.");
        refusals.ThrowIfAny("The job cannot be taken in like this.");

        var at = clock.GetUtcNow();
        var whose = client.Length > 0 ? Clients.FindOrAdd(work, client, "") : Clients.Add(work, "Walk-in", "");
        var id = Storage.Jobs.Add(work, whose, Watches.FindOrAdd(work, whose, watch.Length > 0 ? watch : "watch"), heard.Request, words, promised, null, at, by);
        Storage.Jobs.Wears(work, id, heard.Wearer);
        Log.Write(work, id, at, by, Station.TakeIn, LogLine.Of(LogKind.TakenIn, heard.Request.ToString()).Saying(Wording.Words, words));
        var closed = heard.ClaspKind is { } closes ? AsItCame.ClosedBy(closes) : null;
        if ((closed ?? heard.On ?? (byHand is HandWork.OwnBandOn ? null : byHand?.Of)) is { } on)
            CameAs.Set(work, id, new AsItCame(on, heard.Held, on != OnTheWatch.Nothing && GaugeSheet.KeepsBand(heard.Request)));
        foreach (var (figure, length) in gauged)
            if (length is { } read)
                Gaugings.Read(work, id, figure, read, byLine: false, at);
        if (edition is not null)
            ModelBook.Take(work, id, edition, TheJob.Read(work, id).Figures, GaugeSheet.KeepsBand(heard.Request));
        if (piece is { } toBuckle && hole is { } toHole)
            Gaugings.Copy(work, id, new CopiedLoop(toBuckle + toHole) { By = LoopBy.OldStrap });
        else if (sent is { } loop)
            Gaugings.Copy(work, id, new CopiedLoop(loop) { By = LoopBy.Sent });
        HandWorks.Set(work, id, byHand);
        if (heard.Links is { } fastener && fastener != Fastener.NotLookedAt)
            JointLooks.Set(work, id, JointGroup.Links, new JointLook(fastener));
        if (heard.ClaspKind is { } kind)
            JobClasps.Set(work, id, TheJob.Read(work, id).Clasp with { Kind = kind });
        if (heard.BandId is { } band)
            BandChoice.Choose(work, TheJob.For(work, id, JobAct.ChooseBand), band, PullThroughWay.Double, "", at);
        if (heard.ClaspId is { } clasp)
            ClaspChoice.Replace(work, TheJob.Read(work, id), clasp, "", at);
        return TheJob.Read(work, id);
    }

    private static AllowedLength Pieces => AllowedLength.Mm(20, 250);
}
