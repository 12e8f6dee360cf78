using System.Net.WebSockets;
using System.Text.Json;
using IronLoop.Server.Contract;
using Microsoft.Extensions.Options;

namespace IronLoop.Server.Door;

/// <summary>
/// The line on which a screen is told of changes. It is a web socket: a browser keeps only six plain connections to one server, and a
/// fitter with six tabs open would have none left to work with.
/// </summary>
internal static class ChangesEndpoints
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(2);

    public static void MapChanges(this IEndpointRouteBuilder routes) => routes.MapGet("/api/changes", Listen).ExcludeFromDescription();

    private static async Task Listen(HttpContext context, Changes changes, OpenLine line, IHostApplicationLifetime life, IOptions<Microsoft.AspNetCore.Http.Json.JsonOptions> json)
    {
        if (!context.WebSockets.IsWebSocketRequest)
            throw RefusedException.Conflict("This line speaks as a web socket only.");
        // A browser lets any page open a socket to anywhere; only a page of ours is answered.
        if (context.Request.Headers.Origin.ToString() is { Length: > 0 } origin && (!Uri.TryCreate(origin, UriKind.Absolute, out var page) || page.Authority != context.Request.Host.Value))
            throw new RefusedException(StatusCodes.Status403Forbidden, "This page is none of ours.", new Dictionary<string, string[]>());
        using var socket = await context.WebSockets.AcceptWebSocketAsync();
        using var until = line.Until(context);
        var screen = changes.Come();
        var gone = Gone(socket, until);
        try
        {
            await foreach (var change in screen.Reader.ReadAllAsync(until.Token))
                await socket.SendAsync(JsonSerializer.SerializeToUtf8Bytes(change, json.Value.SerializerOptions), WebSocketMessageType.Text, endOfMessage: true, context.RequestAborted);
        }
        catch (Exception left) when (left is OperationCanceledException or WebSocketException)
        {
            // The screen, its session or the server went.
        }
        finally
        {
            changes.Leave(screen);
            await until.CancelAsync();
            await Close(socket, life.ApplicationStopping.IsCancellationRequested);
            await gone;
        }
    }

    /// <summary>Says why a line ends, to a screen that is still there.</summary>
    private static async Task Close(WebSocket socket, bool isStopping)
    {
        if (socket.State != WebSocketState.Open)
            return;
        using var patience = new CancellationTokenSource(Patience);
        try
        {
            await (isStopping
                ? socket.CloseOutputAsync(WebSocketCloseStatus.EndpointUnavailable, "The server ends.", patience.Token)
                : socket.CloseOutputAsync(WebSocketCloseStatus.PolicyViolation, "The session is over.", patience.Token));
        }
        catch (Exception left) when (left is OperationCanceledException or WebSocketException)
        {
            // It went meanwhile.
        }
    }

    /// <summary>Waits until the screen leaves; it has nothing to say.</summary>
    private static async Task Gone(WebSocket socket, CancellationTokenSource until)
    {
        // A line that is to end waits only a moment for the screen's own word to that.
        using var patience = new CancellationTokenSource();
        await using var ending = until.Token.Register(() => patience.CancelAfter(Patience));
        try
        {
            while (socket.State is WebSocketState.Open or WebSocketState.CloseSent)
                await socket.ReceiveAsync(new byte[64], patience.Token);
        }
        catch (Exception left) when (left is OperationCanceledException or WebSocketException or IOException)
        {
            // Gone without a word.
        }
        await until.CancelAsync();
    }
}
