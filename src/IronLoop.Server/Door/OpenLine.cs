using System.Security.Claims;
using IronLoop.Storage;

namespace IronLoop.Server.Door;

/// <summary>
/// A line that stays open, of changes or of readings, ends with the session it was opened in: that is looked at whenever something is
/// changed, and every half a minute.
/// </summary>
internal sealed class OpenLine(ShopFile shop, Doorway doorway, Changes changes, TimeProvider clock, IHostApplicationLifetime life)
{
    private static readonly TimeSpan Between = TimeSpan.FromSeconds(30);

    /// <summary>What ends a line: whoever it is of leaves, signs out or is shut out, or the program ends.</summary>
    /// <param name="context">The request that opened it.</param>
    /// <returns>To be ended with the line.</returns>
    public CancellationTokenSource Until(HttpContext context)
    {
        // An open line would hold up the server's own stop.
        var until = CancellationTokenSource.CreateLinkedTokenSource(context.RequestAborted, life.ApplicationStopping);
        if (!doorway.IsOpen)
            _ = EndWithSession(context.User.FindFirstValue(Doorkeeper.Key) ?? "", until);
        return until;
    }

    private async Task EndWithSession(string key, CancellationTokenSource until)
    {
        var told = changes.Come(listens: false);
        try
        {
            while (Lasts(key))
            {
                using var half = CancellationTokenSource.CreateLinkedTokenSource(until.Token);
                var change = told.Reader.WaitToReadAsync(half.Token).AsTask();
                await Task.WhenAny(change, Task.Delay(Between, clock, half.Token));
                await half.CancelAsync();
                until.Token.ThrowIfCancellationRequested();
                while (told.Reader.TryRead(out _))
                {
                    // Whatever it was, the session is looked at.
                }
            }
            await until.CancelAsync();
        }
        catch (Exception ended) when (ended is OperationCanceledException or ObjectDisposedException)
        {
            // The line ended first.
        }
        finally
        {
            changes.Leave(told);
        }
    }

    private bool Lasts(string key)
    {
        using var look = shop.Look();
        return Sessions.Find(look, key, clock.GetUtcNow()) is not null;
    }
}
