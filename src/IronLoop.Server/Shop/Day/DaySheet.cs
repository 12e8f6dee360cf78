using System.Globalization;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using IronLoop.Server.Paper;

namespace IronLoop.Server.Shop.Day;

/// <summary>The day as a sheet for the wall, and as a calendar.</summary>
internal static class DaySheet
{
    private const float Step = 8.5f;

    /// <summary>One page, to be read from the bench: who does what when, and what to fetch from which drawer.</summary>
    public static byte[] Draw(TheDayWire day, PaperSize size)
    {
        var when = Read(day.Now).ToString("dddd, d MMMM yyyy", CultureInfo.InvariantCulture);
        using var sheet = new Sheet(size, $"Day sheet, {when}");
        sheet.Write(when, Sheet.Left, 22, strong: true);
        sheet.Down += 11;
        sheet.Write(day.Says, Sheet.Left, 13);
        sheet.Down += Step * 1.4f;
        foreach (var list in day.Lists)
        {
            sheet.Write(list.Hand.Length > 0 ? list.Hand : "The bench", Sheet.Left, 18, strong: true);
            sheet.Down += 3;
            sheet.Rule(0.5f);
            sheet.Down += Step;
            if (list.Pieces.Count == 0)
            {
                sheet.Write(list.Hours.Count == 0 ? "Not here today." : "Nothing is on the list.", Sheet.Left, 14);
                sheet.Down += Step;
            }
            foreach (var piece in list.Pieces)
            {
                sheet.Write(piece.From[11..], Sheet.Left, 15, strong: true);
                sheet.Write($"{piece.JobId}", Sheet.Left + 20, 15, strong: true);
                foreach (var line in Sheet.Lines($"{piece.Client}, {piece.Watch}{(piece.Fetch.Count > 0 ? $"; fetch {string.Join(", ", piece.Fetch)}" : "")}", sheet.Right - Sheet.Left - 36, 14))
                {
                    sheet.Write(line, Sheet.Left + 36, 14);
                    sheet.Down += Step * 0.8f;
                }
                sheet.Down += Step * 0.2f;
            }
            sheet.Down += Step * 0.5f;
        }
        if (day.Rings.Count > 0)
        {
            sheet.Write("To ring", Sheet.Left, 18, strong: true);
            sheet.Down += 3;
            sheet.Rule(0.5f);
            sheet.Down += Step;
            foreach (var ring in day.Rings)
            {
                foreach (var line in Sheet.Lines($"{ring.Client}, {(ring.Contact.Length > 0 ? ring.Contact : "no number is known")}: {ring.Says} Tag {ring.JobId}.", sheet.Right - Sheet.Left, 14))
                {
                    sheet.Write(line, Sheet.Left, 14);
                    sheet.Down += Step * 0.8f;
                }
                sheet.Down += Step * 0.2f;
            }
        }
        return sheet.Finish();
    }

    /// <summary>The lists of today and tomorrow, what is due, and whom to ring, as iCalendar.</summary>
    public static string Calendar(TheDayWire day, IEnumerable<DayListWire> tomorrow, IEnumerable<(long JobId, string Says, DateOnly Due)> dues)
    {
        var calendar = new Ical.Net.Calendar { ProductId = "-//Iron Loop//Iron Loop//EN" };
        var stamp = new CalDateTime(Read(day.Now));
        foreach (var (list, piece) in day.Lists.Concat(tomorrow).SelectMany(l => l.Pieces.Select(p => (l, p))))
            calendar.Events.Add(new CalendarEvent
            {
                Uid = $"tag-{piece.JobId}-{piece.From}-{list.Hand}@iron-loop",
                Start = new CalDateTime(Read(piece.From)),
                End = new CalDateTime(Read(piece.To)),
                Summary = $"{(list.Hand.Length > 0 ? $"{list.Hand}: " : "")}{piece.Client}, {piece.Watch}",
                Description = $"Tag {piece.JobId}. {piece.Act}{(piece.Fetch.Count > 0 ? $" Fetch {string.Join(", ", piece.Fetch)}." : "")}",
                DtStamp = stamp,
            });
        foreach (var (job, says, due) in dues)
            calendar.Events.Add(Whole($"tag-{job}-due@iron-loop", due, $"Due: {says}", $"Tag {job}", stamp));
        var today = DateOnly.FromDateTime(Read(day.Now));
        foreach (var ring in day.Rings)
            calendar.Events.Add(Whole($"tag-{ring.JobId}-ring-{ring.Why}@iron-loop", today, $"Ring {ring.Client}", $"{ring.Says} {ring.Contact} Tag {ring.JobId}", stamp));
        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }

    private static CalendarEvent Whole(string uid, DateOnly day, string summary, string description, CalDateTime stamp) =>
        new() { Uid = uid, Start = new CalDateTime(day), End = new CalDateTime(day.AddDays(1)), Summary = summary, Description = description, DtStamp = stamp };

    private static DateTime Read(string local) => DateTime.ParseExact(local, "yyyy-MM-dd'T'HH:mm", CultureInfo.InvariantCulture);
}
