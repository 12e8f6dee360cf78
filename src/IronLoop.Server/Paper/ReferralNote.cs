using System.Globalization;
using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Stock;

namespace IronLoop.Server.Paper;

/// <summary>What was found, on paper: it goes with the watch to the watchmaker, and says what stays in the tray.</summary>
internal static class ReferralNote
{
    private const float Step = 5.8f;

    public static byte[] Draw(JobSnapshot file, PaperSize size)
    {
        using var sheet = new Sheet(size, $"Tag {file.Job.Id}, for the watchmaker");
        sheet.Write("For the watchmaker", Sheet.Left, 20, strong: true);
        sheet.Write($"Tag {file.Job.Id}", sheet.Right, 20, strong: true, toRight: true);
        sheet.Down += 9;
        sheet.Write($"{file.Job.Client.Name}, {file.Job.WatchName}", Sheet.Left, 12);
        sheet.Write((file.Job.ReferredAt ?? file.Job.TakenInAt).ToString("d MMMM yyyy", CultureInfo.InvariantCulture), sheet.Right, 12, toRight: true);
        sheet.Down += Step * 2;
        sheet.Part("What was found", file.Job.ReferNote);
        sheet.Part("On arrival", file.Account.Condition.Count == 0 ? "Nothing was noted." : string.Join("; ", file.Account.Condition) + ".");
        var done = file.Account.Done.Where(d => d.Skipped is null).Select(d => d.Says).ToList();
        sheet.Part("Done so far", done.Count == 0 ? "Nothing was opened yet." : done[^1] + (done.Count > 1 ? $" ({done.Count} steps in all.)" : ""));
        var tray = file.Bench is { Plan: { } plan, Now: { } now } ? TrayLine.In(plan.From, now.Stand, Place.Tray) : [];
        sheet.Part("Kept in our tray", tray.Count == 0 ? "Nothing." : string.Join(", ", tray.Select(l => $"{l.Count} {l.What}")) + ".");
        return sheet.Finish();
    }
}
