using System.Security.Cryptography;
using System.Text;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Storage;

namespace IronLoop.Server.Door;

/// <summary>
/// A change that names itself in Idempotency-Key is made once, however often it comes within a day: pressed twice, sent again after an
/// answer was lost, or handed on twice by the line. What came first is done; the others are told what it was told.
/// </summary>
internal sealed class OnceOnly(RequestDelegate next, TimeProvider clock)
{
    public const string Header = "Idempotency-Key";

    private const int LongestKey = 200;

    // What is larger, a catalogue or an archive, is told apart by its name alone.
    private const long MostDigested = 16L << 20;

    private static readonly string[] Told = ["Content-Type", "Location"];

    // Two of one name wait for one another; that two of different names may as well costs nothing.
    private readonly SemaphoreSlim[] _turns = [.. Enumerable.Range(0, 64).Select(_ => new SemaphoreSlim(1, 1))];

    public async Task Invoke(HttpContext context, ShopFile shop, OpenShop open)
    {
        if (open.Hand is not { } hand || context.GetEndpoint()?.Metadata.GetMetadata<DoorItself>() is not null || !context.Request.Headers.TryGetValue(Header, out var names))
        {
            await next(context);
            return;
        }
        if (names is not [{ Length: > 0 and <= LongestKey } key] || key.Any(c => c is < '!' or > '~'))
        {
            throw new RefusedException(StatusCodes.Status400BadRequest, $"{Header} cannot be read; nothing was stored.", new Dictionary<string, string[]>
            {
                [Header] = [$"{Header} is “{names}”; allowed is one name of 1 to {LongestKey} letters, digits and signs, without blanks."],
            });
        }
        var press = new Press(key, await DigestOf(context, hand));
        var turn = _turns[(uint)StringComparer.Ordinal.GetHashCode(key) % _turns.Length];
        await turn.WaitAsync(context.RequestAborted);
        try
        {
            PressDone? done;
            using (var look = shop.Look())
                done = Presses.Find(look, key, clock.GetUtcNow());
            if (done is null)
                await Do(context, shop, hand, press);
            else
                await TellAgain(context, done, press);
        }
        finally
        {
            turn.Release();
        }
    }

    private async Task Do(HttpContext context, ShopFile shop, Hand hand, Press press)
    {
        hand.Press = press;
        var wire = context.Response.Body;
        using var told = new MemoryStream();
        context.Response.Body = told;
        try
        {
            await next(context);
        }
        finally
        {
            context.Response.Body = wire;
        }
        if (context.Response.StatusCode < StatusCodes.Status300MultipleChoices)
        {
            var head = Told.Where(context.Response.Headers.ContainsKey).ToDictionary(h => h, h => context.Response.Headers[h].ToString());
            if (hand.Version is { } version)
                head["ETag"] = $"\"{version}\"";
            // A secret that is told once is not kept to be told again.
            var isSecret = context.GetEndpoint()?.Metadata.GetMetadata<ToldOnce>() is not null;
            Presses.Answered(shop, press, isSecret ? null : new PressAnswer(context.Response.StatusCode, head, told.ToArray()), clock.GetUtcNow());
        }
        told.Position = 0;
        await told.CopyToAsync(wire, context.RequestAborted);
    }

    private static async Task TellAgain(HttpContext context, PressDone done, Press press)
    {
        if (done.Digest != press.Digest)
        {
            throw new RefusedException(StatusCodes.Status422UnprocessableEntity, $"The name in {Header} was given to another call; nothing was stored.", new Dictionary<string, string[]>
            {
                [Header] = [$"{Header} is “{press.Key}”, which another call has had within a day; give each call a name of its own."],
            });
        }
        if (done.Answer is not { } answer)
            throw RefusedException.Conflict("This was done already, once; what it was answered is not kept. See how it stands now.");
        context.Response.StatusCode = answer.Status;
        foreach (var (name, value) in answer.Head)
            context.Response.Headers[name] = value;
        context.Response.Headers["Idempotency-Replayed"] = "true";
        await context.Response.Body.WriteAsync(answer.Body, context.RequestAborted);
    }

    /// <summary>What is asked for, and by whom.</summary>
    private static async Task<string> DigestOf(HttpContext context, Hand hand)
    {
        var request = context.Request;
        using var digest = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        digest.AppendData(Encoding.UTF8.GetBytes($"{hand.By}\n{request.Method}\n{request.Path}{request.QueryString}\n"));
        var allowed = context.GetEndpoint()?.Metadata.GetMetadata<Microsoft.AspNetCore.Http.Metadata.IRequestSizeLimitMetadata>();
        // A body that comes in pieces says no length beforehand.
        if (request.ContentLength is > 0 and <= MostDigested || (request.ContentLength is null && (allowed?.MaxRequestBodySize ?? 0) <= MostDigested))
        {
            // The body is read before the call says how much it takes: what is told here is what this call is.
            if (allowed is not null && context.Features.Get<Microsoft.AspNetCore.Http.Features.IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } most)
                most.MaxRequestBodySize = allowed.MaxRequestBodySize;
            request.EnableBuffering();
            var some = new byte[64 * 1024];
            int read;
            while ((read = await request.Body.ReadAsync(some, context.RequestAborted)) > 0)
                digest.AppendData(some.AsSpan(0, read));
            request.Body.Position = 0;
        }
        return Convert.ToHexString(digest.GetHashAndReset());
    }
}

/// <summary>A call whose answer holds a secret, which is told once.</summary>
internal sealed record ToldOnce;
