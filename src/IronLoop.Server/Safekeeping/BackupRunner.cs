using IronLoop.Storage;

namespace IronLoop.Server.Safekeeping;

/// <summary>Makes a backup when the last is a day old, thins the old ones out, and takes out of them who was forgotten.</summary>
internal sealed class BackupRunner(ShopFile shop, TimeProvider clock, ILogger<BackupRunner> log) : BackgroundService
{
    private static readonly TimeSpan Between = TimeSpan.FromHours(24);
    private static readonly TimeSpan Look = TimeSpan.FromMinutes(10);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // A start is not held up by it.
        await Task.Delay(TimeSpan.FromMinutes(1), clock, stoppingToken);
        while (!stoppingToken.IsCancellationRequested)
        {
            if (IsForgettingPending())
                Forget();
            WhenDue();
            await Task.Delay(Look, clock, stoppingToken);
        }
    }

    /// <summary>Takes whoever was forgotten out of the backups made before; what cannot be written now is tried again.</summary>
    internal void Forget()
    {
        try
        {
            new Backups(shop).Forget(clock.GetUtcNow());
        }
        catch (Exception failed) when (failed is IOException or UnauthorizedAccessException or Microsoft.Data.Sqlite.SqliteException)
        {
            log.LogError(failed, "The backups could not all be written anew without who was forgotten");
        }
    }

    private bool IsForgettingPending()
    {
        using var work = shop.Look();
        return Forgettings.ArePending(work);
    }

    /// <summary>Makes one when it is due.</summary>
    /// <returns>Whether one was made.</returns>
    internal bool WhenDue()
    {
        var (backups, now) = (new Backups(shop), clock.GetUtcNow());
        // A clock that was set back leaves a backup in the future; that one does not count as fresh.
        if (backups.All.Any(b => b.At <= now && now - b.At < Between))
            return false;
        try
        {
            var made = backups.Make(now);
            var gone = backups.Thin(now);
            log.LogInformation("Backup {Name} made, {Bytes} bytes; {Gone} old ones taken away", made.Name, made.Bytes, gone);
            return true;
        }
        catch (Exception failed) when (failed is IOException or UnauthorizedAccessException or Microsoft.Data.Sqlite.SqliteException)
        {
            log.LogError(failed, "No backup could be made");
            return false;
        }
    }
}
