using IronLoop.Storage;

namespace IronLoop.Server.Door;

/// <summary>The shop as it is open to one call: what is written through it is written by whoever made the call, on what they saw.</summary>
internal sealed class OpenShop(ShopFile file)
{
    /// <summary>Whose hand the call is; null for a call that changes nothing.</summary>
    public Hand? Hand { get; set; }

    /// <summary>Initials of whoever is signed in; null where nobody has to be.</summary>
    public string? By { get; set; }

    /// <summary>The file itself, for what is nobody's change.</summary>
    public ShopFile File => file;

    /// <summary>
    /// Begins a piece of work in the name of whoever made the call. What is known of its job, and what can be worked out of it, is worked out
    /// before it is one's turn to write; there it is only looked whether that still stands.
    /// </summary>
    /// <exception cref="StaleException">What is changed was changed since it was seen.</exception>
    public ShopWork Begin()
    {
        if (Hand is { JobId: { } job, Version: null })
        {
            using var look = Look();
            _ = JobReader.Find(look, job)?.Bench;
        }
        return file.Begin(Hand);
    }

    /// <summary>Looks without changing.</summary>
    public ShopWork Look() => file.Look(By);
}
