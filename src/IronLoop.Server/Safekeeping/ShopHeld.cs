using IronLoop.Storage;

namespace IronLoop.Server.Safekeeping;

/// <summary>A shop is held by one program at a time: two would each believe what they remember of it. The hold ends with the program, however that ends.</summary>
internal sealed class ShopHeld : IDisposable
{
    private readonly FileStream _hold;

    private readonly string _ahead;

    private ShopHeld(FileStream hold, string folder)
    {
        (_hold, _ahead) = (hold, Path.Combine(folder, "iron-loop.db-wal"));
        // Whoever lets go in order brings everything into the file itself and says so here; else what was written last lies ahead of it.
        LostAhead = hold.Length > 0 && File.Exists(Path.Combine(folder, "iron-loop.db")) && !File.Exists(_ahead);
    }

    /// <summary>Says that the shop is open from now on: whoever ends without letting go of it leaves this behind.</summary>
    public void Opened()
    {
        _hold.SetLength(0);
        _hold.Write("open"u8);
        _hold.Flush(flushToDisk: true);
    }

    /// <summary>Whether the shop was not let go of in order, and what was written last is not there any more.</summary>
    public bool LostAhead { get; }

    /// <summary>What is said where it is not.</summary>
    public const string Lost =
        "The shop was not closed in order, and the file of what was stored last (iron-loop.db-wal) is gone. If nobody opened iron-loop.db with another "
        + "program since, the last changes may be missing: compare the rack and the log with what lies on the benches, and with the newest backup.";

    /// <summary>Takes hold of the shop in a folder.</summary>
    /// <exception cref="ShopHeldException">Another program holds it.</exception>
    public static ShopHeld Take(string folder)
    {
        Directory.CreateDirectory(folder);
        var path = Path.Combine(folder, "held");
        try
        {
            return new ShopHeld(new FileStream(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None), folder);
        }
        catch (IOException) when (File.Exists(path))
        {
            throw new ShopHeldException(folder);
        }
    }

    public void Dispose()
    {
        ShopFile.LetGo();
        if (!File.Exists(_ahead))
            _hold.SetLength(0);
        _hold.Dispose();
    }
}

/// <summary>A shop that another program holds.</summary>
internal sealed class ShopHeldException(string folder)
    : IOException($"The shop in {folder} is held by another program. End that one, then try again; nothing was changed.");
