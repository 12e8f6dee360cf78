using IronLoop.Server.Contract;
using IronLoop.Storage;
using Microsoft.AspNetCore.Identity;

namespace IronLoop.Server.Door;

/// <summary>Passphrases: what is taken for one, how it is kept, and whether a given one is right.</summary>
internal static class Passphrases
{
    public const int Shortest = 10;
    public const int Longest = 200;

    private static readonly PasswordHasher<string> Hasher = new();

    // Somebody unknown takes as long to be refused as somebody known.
    private static readonly string Nobodys = Hasher.HashPassword("", Guid.NewGuid().ToString("n"));

    public static string Hash(string passphrase) => Hasher.HashPassword("", passphrase);

    /// <summary>Whether a passphrase is a fitter's; nobody's never is.</summary>
    public static bool IsRight(Fitter? fitter, string passphrase) =>
        Hasher.VerifyHashedPassword("", fitter?.Hash ?? Nobodys, passphrase.Length > Longest ? "" : passphrase) != PasswordVerificationResult.Failed
        && fitter is { GoneAt: null };

    /// <summary>Reads a new passphrase; what is refused is never repeated in the answer.</summary>
    public static string New(Refusals refusals, string path, string? passphrase, string initials)
    {
        var given = passphrase ?? "";
        if (given.Length is < Shortest or > Longest)
            refusals.Add(path, $"The passphrase has {given.Length} characters; allowed are {Shortest} to {Longest}. A few words in a row are good.");
        else if (given.Distinct().Count() < 5)
            refusals.Add(path, "The passphrase is guessed too easily: give at least 5 different characters.");
        // Lists of common ones, of names, of words and of what lies in a row on a keyboard ship with the package.
        else if (Zxcvbn.Zxcvbn.MatchPassword(given.Length > 60 ? given[..60] : given, [initials, "iron loop", "ironloop"]).Score < 2)
            refusals.Add(path, "The passphrase is guessed too easily: it is common, or made of what is common. A few words that nobody else would put in a row are good.");
        return given;
    }
}
