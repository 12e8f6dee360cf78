using System.Collections.Concurrent;
using System.Threading.Channels;
using IronLoop.Server.Host;

namespace IronLoop.Server.Door;

/// <summary>A change that was stored.</summary>
/// <param name="JobId">The job that was changed; null when it was something else.</param>
/// <param name="Version">The version the job is at since.</param>
/// <param name="By">Initials of who changed it; null where nobody has to sign in.</param>
/// <param name="Screen">The screen it came from, by the name that screen gave itself.</param>
/// <param name="Jobs">All jobs that are touched by it, that one too; null when they are not to be named.</param>
internal sealed record ChangeWire(long? JobId, long? Version, string? By, string? Screen, IReadOnlyCollection<long>? Jobs);

/// <summary>Tells every open screen what was changed, so that it asks anew.</summary>
internal sealed class Changes
{
    // A screen that does not listen for so long asks for everything when it comes back.
    private const int Waiting = 256;

    private readonly ConcurrentDictionary<Channel<ChangeWire>, bool> _screens = new();

    public int Listening => _screens.Count(s => s.Value);

    public void Tell(ChangeWire change)
    {
        foreach (var screen in _screens.Keys)
            screen.Writer.TryWrite(change);
    }

    /// <summary>A screen begins to listen.</summary>
    /// <param name="listens">Whether it is a screen, and not who watches over one.</param>
    public Channel<ChangeWire> Come(bool listens = true)
    {
        var screen = Channel.CreateBounded<ChangeWire>(new BoundedChannelOptions(Waiting) { FullMode = BoundedChannelFullMode.DropOldest });
        _screens[screen] = listens;
        return screen;
    }

    /// <summary>A screen leaves.</summary>
    public void Leave(Channel<ChangeWire> screen) => _screens.TryRemove(screen, out _);
}
