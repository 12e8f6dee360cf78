using System.Text.Json.Serialization;
using IronLoop.Core.Jobs;
using IronLoop.Core.Tray;
using IronLoop.Server.Contract;
using IronLoop.Server.Loop;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.HandOver;

/// <summary>A kind of part in the owner's bag.</summary>
[method: JsonConstructor]
internal readonly record struct BagLineWire(string What, int Count);

/// <summary>What the hand-over shows.</summary>
internal sealed record HandOverSheet(string Done, string Figures, IReadOnlyList<BagLineWire> Bag, bool Ready, bool Closed);

/// <summary>What was counted into the bag.</summary>
/// <param name="Counted">Each kind of part and how many were counted.</param>
/// <param name="By">The fitter's initials, 1 to 4 letters.</param>
/// <param name="Note">What is not settled gets a note.</param>
internal sealed record HandOverWire(IReadOnlyList<BagLineWire> Counted, string By, string? Note = null);

/// <summary>Hand-over: what was removed goes into the bag, counted; the job is closed and in the log.</summary>
internal static class HandOverEndpoints
{
    public static void MapHandOver(this IEndpointRouteBuilder routes)
    {
        var handOver = routes.MapGroup("/api/jobs/{id:long}/hand-over").WithTags("hand-over");
        handOver.MapGet("", Sheet).WithName("handOverSheet").WithSummary("What was done and what the bag must hold.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        handOver.MapPost("", HandOver).WithName("handOver").WithSummary("Counts the bag and closes the job.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static HandOverSheet Sheet(long id, ShopFile shop)
    {
        using var work = shop.Look();
        var file = JobFile.Read(work, id);
        var closed = file.Job.ClosedAt is not null;
        return new HandOverSheet(
            WhatWasDone.Say(file),
            LoopSheet.Of(file).FinalFigures,
            [.. (closed ? Bags.Of(work, id) : Expected(work, file)).Select(l => new BagLineWire(l.What, l.Count))],
            file.Progress.Done(Station.Bench) && !closed,
            closed);
    }

    private static JobWire HandOver(long id, HandOverWire counted, ShopFile shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        file.MustNotBeReferred();
        file.MustNotWait();
        var open = Enum.GetValues<Station>().Where(s => s != Station.HandOver && !file.Progress.Done(s)).ToList();
        if (open.Count > 0)
            throw RefusedException.Conflict($"Not ready to hand over. {file.Progress.Says(open[0])}");

        var refusals = new Refusals();
        var note = refusals.Text("$.note", counted.Note, TakeIn.TakeInWire.LongestWords, required: false);
        var by = refusals.Initials("$.by", counted.By);
        var expected = Expected(work, file);
        foreach (var line in expected)
        {
            var found = counted.Counted.Where(c => c.What == line.What).Sum(c => (long)c.Count);
            if (found != line.Count)
                refusals.Add("$.counted", $"{line.What}: {found} counted, {line.Count} must be in the bag.");
        }
        foreach (var stray in counted.Counted.Where(c => expected.All(e => e.What != c.What)))
            refusals.Add("$.counted", $"{stray.What}: nothing of this kind came out.");
        foreach (var part in file.Tray.Parts)
        {
            var missing = file.Tray[part, TrayPlace.Lost] + file.Tray[part, TrayPlace.Stock];
            if (missing > 0 && note.Length == 0)
                refusals.Add("$.note", $"{part}: {missing} lost and not replaced; say in the note what the owner is told.");
        }
        refusals.ThrowIfAny("The bag does not hold what came out. Look in the tray before closing.");

        var now = clock.GetUtcNow();
        if (file.Stock is { OwnerClientId: null } stock && !Bands.BookOut(work, stock.Id))
            throw RefusedException.Conflict($"{stock.Name} is no longer in stock; correct the stock first.");
        PartsTaken.BookOut(work, id, now, by);
        foreach (var line in file.Tray.In(TrayPlace.Tray))
            Trays.Write(work, id, new TrayEntry(now, by, null, new TrayMove(line.What, line.Count, TrayPlace.Tray, TrayPlace.Bag), ""));
        Bags.Fill(work, id, expected);
        var bag = expected.Count == 0 ? "Nothing for the bag." : $"In the bag: {string.Join(", ", expected.Select(l => $"{l.Count} {l.What}"))}.";
        Log.Write(work, id, now, by, Station.HandOver,
            $"Handed over. {WhatWasDone.Say(file)} {LoopSheet.Of(file).FinalFigures} {bag} {note}".TrimEnd());
        Storage.Jobs.Close(work, id, now);
        var job = JobWire.Of(JobFile.Read(work, id), clock.Today());
        work.Keep();
        return job;
    }

    /// <summary>What the bag must hold: everything of the owner's that lies in the tray, and own parts that were replaced.</summary>
    private static List<BagLine> Expected(ShopWork work, JobFile file) =>
    [
        .. file.Tray.In(TrayPlace.Tray),
        // An old clasp that was replaced lies in the tray already.
        .. OwnPart.Replaced(OwnParts.Of(work, file.Job.Id).Where(p => p.Kind != OwnPartKind.Clasp || file.Band?.Links is null || file.OtherClasp is null)),
    ];
}
