using IronLoop.Core.Tray;

namespace IronLoop.Storage;

/// <summary>A line of a job's tray account.</summary>
/// <param name="At">When.</param>
/// <param name="By">Who, by initials.</param>
/// <param name="Step">The step it belongs to; null when it was said apart.</param>
/// <param name="Move">What went from where to where.</param>
/// <param name="Why">Why, where a word was said.</param>
public sealed record TrayEntry(DateTimeOffset At, string By, string? Step, TrayMove Move, string Why);

/// <summary>The tray accounts of jobs: only ever added to.</summary>
public static class Trays
{
    /// <summary>The lines of a job, in the order they were written.</summary>
    public static IReadOnlyList<TrayEntry> Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM tray_entry WHERE job_id = $job ORDER BY id",
            row => new TrayEntry(
                row.Time("at"), row.Text("by"), row.MaybeText("step"),
                new TrayMove(row.Text("part"), row.Count("count"), row.Choice<TrayPlace>("from_place"), row.Choice<TrayPlace>("to_place")), row.Text("why")),
            ("$job", jobId));

    /// <summary>Writes a line; whoever is signed in has done it, whoever's job it is.</summary>
    public static void Write(ShopWork work, long jobId, TrayEntry entry) =>
        work.Execute(
            "INSERT INTO tray_entry (job_id, at, by, step, part, count, from_place, to_place, why) VALUES ($job, $at, $by, $step, $part, $count, $from, $to, $why)",
            ("$job", jobId), ("$at", entry.At), ("$by", Hand.AtWork?.By ?? entry.By), ("$step", entry.Step), ("$part", entry.Move.Part), ("$count", entry.Move.Count),
            ("$from", entry.Move.From), ("$to", entry.Move.To), ("$why", entry.Why));
}
