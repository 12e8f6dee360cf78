using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>
/// What was written ahead of the shop's file. SQLite would bring it in at the end of every so manieth piece of work, and whoever wrote that
/// one, and all who wait behind, would wait for the disk; here it is brought in beside the work.
/// </summary>
internal sealed class WrittenAhead(ShopFile shop)
{
    // Rows written until it pays.
    private const int EnoughRows = 400;

    // Pages written ahead that are to begin from the front again where that hinders nobody, and those from which on somebody may wait for it.
    private const int ManyPages = 1_000, TooManyPages = 8_000;

    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(1);

    private readonly Lock _atWork = new();
    private int _rows, _isDue;

    /// <summary>Says that a piece of work was stored.</summary>
    /// <param name="rows">How many rows it wrote.</param>
    public void Stored(int rows)
    {
        if (rows > 0 && Interlocked.Add(ref _rows, rows) >= EnoughRows && Interlocked.Exchange(ref _isDue, 1) == 0)
            ThreadPool.QueueUserWorkItem(static ahead => ahead.BringIn(), this, preferLocal: false);
    }

    /// <summary>Waits until nothing is just being brought in, and keeps it so until it is disposed.</summary>
    public Lock.Scope Still() => _atWork.EnterScope();

    private void BringIn()
    {
        using var _ = _atWork.EnterScope();
        Volatile.Write(ref _isDue, 0);
        Interlocked.Exchange(ref _rows, 0);
        try
        {
            // Who writes meanwhile is not hindered; what they add is left for the next time.
            var (pages, left) = shop.BringIn("PASSIVE", null);
            if (pages > TooManyPages)
                shop.BringIn("RESTART", Patience);
            else if (pages > ManyPages && left <= ManyPages)
                shop.BringIn("PASSIVE", Patience);
        }
        catch (SqliteException)
        {
            // A full disk, or a file that is just being changed for another: it stands in what was written ahead until the next time.
        }
    }
}
