namespace IronLoop.Storage;

/// <summary>Something that happened at the door.</summary>
/// <param name="At">When.</param>
/// <param name="Initials">Whose initials were given.</param>
/// <param name="What">What happened, in words.</param>
/// <param name="Device">Where from.</param>
public sealed record DoorEntry(DateTimeOffset At, string Initials, string What, string Device);

/// <summary>What happened at the door: who came in, who was refused, who was entered or left. Kept for a year.</summary>
public static class DoorLog
{
    private static readonly TimeSpan Kept = TimeSpan.FromDays(365), FarOff = TimeSpan.FromDays(30);

    /// <summary>Writes a line.</summary>
    public static void Write(ShopWork work, DoorEntry entry)
    {
        // A clock that is far from the last line is not believed: it would take the record away.
        work.Execute("DELETE FROM door_entry WHERE at < $old AND (SELECT MAX(at) FROM door_entry) > $near", ("$old", entry.At - Kept), ("$near", entry.At - FarOff));
        work.Execute("INSERT INTO door_entry (at, initials, what, device) VALUES ($at, $initials, $what, $device)",
            ("$at", entry.At), ("$initials", entry.Initials), ("$what", entry.What), ("$device", entry.Device));
    }

    /// <summary>The last lines, the newest first.</summary>
    public static IReadOnlyList<DoorEntry> Last(ShopWork work, int count) =>
        work.Query("SELECT * FROM door_entry ORDER BY id DESC LIMIT $count",
            row => new DoorEntry(row.Time("at"), row.Text("initials"), row.Text("what"), row.Text("device")), ("$count", count));
}
