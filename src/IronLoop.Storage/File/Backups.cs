using System.Globalization;
using Microsoft.Data.Sqlite;
using SQLitePCL;

namespace IronLoop.Storage;

/// <summary>A backup that lies in the shop's folder.</summary>
/// <param name="Name">Its file's name.</param>
/// <param name="At">When it was made.</param>
/// <param name="Bytes">Its size.</param>
public sealed record Backup(string Name, DateTimeOffset At, long Bytes);

/// <summary>
/// Backups of a shop: whole databases, made while it is in use, opened and checked before they count, and thinned out as they age. Photos
/// never change once stored, so one copy of each lies beside all of them.
/// </summary>
/// <param name="shop">The shop.</param>
public sealed class Backups(ShopFile shop)
{
    private const string Prefix = "iron-loop-";
    private const string Stamp = "yyyyMMdd'T'HHmmss'Z'";

    // Kept whatever their age; how far a clock may be from what was stored last before it is not believed.
    private const int Newest = 10;
    private static readonly TimeSpan FarOff = TimeSpan.FromDays(30);

    // The version whose log holds no words, so that forgetting takes all of them.
    private const int FirstToForgetAll = 23;

    // 2 MB: a disk has them stored in some milliseconds.
    private const int PagesAtATime = 512;

    // What SQLite says of a file that is none, or none any more: https://sqlite.org/rescode.html
    private const int Corrupt = 11, NoDatabase = 26;

    private readonly string _folder = Path.Combine(Path.GetDirectoryName(shop.Path)!, "backups");

    /// <summary>The backups there are, the newest first.</summary>
    public IReadOnlyList<Backup> All => !Directory.Exists(_folder) ? [] :
    [
        .. new DirectoryInfo(_folder).GetFiles($"{Prefix}*.db").Select(f => (File: f, At: AtOf(f.Name))).Where(f => f.At is not null)
            .Select(f => new Backup(f.File.Name, f.At!.Value, f.File.Length)).OrderByDescending(b => b.At),
    ];

    /// <summary>Makes a backup; it counts only once it was opened and is whole.</summary>
    /// <exception cref="IOException">It cannot be written, or what was written is not whole.</exception>
    public Backup Make(DateTimeOffset at)
    {
        using var _ = shop.BackupsAtWork.EnterScope();
        Directory.CreateDirectory(_folder);
        var name = $"{Prefix}{at.UtcDateTime.ToString(Stamp, CultureInfo.InvariantCulture)}.db";
        var (path, arriving) = (Path.Combine(_folder, name), Path.Combine(_folder, name + ".new"));
        Drop(arriving);
        CopyBeside(arriving);
        Check(arriving);
        CopyPhotos();
        File.Move(arriving, path, overwrite: true);
        Drop(arriving);
        return new Backup(name, at, new FileInfo(path).Length);
    }

    /// <summary>
    /// Copies the file as it stands at this moment, a little at a time, each brought to the disk before the next: whoever stores something
    /// meanwhile waits for a little, not for all of it.
    /// </summary>
    private void CopyBeside(string arriving)
    {
        using var live = shop.Connect();
        using var copy = Connect(arriving, SqliteOpenMode.ReadWriteCreate);
        // As long as it looks, it sees one moment; a copy of several would begin again with every change.
        using var moment = live.BeginTransaction(deferred: true);
        using (var look = live.CreateCommand())
        {
            look.CommandText = "SELECT COUNT(*) FROM sqlite_master";
            look.ExecuteScalar();
        }
        using var backup = raw.sqlite3_backup_init(copy.Handle, "main", live.Handle, "main");
        int told;
        do
        {
            told = raw.sqlite3_backup_step(backup, PagesAtATime);
            using var written = File.OpenHandle(arriving, FileMode.Open, FileAccess.ReadWrite, FileShare.ReadWrite | FileShare.Delete);
            RandomAccess.FlushToDisk(written);
        }
        while (told == raw.SQLITE_OK);
        if (told != raw.SQLITE_DONE)
            throw new IOException($"{Path.GetFileName(arriving)} could not be written: {raw.sqlite3_errstr(told).utf8_to_string()}.");
    }

