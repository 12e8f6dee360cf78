using System.Collections.Concurrent;
using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Threading.Channels;

namespace IronLoop.Server.Live;

/// <summary>A change that was stored.</summary>
/// <param name="JobId">The job that was changed; null when it was something else.</param>
/// <param name="Version">The version the job is at since.</param>
/// <param name="By">Initials of who changed it; null where nobody has to sign in.</param>
/// <param name="Screen">The screen it came from, by the name that screen gave itself.</param>
internal sealed record ChangeWire(long? JobId, long? Version, string? By, string? Screen);

/// <summary>Tells every open screen what was changed, so that it asks anew.</summary>
internal sealed class Changes
{
    // A screen that does not listen for so long asks for everything when it comes back.
    private const int Waiting = 256;

    private readonly ConcurrentDictionary<Channel<ChangeWire>, bool> _screens = new();

    public int Listening => _screens.Count;

    public void Tell(ChangeWire change)
    {
        foreach (var screen in _screens.Keys)
            screen.Writer.TryWrite(change);
    }

    /// <summary>What is changed from now on, until the screen leaves.</summary>
    public async IAsyncEnumerable<SseItem<ChangeWire>> Listen([EnumeratorCancellation] CancellationToken stop)
    {
        var screen = Channel.CreateBounded<ChangeWire>(new BoundedChannelOptions(Waiting) { FullMode = BoundedChannelFullMode.DropOldest });
        _screens[screen] = true;
        try
        {
            // The first word tells the screen that it is heard from here on.
            yield return new SseItem<ChangeWire>(new ChangeWire(null, null, null, null), "listening");
            await foreach (var change in screen.Reader.ReadAllAsync(stop))
                yield return new SseItem<ChangeWire>(change, "change");
        }
        finally
        {
            _screens.TryRemove(screen, out _);
        }
    }
}

internal static class ChangesEndpoints
{
    /// <summary>The stream ends with the screen or with the server, whichever goes first.</summary>
    public static void MapChanges(this IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/changes", (Changes changes, IHostApplicationLifetime life, CancellationToken gone) =>
            TypedResults.ServerSentEvents(changes.Listen(CancellationTokenSource.CreateLinkedTokenSource(gone, life.ApplicationStopping).Token))).ExcludeFromDescription();
}
