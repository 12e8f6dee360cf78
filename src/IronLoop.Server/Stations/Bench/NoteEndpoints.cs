using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Bench;

/// <summary>A note made at a bench step.</summary>
/// <param name="Step">What the step said.</param>
/// <param name="Open">Whether it has to be answered before the watch goes back.</param>
/// <param name="Answer">What was said to it; empty until then.</param>
/// <param name="PhotoHref">The photo taken with it; null where there is none.</param>
internal sealed record NoteWire(long Id, long JobId, NoteKind Kind, string Step, string Note, bool Open, string Answer, string? PhotoHref, DateTimeOffset At, string By)
{
    public static NoteWire Of(StepNote note) => new(
        note.Id, note.JobId, note.Kind, note.Step, note.Text, note.IsOpen, note.Answer, note.PhotoId is { } photo ? $"/api/photos/{photo}" : null, note.At, note.By);
}

/// <summary>A note as it is made.</summary>
/// <param name="Note">What is noted, up to 500 characters.</param>
/// <param name="Settled">Whether it asks for no answer.</param>
/// <param name="PhotoId">A photo of this job that goes with it.</param>
/// <param name="Kind">What it is: a note, something also done or also found, or a mark in the watch.</param>
internal sealed record NewNoteWire(string Note, bool Settled = true, long? PhotoId = null, NoteKind? Kind = null);

/// <summary>What is said to a note that was not settled.</summary>
/// <param name="Answer">Up to 500 characters.</param>
internal sealed record AnswerWire(string Answer);

/// <summary>Notes at the bench: they stand in the log and at the next visit; what is not settled is answered before the watch goes back.</summary>
internal static class NoteEndpoints
{
    private const int Longest = 500;

    public static void MapNotes(this IEndpointRouteBuilder routes)
    {
        var notes = routes.MapGroup("/api/jobs/{id:long}/bench/notes").WithTags("bench");
        notes.MapPost("", Add).WithName("noteAtStep").WithSummary("A note at the step that is next.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        notes.MapPut("/{note:long}", Answer).WithName("answerNote").WithSummary("Answers a note that is open.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static BenchSheet Add(long id, NewNoteWire typed, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var note = refusals.Text("$.note", typed.Note, Longest, required: true);
        refusals.ThrowIfAny("Nothing is noted.");
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Note);
        if (typed.PhotoId is { } photo && !TakeIns.PhotosOf(work, id).Any(p => p.Id == photo))
            refusals.Add("$.photoId", $"photoId is {photo}; this job has no such photo.");
        refusals.ThrowIfAny("Nothing is noted.");
        var step = file.Bench.Left.Count > 0 ? StepNote.StepOf(file.Bench.Left[0].Says) : "After the last step.";
        var now = clock.GetUtcNow();
        var noted = StepNotes.Add(work, id, step, note, typed.Settled, typed.PhotoId, now, file.Job.TakenInBy, typed.Kind ?? NoteKind.Note);
        Log.Write(work, id, now, file.Job.TakenInBy, Station.Bench, LogLine.Of(LogKind.Noted), noted);
        return Kept(work, id);
    }

    private static BenchSheet Answer(long id, long note, AnswerWire typed, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var answer = refusals.Text("$.answer", typed.Answer, Longest, required: true);
        refusals.ThrowIfAny("Nothing is answered.");
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Note);
        if (!StepNotes.Answer(work, id, note, answer))
            throw RefusedException.NotFound($"There is no note {note} of job {id}.");
        Log.Write(work, id, clock.GetUtcNow(), file.Job.TakenInBy, Station.HandOver, LogLine.Of(LogKind.Answered), note);
        return Kept(work, id);
    }

    private static BenchSheet Kept(ShopWork work, long id)
    {
        work.Commit();
        return BenchSheet.Of(work, TheJob.Read(work, id));
    }
}
