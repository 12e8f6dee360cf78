namespace IronLoop.Server.Safekeeping;

/// <summary>A shop is held by one program at a time: two would each believe what they remember of it. The hold ends with the program, however that ends.</summary>
internal sealed class ShopHeld : IDisposable
{
    private readonly FileStream _hold;

    private ShopHeld(FileStream hold) => _hold = hold;

    /// <summary>Takes hold of the shop in a folder.</summary>
    /// <exception cref="ShopHeldException">Another program holds it.</exception>
    public static ShopHeld Take(string folder)
    {
        Directory.CreateDirectory(folder);
        var path = Path.Combine(folder, "held");
        try
        {
            return new ShopHeld(new FileStream(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None));
        }
        catch (IOException) when (File.Exists(path))
        {
            throw new ShopHeldException(folder);
        }
    }

    public void Dispose() => _hold.Dispose();
}

/// <summary>A shop that another program holds.</summary>
internal sealed class ShopHeldException(string folder)
    : IOException($"The shop in {folder} is held by another program. End that one, then try again; nothing was changed.");