    /// <summary>
    /// Thins them out, and the photos that none of them knows: all of two days, then one a day for two weeks, one a week for two months, one a
    /// month for two years; the newest ten whatever their age. Ages go by what was stored last, not by the clock, and where the clock
    /// is a month off that, nothing goes.
    /// </summary>
    /// <param name="now">What the clock says.</param>
    /// <param name="most">How many may go at once.</param>
    /// <returns>How many were taken away.</returns>
    public int Thin(DateTimeOffset now, int most = 2)
    {
        if (NewestMoment() is not { } newest || (now - newest).Duration() > FarOff)
            return 0;
        var kept = new HashSet<string>(StringComparer.Ordinal);
        var (all, gone) = (All, 0);
        for (var i = 0; i < all.Count; i++)
        {
            var backup = all[i];
            var age = newest - backup.At;
            var day = backup.At.UtcDateTime.Date;
            var place = age.TotalDays switch
            {
                < 2 => backup.Name,
                < 14 => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
                < 60 => $"week {ISOWeek.GetYear(day)}-{ISOWeek.GetWeekOfYear(day)}",
                < 730 => day.ToString("yyyy-MM", CultureInfo.InvariantCulture),
                _ => null,
            };
            // The newest of a day, week or month stands for it.
            if ((place is not null && kept.Add(place)) || i < Newest || gone == most)
                continue;
            Drop(Path.Combine(_folder, backup.Name));
            gone++;
        }
        if (gone > 0)
            ThinPhotos();
        return gone;
    }

    /// <summary>
    /// Writes every backup anew that still knows somebody who was forgotten, without them, and takes away pictures that nothing names any
    /// more. It can be broken off at any moment and is gone on with then.
    /// </summary>
    /// <exception cref="IOException">A file cannot be written; it is as it was.</exception>
    public void Forget(DateTimeOffset now)
    {
        using var atWork = shop.BackupsAtWork.EnterScope();
        var stays = new StaysTrue(shop);
        IReadOnlyList<long> pending;
        using (var work = shop.Look())
            pending = Forgettings.Pending(work);
        Sweep();
        var (rewritten, unread) = (0, new List<string>());
        if (stays.Forgot)
        {
            foreach (var backup in All)
            {
                try
                {
                    if (StillKnows(Path.Combine(_folder, backup.Name), stays))
                    {
                        WriteAnew(Path.Combine(_folder, backup.Name), stays);
                        rewritten++;
                    }
                }
                catch (SqliteException damaged) when (damaged.SqliteErrorCode is Corrupt or NoDatabase)
                {
                    unread.Add($"backups/{backup.Name}");
                }
            }
            unread.AddRange(Directory.GetFiles(Path.GetDirectoryName(shop.Path)!, "iron-loop.damaged-*.db").Select(f => Path.GetFileName(f)!));
        }
        Tidy();
        ThinPhotos();
        SweepPhotos();
        using (var work = shop.Begin())
        {
            Forgettings.Settle(work, pending, rewritten, unread, now);
            work.Commit();
        }
    }

    /// <summary>Takes away what was broken off: backups half made, shops half brought up to date.</summary>
    public void Sweep()
    {
        if (!Directory.Exists(_folder))
            return;
        foreach (var half in Directory.GetFiles(_folder, "*.new*"))
            File.Delete(half);
        foreach (var half in Directory.GetDirectories(_folder, "*.new"))
            Directory.Delete(half, recursive: true);
    }

    /// <summary>Whether a backup tells of somebody who was forgotten: not forgotten there, or as a version did that kept former wordings.</summary>
    private static bool StillKnows(string path, StaysTrue stays)
    {
        using var copy = Connect(path, SqliteOpenMode.ReadOnly);
        return ShopFile.VersionOf(copy) < FirstToForgetAll || stays.IsKnownTo(copy);
    }

    private static void WriteAnew(string path, StaysTrue stays)
    {
        var folder = path + ".new";
        Directory.CreateDirectory(folder);
        try
        {
            using (var kept = Connect(path, SqliteOpenMode.ReadOnly))
            using (var copy = Connect(Path.Combine(folder, ShopFile.FileName), SqliteOpenMode.ReadWriteCreate))
                kept.BackupDatabase(copy);
            using (var anew = ShopFile.Open(folder))
            {
                stays.In(anew);
                ShopFile.LetGo();
                using var made = anew.Connect();
                using var close = made.CreateCommand();
                // What was taken out before things were written over lies between the pages; a backup is one file.
                close.CommandText = "VACUUM; PRAGMA journal_mode = DELETE;";
                close.ExecuteNonQuery();
            }
            ShopFile.LetGo();
            Check(Path.Combine(folder, ShopFile.FileName));
            File.Move(Path.Combine(folder, ShopFile.FileName), path, overwrite: true);
            Drop(path, andItself: false);
        }
        finally
        {
            ShopFile.LetGo();
            Directory.Delete(folder, recursive: true);
        }
    }

