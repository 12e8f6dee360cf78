using System.Net.WebSockets;
using System.Text.Json;
using IronLoop.Server.Contract;
using Microsoft.Extensions.Options;

namespace IronLoop.Server.Live;

/// <summary>
/// The line on which a screen is told of changes. It is a web socket: a browser keeps only six plain connections to one server, and a
/// fitter with six tabs open would have none left to work with.
/// </summary>
internal static class ChangesEndpoints
{
    public static void MapChanges(this IEndpointRouteBuilder routes) => routes.MapGet("/api/changes", Listen).ExcludeFromDescription();

    private static async Task Listen(HttpContext context, Changes changes, IHostApplicationLifetime life, IOptions<Microsoft.AspNetCore.Http.Json.JsonOptions> json)
    {
        if (!context.WebSockets.IsWebSocketRequest)
            throw RefusedException.Conflict("This line speaks as a web socket only.");
        // A browser lets any page open a socket to anywhere; only a page of ours is answered.
        if (context.Request.Headers.Origin.ToString() is { Length: > 0 } origin && (!Uri.TryCreate(origin, UriKind.Absolute, out var page) || page.Authority != context.Request.Host.Value))
            throw new RefusedException(StatusCodes.Status403Forbidden, "This page is none of ours.", new Dictionary<string, string[]>());
        using var socket = await context.WebSockets.AcceptWebSocketAsync();
        // It ends with the screen or with the server, whichever goes first.
        using var stop = CancellationTokenSource.CreateLinkedTokenSource(context.RequestAborted, life.ApplicationStopping);
        var screen = changes.Come();
        var gone = Gone(socket, stop);
        try
        {
            await foreach (var change in screen.Reader.ReadAllAsync(stop.Token))
                await socket.SendAsync(JsonSerializer.SerializeToUtf8Bytes(change, json.Value.SerializerOptions), WebSocketMessageType.Text, endOfMessage: true, stop.Token);
        }
        catch (Exception left) when (left is OperationCanceledException or WebSocketException)
        {
            // The screen or the server went.
        }
        finally
        {
            changes.Leave(screen);
            await stop.CancelAsync();
            await gone;
        }
    }

    /// <summary>Waits until the screen leaves; it has nothing to say.</summary>
    private static async Task Gone(WebSocket socket, CancellationTokenSource stop)
    {
        try
        {
            while (socket.State == WebSocketState.Open)
                await socket.ReceiveAsync(new byte[64], stop.Token);
        }
        catch (Exception left) when (left is OperationCanceledException or WebSocketException)
        {
            // Gone without a word.
        }
        await stop.CancelAsync();
    }
}
