using System.Globalization;
using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Stations;
using IronLoop.Server.Stations.TakeIn;
using IronLoop.Storage;

namespace IronLoop.Server.Paper;

/// <summary>The job on paper: it lies with the watch from the counter to the bench and back.</summary>
internal static class JobSheet
{
    public static byte[] Draw(ShopWork work, JobSnapshot file, PaperSize size)
    {
        var job = file.Job;
        using var sheet = new Sheet(size, $"Tag {job.Id}, job sheet");
        var wide = sheet.Right - Sheet.Left;
        sheet.Write("Job sheet", Sheet.Left, 20, strong: true);
        sheet.Write($"Tag {job.Id}", sheet.Right - 20, 20, strong: true, toRight: true);
        sheet.Down -= 7;
        sheet.Draw(canvas => new QrPicture(QrPicture.Tag(job.Id), 17).Draw(canvas), sheet.Right - 17);
        sheet.Down += 15;
        sheet.Write($"{job.Client.Name}, {job.WatchName}", Sheet.Left, 13, strong: true);
        sheet.Down += 6;
        sheet.Write($"Taken in {Day(job.TakenInAt)} by {job.TakenInBy}, promised for {job.Promised.ToString("dddd d MMMM yyyy", CultureInfo.InvariantCulture)}", Sheet.Left);
        sheet.Down += 5.2f;
        if (job.Client.Contact.Length > 0)
        {
            sheet.Write($"Reached at: {job.Client.Contact}", Sheet.Left);
            sheet.Down += 5.2f;
        }
        sheet.Down += 3;
        var words = job.Words.Length > 0 ? $"{Upper(RequestWords.Of(job.Request))}. “{job.Words}”" : $"{Upper(RequestWords.Of(job.Request))}.";
        sheet.Part("Service", words + (job.PriceCents is { } cents ? $" Price agreed {Money(cents)}." : ""));

        var marks = TakeIns.MarksOf(work, job.Id);
        sheet.Need(62);
        sheet.Write("On arrival", Sheet.Left, 9, strong: true);
        sheet.Down += 4;
        var top = sheet.Down;
        sheet.Picture(new PaintedPicture(ConditionPicture.Of([.. marks.Select(m => m.Place)])), Sheet.Left, 56);
        var below = sheet.Down;
        sheet.Down = top + 5;
        if (marks.Count == 0)
            sheet.Say("Nothing was noted.", Sheet.Left + 64, wide - 64);
        for (var i = 0; i < marks.Count; i++)
            sheet.Say($"{i + 1}. {file.Account.Condition[i]}", Sheet.Left + 64, wide - 64);
        var came = TakeIns.CameWithOf(work, job.Id).Where(c => c.Value.Count > 0).ToList();
        sheet.Say(came.Count == 0 ? "Nothing came along." : $"Came along: {string.Join(", ", came.Select(c => $"{c.Value.Count} {Spaced(c.Key.ToString())}{(c.Value.Note.Length > 0 ? $" ({c.Value.Note})" : "")}"))}.{Returns(job)}", Sheet.Left + 64, wide - 64);
        sheet.Down = Math.Max(sheet.Down, below) + 6;

        var loop = LoopSheet.Of(file);
        if (file.Stock is { } stock)
            sheet.Part("Band", $"{stock.Name}, {stock.Article}; closes with {file.OtherClasp?.Part.Name ?? stock.Band.ClaspName}.");
        if (loop.PlannersSay is { } plan)
            sheet.Part("Plan", $"{plan} {(loop.IsPlanned ? "" : "As it stands: ")}{loop.FinalFigures}");
        if (loop.Drawing is { } drawing)
            sheet.Picture(new PaintedPicture(drawing), Sheet.Left, wide, 78);
        if (loop.LayOut is { } layOut)
        {
            sheet.Down += 3;
            sheet.Picture(new PaintedPicture(layOut.Drawn), Sheet.Left, wide);
            sheet.Down += 6;
        }
        if (file.Account.Done.Count + file.Bench.Left.Count > 0)
            Steps(sheet, file, wide);
        return sheet.Finish();
    }

    private static string Returns(Job job) => job.Returns switch
    {
        ReturnTerms.Collected => " Its owner comes for it.",
        ReturnTerms.OwnBox => $" Goes back by post in its own box{(job.IsPostagePaid ? ", postage paid" : "")}.",
        ReturnTerms.OurBox => $" Goes back by post in a box of ours{(job.IsPostagePaid ? ", postage paid" : "")}.",
        _ => "",
    };

    private static void Steps(Sheet sheet, JobSnapshot file, float wide)
    {
        sheet.Need(20);
        sheet.Write("At the bench", Sheet.Left, 9, strong: true);
        sheet.Down += 6;
        var number = 0;
        foreach (var done in file.Account.Done)
            Step(sheet, wide, ++number, done, done.Says, null);
        foreach (var step in file.Bench.Left)
            Step(sheet, wide, ++number, null, $"{step.Says}{(step.Tool.Length > 0 ? $" With: {step.Tool}." : "")}{(step.Direction is { } way ? $" Way: {way}." : "")}", step.Caution);
    }

    private static void Step(Sheet sheet, float wide, int number, WorkedStep? tick, string what, string? caution)
    {
        sheet.Need(11);
        sheet.Draw(canvas =>
        {
            using var line = Ink.Line(0.3f);
            canvas.DrawRect(0, -3, 3.4f, 3.4f, line);
            if (tick is { Skipped: null })
            {
                using var path = Ink.Shape(closed: false, (0.6f, -1.4f), (1.5f, -0.3f), (3, -2.7f));
                canvas.DrawPath(path, line);
            }
        }, Sheet.Left);
        sheet.Say($"{number}. {what}", Sheet.Left + 6, wide - 6, 9.5f, 4.6f);
        if (tick?.Skipped is { } why)
            sheet.Say($"Left out: {why}", Sheet.Left + 6, wide - 6, 9.5f, 4.6f);
        if (caution is not null)
            sheet.Say($"Caution: {caution}", Sheet.Left + 6, wide - 6, 9.5f, 4.6f);
        sheet.Down += 1.4f;
    }

    internal static string Money(long cents) => (cents / 100m).ToString("0.00", CultureInfo.InvariantCulture);

    internal static string Day(DateTimeOffset at) => at.ToString("d MMMM yyyy", CultureInfo.InvariantCulture);

    internal static string Spaced(string name) => string.Concat(name.Select((c, i) => i > 0 && char.IsUpper(c) ? $" {char.ToLowerInvariant(c)}" : char.ToLowerInvariant(c).ToString()));

    private static string Upper(string words) => char.ToUpperInvariant(words[0]) + words[1..];
}
