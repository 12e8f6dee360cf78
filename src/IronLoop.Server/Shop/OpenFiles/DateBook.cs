using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.OpenFiles;

/// <summary>The promised days of open jobs and the observations promised, as iCalendar.</summary>
internal static class DateBook
{
    public static string Of(ShopWork work, DateOnly today)
    {
        var calendar = new Calendar { ProductId = "-//Iron Loop//Iron Loop//EN" };
        foreach (var job in Storage.Jobs.Open(work))
            calendar.Events.Add(Day($"tag-{job.Id}-promised@iron-loop", job.Promised, $"Promised: {job.Client.Name}, {job.WatchName}", $"Tag {job.Id}", job.TakenInAt));
        foreach (var promised in HandOvers.Promised(work, today.AddYears(2)))
            calendar.Events.Add(Day($"tag-{promised.JobId}-observation@iron-loop", promised.On, $"Ask after: {promised.Client}, {promised.Watch}",
                $"Tag {promised.JobId}{(promised.For.Length > 0 ? $": {promised.For}" : "")}{(promised.Contact.Length > 0 ? $"; reached at {promised.Contact}" : "")}", null));
        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }

    private static CalendarEvent Day(string uid, DateOnly day, string summary, string description, DateTimeOffset? stamp) => new()
    {
        Uid = uid,
        Start = new CalDateTime(day),
        End = new CalDateTime(day.AddDays(1)),
        Summary = summary,
        Description = description,
        DtStamp = stamp is { } at ? new CalDateTime(at.UtcDateTime, "UTC") : new CalDateTime(day.ToDateTime(TimeOnly.MinValue), "UTC"),
    };
}
