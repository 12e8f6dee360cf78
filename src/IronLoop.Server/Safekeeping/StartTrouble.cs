using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Safekeeping;

/// <summary>What is said when the shop's file cannot be opened, and what to do about it.</summary>
internal static class StartTrouble
{
    // What SQLite says: https://sqlite.org/rescode.html
    private const int Busy = 5, Locked = 6, ReadOnly = 8, InputOutput = 10, Corrupt = 11, Full = 13, CannotOpen = 14, NoDatabase = 26;

    // What Linux says of a file system that is mounted to be read only.
    private const int ReadOnlyFiles = 30;

    /// <summary>The trouble in words; null when it is none that is known.</summary>
    public static string? Explain(Exception failed, string folder)
    {
        var innermost = failed.GetBaseException();
        return innermost switch
        {
            NewerShopException newer => newer.Message,
            ShopHeldException held => held.Message,
            SqliteException { SqliteErrorCode: Corrupt or NoDatabase } =>
                $"The shop’s file in {folder} is damaged; it was left as it is. {WayBack(folder)}",
            SqliteException { SqliteErrorCode: Busy or Locked } =>
                $"The shop’s file in {folder} is held by another program. End that one, then start again; nothing was changed.",
            SqliteException { SqliteErrorCode: Full } or IOException { HResult: 28 } =>
                $"The disk that {folder} is on is full; nothing was changed. Make room, then start again.",
            SqliteException { SqliteErrorCode: ReadOnly or CannotOpen } or UnauthorizedAccessException =>
                $"The folder {folder} cannot be written by this program; nothing was changed. Give it the right to, or choose another folder with --data.",
            IOException { HResult: ReadOnlyFiles } =>
                $"The disk that {folder} is on can only be read; nothing was changed. Choose another folder with --data.",
            SqliteException { SqliteErrorCode: InputOutput } =>
                $"The disk that {folder} is on does not read or write. See to the disk, then start again. {WayBack(folder)}",
            _ => null,
        };
    }

    private static string WayBack(string folder)
    {
        var backups = Path.Combine(folder, "backups");
        return Directory.Exists(backups) && Directory.GetFiles(backups, "iron-loop-*.db").Max() is { } newest
            ? $"Put the newest backup in its place: ./run.sh --data {folder} --restore {newest}"
            : "There is no backup in that folder; if there is one elsewhere, put it in place: ./run.sh --data FOLDER --restore FILE";
    }
}
