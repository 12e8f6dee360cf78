using System.Security.Claims;
using IronLoop.Server.Contract;
using IronLoop.Server.Paper;
using IronLoop.Storage;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.Metadata;

namespace IronLoop.Server.Door;

/// <summary>
/// Stands before every call: who is it, may they, does the change come from a page of ours, and whose hand is laid on which job.
/// </summary>
internal sealed class Doorkeeper(RequestDelegate next, Doorway doorway, Changes changes, Metrics metrics, TimeProvider clock)
{
    // When a session is noted again, after it could not be.
    private long _notBefore;

    /// <summary>The claim that holds a session's key.</summary>
    public const string Key = "session";

    /// <summary>The header a change carries its forgery token in.</summary>
    public const string Token = "X-Iron-Loop-Token";

    /// <summary>The header in which another program gives a key of the shop.</summary>
    public const string ShopKey = "X-Iron-Loop-Key";

    /// <summary>The header in which a screen gives its name, so that it need not be told of its own changes.</summary>
    private const string Screen = "X-Iron-Loop-Screen";

    public async Task Invoke(HttpContext context, ShopFile shop, OpenShop open, IAntiforgery antiforgery)
    {
        var endpoint = context.GetEndpoint();
        if (endpoint is null || endpoint.Metadata.GetMetadata<NeedsNobody>() is not null)
        {
            await next(context);
            return;
        }
        if (endpoint.Metadata.GetMetadata<NeedsKeyFromElsewhere>() is { } needsKey)
        {
            AskForAKey(context, shop, needsKey.EvenHere);
            await next(context);
            return;
        }
        var isChange = !HttpMethods.IsGet(context.Request.Method) && !HttpMethods.IsHead(context.Request.Method) && endpoint.Metadata.GetMetadata<OnlyAsks>() is null;
        // Whoever is not let in is told so before anything else is looked at.
        var session = endpoint.Metadata.GetMetadata<DoorItself>() is null ? LetIn(context, shop, endpoint, isChange) : SessionOf(context, shop);
        open.By = session?.Fitter.Initials;
        if (isChange && !await antiforgery.IsRequestValidAsync(context))
            throw new RefusedException(StatusCodes.Status400BadRequest, "This page is older than your sign-in, or is none of ours; nothing was stored. Reload it.", new Dictionary<string, string[]>());
        var sheet = Versions.SheetOf(context);
        if (session is not null && endpoint.Metadata.GetMetadata<GivesOut>() is { } given)
            NoteGivenOut(shop, session, given);
        if (!isChange)
        {
            // Read before the list itself: a version is never newer than what is shown with it.
            if (sheet is not null && Versions.IsWhole(context))
                Versions.Say(context, VersionOf(shop, sheet));
            await next(context);
            return;
        }
        var job = Versions.JobOf(context);
        var hand = new Hand(session?.Fitter.Initials, job, clock.GetUtcNow(), WordsOf(endpoint)) { Sheet = sheet, Seen = Versions.Seen(context, endpoint, job is not null || sheet is not null) };
        open.Hand = hand;
        // What a catalogue was looked over against is known by the version it was then.
        var stood = sheet is null ? (long?)null : VersionOf(shop, sheet);
        context.Response.OnStarting(() =>
        {
            if ((hand.Version ?? stood) is { } version && !context.Response.Headers.ContainsKey("ETag"))
                Versions.Say(context, version);
            return Task.CompletedTask;
        });
        try
        {
            await next(context);
        }
        catch (StaleException)
        {
            metrics.Stale();
            throw;
        }
        if (context.Response.StatusCode >= StatusCodes.Status400BadRequest)
            return;
        metrics.Changed();
        changes.Tell(new ChangeWire(job, hand.Version, hand.By, context.Request.Headers[Screen], hand.Touched));
    }