    /// <summary>Takes away pictures that no job has any more. A picture is stored before its job names it, so nobody may write meanwhile.</summary>
    private void SweepPhotos()
    {
        var folder = PhotoFolder.Beside(shop).Folder;
        if (!Directory.Exists(folder))
            return;
        using var work = shop.Begin();
        var known = work.Query("SELECT id FROM photo", row => row.Number("id").ToString(CultureInfo.InvariantCulture)).ToHashSet(StringComparer.Ordinal);
        foreach (var picture in Directory.GetFiles(folder).Where(f => !known.Contains(Path.GetFileName(f).Split('.')[0])))
            File.Delete(picture);
    }

    /// <summary>When something was last stored in the shop; null when nothing ever was.</summary>
    private DateTimeOffset? NewestMoment()
    {
        using var work = shop.Look();
        return work.Query(
            "SELECT MAX(at) AS at FROM (SELECT MAX(taken_in_at) AS at FROM job UNION ALL SELECT MAX(at) FROM log_entry UNION ALL SELECT MAX(changed_at) FROM job UNION ALL SELECT MAX(at) FROM change_entry)",
            row => row.Maybe("at", Columns.Time)).Single();
    }

    /// <summary>Takes away the photos that no backup knows any more: of clients who were forgotten, or taken off a job.</summary>
    private void ThinPhotos()
    {
        if (!Directory.Exists(Photos.Folder))
            return;
        var known = new HashSet<string>(StringComparer.Ordinal);
        try
        {
            foreach (var backup in All)
            {
                using var copy = Connect(Path.Combine(_folder, backup.Name), SqliteOpenMode.ReadOnly);
                using var look = copy.CreateCommand();
                look.CommandText = "SELECT id FROM photo";
                using var rows = look.ExecuteReader();
                while (rows.Read())
                    known.Add(rows.GetInt64(0).ToString(CultureInfo.InvariantCulture));
            }
        }
        catch (SqliteException)
        {
            // One that cannot be read may know any of them.
            return;
        }
        finally
        {
            Tidy();
        }
        foreach (var photo in Directory.GetFiles(Photos.Folder))
        {
            if (!known.Contains(Path.GetFileNameWithoutExtension(photo)))
                File.Delete(photo);
        }
    }

    /// <summary>Puts a backup in the shop's place, at once; the shop as it was is backed up first.</summary>
    /// <param name="name">The backup's name.</param>
    /// <param name="at">Now.</param>
    /// <returns>The backup of what was there before.</returns>
    /// <exception cref="FileNotFoundException">There is no backup of that name.</exception>
    /// <exception cref="IOException">The backup is damaged; the shop is as it was.</exception>
    public Backup Restore(string name, DateTimeOffset at)
    {
        if (All.All(b => b.Name != name))
            throw new FileNotFoundException($"There is no backup “{name}”.");
        var path = Path.Combine(_folder, name);
        Check(path);
        var before = Make(at);
        PutIn(shop, path);
        Tidy();
        BringPhotosBack();
        return before;
    }

    /// <summary>
    /// Puts a file that was kept elsewhere in the shop's place. It is brought up to date beside the shop first and given the shop's own
    /// door, so that at no moment somebody is let in who has left; all sessions end.
    /// </summary>
    /// <exception cref="IOException">The file is no whole shop; the shop is as it was.</exception>
    public static void PutIn(ShopFile shop, string path)
    {
        Check(path);
        var stays = new StaysTrue(shop);
        var folder = Path.Combine(Path.GetDirectoryName(shop.Path)!, "going-back");
        if (Directory.Exists(folder))
            Directory.Delete(folder, recursive: true);
        Directory.CreateDirectory(folder);
        try
        {
            using (var kept = Connect(path, SqliteOpenMode.ReadOnly))
            using (var copy = Connect(Path.Combine(folder, Path.GetFileName(shop.Path)), SqliteOpenMode.ReadWriteCreate))
                kept.BackupDatabase(copy);
            using var arrived = ShopFile.Open(folder);
            using (var made = arrived.Connect())
            using (var live = shop.Connect())
            {
                DoorKept.CarryOver(live, made);
                DoorKept.EndSessions(made);
                made.BackupDatabase(live);
            }
        }
        finally
        {
            ShopFile.LetGo();
            Directory.Delete(folder, recursive: true);
        }
        shop.BringUpToDate();
        stays.In(shop);
        shop.IsAnother();
    }

