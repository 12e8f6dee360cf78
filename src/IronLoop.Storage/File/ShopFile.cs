using System.Collections.Concurrent;
using System.Diagnostics;
using System.Globalization;
using DbUp;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>
/// The shop's database file: one SQLite file in write-ahead mode, foreign keys on, brought up to date by numbered
/// migrations when it is opened.
/// </summary>
public sealed class ShopFile : IDisposable
{
    internal const string FileName = "iron-loop.db";

    private const int SqliteBusy = 5;

    // As many as ask at once on a busy day.
    private const int MostIdle = 32;

    // Jobs that hang on the rack of a large shop, and are looked at there, with room.
    private const int MostKnown = 1_000;

    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(10);

    private readonly Turn _turn = new();
    private readonly WrittenAhead _ahead;

    private readonly string _connectionString;

    // Lines that wait for the next piece of work, with what is prepared on them.
    private readonly ConcurrentStack<Line> _idle = new();
    private volatile bool _isClosed;
    private readonly Lazy<Schema> _schema;
    private long _indexBegun;

    private static readonly ConcurrentDictionary<ShopFile, bool> AllOpen = new();

    private ShopFile(string path)
    {
        Path = path;
        _ahead = new WrittenAhead(this);
        _schema = new Lazy<Schema>(ReadSchema);
        Pace = new Pace(JobChanges);
        House = new KnownHouse(JobChanges);
        Known = new KnownJobs(JobChanges, MostKnown);
        _connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = path,
            ForeignKeys = true,
            Pooling = true,
            DefaultTimeout = 10,
        }.ConnectionString;
    }

    /// <summary>Where the file is.</summary>
    public string Path { get; }

    /// <summary>Which bands were changed since the shop was opened.</summary>
    public BandChanges BandChanges { get; } = new();

    /// <summary>What was stored lately, for what is kept of jobs in memory.</summary>
    public JobChanges JobChanges { get; } = new();

    /// <summary>The jobs that are at work, as they are known.</summary>
    internal KnownJobs Known { get; }

    /// <summary>The shop's spring bars and limits, as they are known.</summary>
    internal KnownHouse House { get; }

    /// <summary>The file's tables; read when they are first asked for, which is when it is up to date.</summary>
    internal Schema Schema => _schema.Value;

    /// <summary>How long steps take here.</summary>
    internal Pace Pace { get; }

    /// <summary>The words of the jobs that are open.</summary>
    internal OpenVisits OpenVisits { get; } = new();

    /// <summary>Told how long each piece of work had the file to write in; null where nobody asks.</summary>
    public Action<TimeSpan>? Written { get => _turn.Ended; set => _turn.Ended = value; }

    /// <summary>
    /// Says that another shop may stand in this file's place, or that its jobs are worked out by other code: what was kept of the one before
    /// is forgotten.
    /// </summary>
    public void IsAnother()
    {
        BandChanges.All();
        JobChanges.Tell(Changed.Everything);
        OpenVisits.Forget();
    }

    /// <summary>Opens the file in a folder, making both when they are not there, and runs the migrations it lacks.</summary>
    /// <exception cref="InvalidOperationException">A migration failed; the file is as it was before that migration.</exception>
    /// <exception cref="NewerShopException">A newer program made the file; nothing was written to it.</exception>
    public static ShopFile Open(string folder)
    {
        Directory.CreateDirectory(folder);
        var shop = new ShopFile(System.IO.Path.Combine(folder, FileName));
        AllOpen[shop] = true;
        using (var connection = shop.Connect())
        {
            MustNotBeNewer(connection, shop.Path);
            using var journal = connection.CreateCommand();
            // Write-ahead mode stays with the file. Synchronous full: what was acknowledged survives a power cut.
            journal.CommandText = "PRAGMA journal_mode = WAL;";
            journal.ExecuteNonQuery();
        }
        shop.BringUpToDate();
        return shop;
    }

    /// <summary>Moves the file in a folder aside, with what was written ahead of it.</summary>
    /// <returns>Where it is now.</returns>
    internal static string MoveAside(string folder, string name)
    {
        var to = System.IO.Path.Combine(folder, $"iron-loop.{name}.db");
        foreach (var end in (string[])["", "-wal", "-shm"])
        {
            if (File.Exists(System.IO.Path.Combine(folder, FileName + end)))
                File.Move(System.IO.Path.Combine(folder, FileName + end), to + end);
        }
        return to;
    }

    /// <summary>Runs the migrations it lacks, and makes what is made from the rest.</summary>
    internal void BringUpToDate()
    {
        Upgrade(_connectionString, LatestVersion);
        using var work = Begin();
        if (Visits.IsBehind(work))
            Visits.CatchUp(work);
        Bands.WorkOutReach(work);
        work.Commit();
    }

    /// <summary>Begins a piece of work: everything in it is stored together by <see cref="ShopWork.Commit"/>, or not at all.</summary>
    /// <exception cref="StaleException">What the hand at work is laid on was changed since it was seen.</exception>
    /// <exception cref="SqliteException">Others went on writing for longer than is waited (SQLITE_BUSY).</exception>
    /// <param name="hand">Whose work it is; null where it is nobody's.</param>
    public ShopWork Begin(Hand? hand = null) => Begin(hand, lasting: true);

    /// <summary>Begins a piece of work in nobody's name, whose loss with the power would cost nothing: it does not wait for the disk.</summary>
    internal ShopWork BeginLightly() => Begin(null, lasting: false);

    /// <summary>
    /// Does what is only noted beside the work, if the file can be written right away: a full disk, or another program that holds the file,
    /// must not keep anybody from reading.
    /// </summary>
    /// <returns>Whether it was done.</returns>
    public bool TryLightly(Action<ShopWork> note)
    {
        try
        {
            using var work = Begin(null, lasting: false, TimeSpan.FromSeconds(1));
            note(work);
            work.Commit();
            return true;
        }
        catch (Exception cannot) when (cannot is SqliteException or IOException)
        {
            return false;
        }
    }

    private ShopWork Begin(Hand? hand, bool lasting) => Begin(hand, lasting, Patience);

    private ShopWork Begin(Hand? hand, bool lasting, TimeSpan patience)
    {
        // What can be done before it is one's turn is.
        var line = Take(lasting, patience);
        if (!_turn.Take(patience))
        {
            GiveBack(line);
            throw new SqliteException("The shop’s file is being written.", SqliteBusy);
        }
        ShopWork? work = null;
        try
        {
            work = new ShopWork(this, line, writing: true, _turn.End) { Hand = hand };
            hand?.LayOn(work);
            work.HandIsLaidOn();
            return work;
        }
        catch
        {
            if (work is null)
                _turn.End();
            work?.Dispose();
            throw;
        }
    }

    /// <summary>Begins a piece of work that only reads, and sees one moment of the shop.</summary>
    /// <param name="by">Initials of whoever looks: how they work goes with what they see; null where nobody has to say.</param>
    public ShopWork Look(string? by = null) => new(this, Take(lasting: true, Patience), writing: false) { By = by };

    /// <summary>Held while the file's index of words is brought up to what is stored.</summary>
    internal Lock IndexAtWork { get; } = new();

    /// <summary>How often that was begun.</summary>
    internal long IndexBegun { get => Interlocked.Read(ref _indexBegun); set => Interlocked.Exchange(ref _indexBegun, value); }

    /// <summary>Held while a backup is made or written anew, so that none is made of what is just being forgotten.</summary>
    internal Lock BackupsAtWork { get; } = new();

    /// <summary>Brings what was written ahead into the file itself, so that what was written over is gone from both.</summary>
    /// <returns>Whether it could; somebody who reads for long may stand in the way.</returns>
    public bool Checkpoint()
    {
        using var connection = Connect();
        using var pragma = connection.CreateCommand();
        pragma.CommandText = "PRAGMA busy_timeout = 5000; PRAGMA wal_checkpoint(TRUNCATE);";
        // Where another brings it in at the same moment SQLite does not wait, but says so at once.
        var since = Stopwatch.StartNew();
        while (true)
        {
            using (var row = pragma.ExecuteReader())
            {
                row.NextResult();
                if (row.Read() && row.GetInt64(0) == 0)
                    return true;
            }
            if (since.Elapsed > BringsInFor)
                return false;
            Thread.Sleep(100);
        }
    }

    private static readonly TimeSpan BringsInFor = TimeSpan.FromSeconds(4);

    /// <summary>Brings what was written ahead into the file itself, as far as a way of SQLite's does. A line that is let go of is not opened for it.</summary>
    /// <param name="way">Which way.</param>
    /// <param name="turn">How long to wait for the turn, so that nobody writes meanwhile; null where others may.</param>
    /// <returns>The pages that are written ahead, and how many of them are not in the file; nought where it could not be done.</returns>
    internal (long Pages, long Left) BringIn(string way, TimeSpan? turn)
    {
        if (turn is { } patience && !_turn.Take(patience))
            return default;
        Line? line = null;
        try
        {
            if (!_idle.TryPop(out line))
                return default;
            using var pragma = line.Connection.CreateCommand();
            pragma.CommandText = $"PRAGMA wal_checkpoint({way});";
            using var row = pragma.ExecuteReader();
            return row.Read() ? (row.GetInt64(1), row.GetInt64(1) - row.GetInt64(2)) : default;
        }
        finally
        {
            if (line is not null)
                GiveBack(line);
            if (turn is not null)
                _turn.End();
        }
    }

    /// <inheritdoc />
    public void Dispose()
    {
        _isClosed = true;
        CloseIdle();
        OpenVisits.Dispose();
        AllOpen.TryRemove(this, out _);
    }

    /// <summary>A line nobody has, as it has to be for what is stored on it.</summary>
    private Line Take(bool lasting, TimeSpan patience)
    {
        if (!_idle.TryPop(out var line))
            return new Line(Connect(lasting, patience)) { IsLasting = lasting };
        line.Connection.DefaultTimeout = (int)patience.TotalSeconds;
        if (line.IsLasting != lasting)
        {
            using var pragma = line.Connection.CreateCommand();
            pragma.CommandText = Synchronous(lasting);
            pragma.ExecuteNonQuery();
            line.IsLasting = lasting;
        }
        return line;
    }

    /// <summary>Gives a line back, with nothing going on on it.</summary>
    internal void GiveBack(Line line)
    {
        if (_isClosed || _idle.Count >= MostIdle)
            line.Dispose();
        else
            _idle.Push(line);
    }

    /// <summary>Gives a line back on which something was stored.</summary>
    /// <param name="line">The line.</param>
    /// <param name="rows">How many rows.</param>
    internal void GiveBack(Line line, int rows)
    {
        GiveBack(line);
        _ahead.Stored(rows);
    }

    private Schema ReadSchema()
    {
        using var connection = Connect();
        return Schema.Of(connection);
    }

    private static string Synchronous(bool lasting) => $"PRAGMA synchronous = {(lasting ? "FULL" : "NORMAL")};";

    /// <summary>Lets go of the file, so that it can be moved or another process can take it.</summary>
    public static void LetGo()
    {
        foreach (var shop in AllOpen.Keys)
            shop.CloseIdle();
        SqliteConnection.ClearAllPools();
    }

    private void CloseIdle()
    {
        using var _ = _ahead.Still();
        while (_idle.TryPop(out var line))
            line.Dispose();
    }

    internal SqliteConnection Connect(bool lasting = true, TimeSpan? patience = null)
    {
        var connection = new SqliteConnection(_connectionString);
        connection.DefaultTimeout = (int)(patience ?? Patience).TotalSeconds;
        connection.Open();
        using var pragma = connection.CreateCommand();
        // What is taken out is written over: a client who asked to be forgotten must not be found between the pages.
        pragma.CommandText = $"{Synchronous(lasting)} PRAGMA secure_delete = ON; PRAGMA wal_autocheckpoint = 0;";
        pragma.ExecuteNonQuery();
        return connection;
    }

    /// <summary>The version of a file: the number of the last migration that was run on it.</summary>
    internal static int VersionOf(SqliteConnection connection)
    {
        using var look = connection.CreateCommand();
        look.CommandText = "SELECT COUNT(*) FROM sqlite_schema WHERE name = 'SchemaVersions'";
        if (look.ExecuteScalar() is 0L)
            return 0;
        look.CommandText = "SELECT ScriptName FROM SchemaVersions";
        using var names = look.ExecuteReader();
        var version = 0;
        while (names.Read())
            version = Math.Max(version, VersionOf(names.GetString(0)));
        return version;
    }

    /// <summary>The newest version a file can have: the number of its last migration.</summary>
    public static int LatestVersion { get; } = typeof(ShopFile).Assembly.GetManifestResourceNames().Max(VersionOf);

    /// <summary>The oldest version that was written to archives.</summary>
    internal const int FirstArchived = 10;

    /// <summary>Makes an empty file of a version in a folder.</summary>
    internal static SqliteConnection Make(string folder, int version)
    {
        var shop = new ShopFile(System.IO.Path.Combine(folder, FileName));
        Upgrade(shop._connectionString, version);
        return shop.Connect();
    }

    private static void Upgrade(string connectionString, int version)
    {
        var result = DeployChanges.To
            .SqliteDatabase(connectionString)
            .WithScriptsEmbeddedInAssembly(typeof(ShopFile).Assembly, name => VersionOf(name) is > 0 and var number && number <= version)
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        if (!result.Successful)
            throw new InvalidOperationException($"The database could not be brought up to date at {result.ErrorScript?.Name}.", result.Error);
    }

    /// <summary>Looks whether a file is one that this program knows.</summary>
    /// <exception cref="NewerShopException">A newer program made it.</exception>
    internal static void MustNotBeNewer(SqliteConnection connection, string path)
    {
        if (VersionOf(connection) is var version && version > LatestVersion)
            throw new NewerShopException(System.IO.Path.GetFileName(path), version, LatestVersion);
    }

    /// <summary>The number a migration's name begins with; nought for what is none.</summary>
    private static int VersionOf(string resource) =>
        resource.EndsWith(".sql", StringComparison.Ordinal) && resource.Split('.') is [.., var name, _] && int.TryParse(name.Split('_')[0], NumberStyles.None, CultureInfo.InvariantCulture, out var number)
            ? number : 0;
}

/// <summary>A file that a newer program made: this one would not know what it leaves out.</summary>
/// <param name="name">The file's name.</param>
/// <param name="version">Its version.</param>
/// <param name="known">The newest version this program knows.</param>
public sealed class NewerShopException(string name, int version, int known)
    : IOException($"{name} is of version {version}; this program knows versions up to {known}. Nothing was written to it; use the newer program.");