    /// <summary>From another machine figures are worked out for those who are signed in, and for programs with a key of the shop.</summary>
    private void AskForAKey(HttpContext context, ShopFile shop, bool evenHere)
    {
        if ((context.IsFromHere() && (!evenHere || doorway.IsOpen)) || SessionOf(context, shop) is not null)
            return;
        if (KeyOf(context) is { Length: > 0 and <= 200 } key)
        {
            using var work = shop.Look();
            if (ShopKeys.Holds(work, key))
                return;
        }
        throw new RefusedException(StatusCodes.Status401Unauthorized, $"{(evenHere ? "This" : "From another machine this")} needs a sign-in, or a key of the shop in {ShopKey}; a manager makes one at Shop, Staff.", new Dictionary<string, string[]>());
    }

    /// <summary>The key a program gives: in the header of ours, or as a bearer, as those who watch over programs do.</summary>
    private static string? KeyOf(HttpContext context) =>
        context.Request.Headers[ShopKey] is [{ } own] ? own
        : context.Request.Headers.Authorization is [{ } given] && given.StartsWith("Bearer ", StringComparison.OrdinalIgnoreCase) ? given[7..].Trim() : null;

    /// <summary>The session of a request, while it lasts.</summary>
    public Session? SessionOf(HttpContext context, ShopFile shop)
    {
        if (context.User.FindFirstValue(Key) is not { } key)
            return null;
        var now = clock.GetUtcNow();
        Session? session;
        using (var look = shop.Look())
            session = Sessions.Find(look, key, now);
        // That somebody was heard of is noted where it can be; whoever is here goes on reading also where it cannot.
        if (session is not null && Sessions.IsToBeNoted(session, now) && now.UtcTicks >= Interlocked.Read(ref _notBefore)
            && !shop.TryLightly(work => Sessions.Note(work, session.Digest, now)))
            Interlocked.Exchange(ref _notBefore, now.AddMinutes(1).UtcTicks);
        // A cookie of a session that is over is nobody's; else its owner could not sign in again.
        if (session is null)
            context.User = new ClaimsPrincipal(new ClaimsIdentity());
        context.Features.Set(session);
        return session;
    }

    private Session? LetIn(HttpContext context, ShopFile shop, Endpoint endpoint, bool isChange)
    {
        if (doorway.IsOpen)
            return null;
        var session = SessionOf(context, shop)
            ?? throw new RefusedException(StatusCodes.Status401Unauthorized, "Sign in first; a session ends after twelve silent hours.", new Dictionary<string, string[]>());
        var given = endpoint.Metadata.GetMetadata<GivesOut>();
        var needed = given?.Role ?? (isChange ? endpoint.Metadata.GetMetadata<Needs>()?.Role : null) ?? Role.Counter;
        if (session.Fitter.Role < needed)
        {
            throw new RefusedException(StatusCodes.Status403Forbidden,
                $"This needs a {RoleWords.Of(needed)}; {session.Fitter.Initials} is signed in as {RoleWords.Of(session.Fitter.Role)}. {(isChange ? "Nothing was changed." : "Nothing is given out.")}", new Dictionary<string, string[]>());
        }
        return session;
    }

    /// <summary>What leaves the shop as a file is noted first; where that cannot be written, nothing leaves.</summary>
    private void NoteGivenOut(ShopFile shop, Session session, GivesOut given)
    {
        using var work = shop.Begin(new Hand(session.Fitter.Initials, null, clock.GetUtcNow(), $"Took out {given.What}."));
        work.Commit();
    }

    // What a call is said to do where the contract lists it says what was done with it.
    private static string WordsOf(Endpoint endpoint) => endpoint.Metadata.GetMetadata<IEndpointSummaryMetadata>()?.Summary ?? endpoint.DisplayName ?? "";

    private static long VersionOf(ShopFile shop, string sheet)
    {
        using var look = shop.Look();
        return Sheets.VersionOf(look, sheet).Version;
    }
}

/// <summary>A call at the door itself: it is made before anybody is signed in.</summary>
internal sealed record DoorItself;

internal static class RoleWords
{
    public static string Of(Role role) => role switch { Role.Counter => "counter", Role.Fitter => "fitter", _ => "lead" };
}