    /// <summary>
    /// Puts a file that was kept elsewhere in the place of the shop in a folder, which may be damaged: a damaged one is moved aside first.
    /// For the command line, with no server running.
    /// </summary>
    /// <returns>The damaged file, moved aside; null when the shop there was whole.</returns>
    /// <exception cref="IOException">The file is no whole shop; the folder is as it was.</exception>
    public static string? PutIn(string folder, string path, DateTimeOffset at)
    {
        Check(path);
        string? aside = null;
        try
        {
            var shop = ShopFile.Open(folder);
            PutIn(shop, path);
        }
        catch (Exception damaged) when (damaged.GetBaseException() is SqliteException { SqliteErrorCode: Corrupt or NoDatabase })
        {
            ShopFile.LetGo();
            aside = ShopFile.MoveAside(folder, $"damaged-{at.UtcDateTime.ToString(Stamp, CultureInfo.InvariantCulture)}");
            PutIn(ShopFile.Open(folder), path);
        }
        return aside;
    }

    /// <summary>Takes a file away, with what lies beside it since it was opened to be looked at.</summary>
    private static void Drop(string path, bool andItself = true)
    {
        foreach (var end in (string[])[.. andItself ? [""] : Array.Empty<string>(), "-wal", "-shm"])
            File.Delete(path + end);
    }

    /// <summary>Takes away the empty files that stay beside backups that were opened to be read: a backup is one file.</summary>
    private void Tidy()
    {
        foreach (var backup in All)
        {
            var ahead = new FileInfo(Path.Combine(_folder, backup.Name + "-wal"));
            if (!ahead.Exists || ahead.Length > 0)
                continue;
            ahead.Delete();
            File.Delete(Path.Combine(_folder, backup.Name + "-shm"));
        }
    }

    /// <summary>Opens a file and looks whether it is a whole shop, of a version that is known.</summary>
    private static void Check(string path)
    {
        try
        {
            using var copy = Connect(path, SqliteOpenMode.ReadOnly);
            ShopFile.MustNotBeNewer(copy, path);
            using var look = copy.CreateCommand();
            look.CommandText = "PRAGMA integrity_check";
            if (look.ExecuteScalar() is not "ok")
                throw new IOException($"{Path.GetFileName(path)} is damaged.");
            look.CommandText = "SELECT COUNT(*) FROM job";
            look.ExecuteScalar();
        }
        catch (SqliteException broken)
        {
            throw new IOException($"{Path.GetFileName(path)} is damaged or no shop: {broken.Message}", broken);
        }
    }

    private static SqliteConnection Connect(string path, SqliteOpenMode mode)
    {
        var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = path, Mode = mode, Pooling = false }.ConnectionString);
        connection.Open();
        return connection;
    }

    private PhotoFolder Photos => new(Path.Combine(_folder, "photos"));

    private void CopyPhotos() => CopyNew(PhotoFolder.Beside(shop), Photos);

    private void BringPhotosBack() => CopyNew(Photos, PhotoFolder.Beside(shop));

    /// <summary>Copies the photos that the shop knows of, where they are not there yet.</summary>
    private void CopyNew(PhotoFolder from, PhotoFolder to)
    {
        using var work = shop.Look();
        Directory.CreateDirectory(to.Folder);
        foreach (var id in work.Each("SELECT id FROM photo", row => row.Number("id")))
        {
            foreach (var (here, there) in ((string, string)[])[(from.FileOf(id), to.FileOf(id)), (from.ThumbnailOf(id), to.ThumbnailOf(id))])
            {
                if (File.Exists(here) && !File.Exists(there))
                    File.Copy(here, there);
            }
        }
    }

    private static DateTimeOffset? AtOf(string name) =>
        name.StartsWith(Prefix, StringComparison.Ordinal)
        && DateTimeOffset.TryParseExact(name[Prefix.Length..^3], Stamp, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var at) ? at : null;
}
