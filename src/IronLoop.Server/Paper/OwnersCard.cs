using System.Globalization;
using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Stations;
using IronLoop.Server.Stations.TakeIn;
using IronLoop.Storage;

namespace IronLoop.Server.Paper;

/// <summary>What the owner takes home: the loop as it fits, how to move it, what is in the bag.</summary>
internal static class OwnersCard
{
    public static byte[] Draw(ShopWork work, JobSnapshot file, PaperSize size)
    {
        var job = file.Job;
        using var sheet = new Sheet(size, $"{job.WatchName}, owner’s card");
        var wide = sheet.Right - Sheet.Left;
        var done = HandOverSheet.Of(work, file);
        sheet.Write("How your watch was fitted", Sheet.Left, 20, strong: true);
        sheet.Down += 9;
        sheet.Write($"{job.Client.Name}, {job.WatchName}", Sheet.Left, 13);
        sheet.Write($"Tag {job.Id}, {JobSheet.Day(job.ClosedAt ?? job.TakenInAt)}", sheet.Right, 12, toRight: true);
        sheet.Down += 6;
        var loop = LoopSheet.Of(file);
        if (loop.Drawing is { } drawing)
        {
            sheet.Picture(new PaintedPicture(drawing), Sheet.Left, wide, 92);
            sheet.Down += 6;
        }
        sheet.Part("What was done", done.Done);
        if (done.Also.Count > 0)
            sheet.Part("Beside that", string.Join(' ', done.Also));
        if (loop.Rulers is { } rulers)
        {
            sheet.Part("How it sits", loop.Leaves is { } leaves
                ? $"{Room(rulers.Ease.Mm)} From where it is closed there is {leaves}."
                : $"{Room(rulers.Ease.Mm)} {(rulers.OffCentre is { } centre ? $"The clasp sits {Centre(centre.Mm)}. " : "")}It can be closed {rulers.Tighter.Text} tighter and {rulers.Looser.Text} looser without touching a link.");
        }
        var closes = file.OtherClasp?.Part.Clasp?.Facts.Kind ?? file.ClaspKind;
        if (file.Band is { } band && Core.HandOver.ClaspInUse.Of(band, closes, file.Way) is { Count: > 0 } use)
        {
            sheet.Part("How it closes", string.Join('\n', use));
            if (Core.HandOver.ClosingPicture.Of(band, closes, file.Way) is { } picture)
            {
                sheet.Picture(new PaintedPicture(picture), Sheet.Left, wide, 42);
                sheet.Down += 4;
            }
        }
        foreach (var (advice, i) in done.Advice.Select((a, i) => (a, i)))
        {
            if (i == 0)
            {
                sheet.Need(16);
                sheet.Write("Good to know", Sheet.Left, 9, strong: true);
                sheet.Down += 5.2f;
            }
            sheet.Write("•", Sheet.Left);
            sheet.Say(advice, Sheet.Left + 4, wide - 4);
            sheet.Down += 1;
        }
        sheet.Down += 2;
        sheet.Part("In your bag", done.Bag.Count == 0 ? "Nothing came out." : Core.HandOver.BagWords.Said(done.Bag.Select(l => new Core.Tray.BagLine(l.What, l.Count) { Fits = l.Fits })) + ".");
        if (done.ObserveOn is { } day)
            sheet.Part("We ask after it", $"On {day.ToString("d MMMM yyyy", CultureInfo.InvariantCulture)}{(done.ObserveFor.Length > 0 ? $": {done.ObserveFor}" : "")}.");
        if (done.Price is { } cents)
            sheet.Part("Price", JobSheet.Money(cents));
        return sheet.Finish();
    }

    private static string Room(decimal mm)
    {
        var room = Math.Round(Math.Abs(mm), 1, MidpointRounding.AwayFromZero);
        var said = string.Create(CultureInfo.InvariantCulture, $"{room:0.0} mm");
        return room == 0 ? "It lies on the wrist without room."
            : mm > 0 ? $"There is {said} of room around the wrist."
            : $"It lies close: {said} shorter than the wrist as measured.";
    }

    private static string Centre(decimal mm)
    {
        var away = Math.Round(Math.Abs(mm), 1, MidpointRounding.AwayFromZero);
        return away == 0 ? "in the middle" : string.Create(CultureInfo.InvariantCulture, $"{away:0.0} mm off the middle, toward the {(mm > 0 ? "6" : "12")} side");
    }
}
