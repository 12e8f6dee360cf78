using System.Runtime.InteropServices;

namespace IronLoop.Server.Safekeeping;

/// <summary>What lies in the shop's folder is for the program's own user alone, whatever the machine's habits are.</summary>
internal static partial class OnlyOurs
{
    private const UnixFileMode OfFolders = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute;
    private const UnixFileMode OfFiles = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    /// <summary>What is made from now on, by SQLite and all others, is readable by nobody else.</summary>
    public static void FromNowOn()
    {
        if (OperatingSystem.IsLinux())
            _ = Umask(0b000_111_111);
    }

    /// <summary>What lies there already, from before or copied in, is so too. What belongs to another user is left to that one.</summary>
    public static void MakeSo(string folder)
    {
        if (!OperatingSystem.IsLinux() || !Directory.Exists(folder))
            return;
        try
        {
            File.SetUnixFileMode(folder, OfFolders);
            foreach (var entry in new DirectoryInfo(folder).EnumerateFileSystemInfos("*", SearchOption.AllDirectories))
                if (entry.LinkTarget is null)
                    entry.UnixFileMode = entry is DirectoryInfo ? OfFolders : OfFiles;
        }
        catch (UnauthorizedAccessException)
        {
            // Whoever owns the folder says who may read it.
        }
    }

    [LibraryImport("libc", EntryPoint = "umask")]
    private static partial uint Umask(uint mask);
}
