using System.Security.Claims;
using IronLoop.Server.Contract;
using IronLoop.Server.Safekeeping;
using IronLoop.Storage;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;

namespace IronLoop.Server.Door;

/// <summary>How a browser stands before the door.</summary>
/// <param name="IsOpen">Whether nobody has to sign in: the demo, at this machine.</param>
/// <param name="IsFirst">Whether nobody is entered yet, so that the first lead is to be made.</param>
/// <param name="Initials">Who is signed in; null when nobody is.</param>
/// <param name="Role">What they may do.</param>
/// <param name="Token">What every change carries in its header X-Iron-Loop-Token, as a sign that it comes from a page of ours.</param>
/// <param name="Notice">What whoever works here has to know about the shop's file since the program started; null when it is in order.</param>
internal sealed record DoorWire(bool IsOpen, bool IsFirst, string? Initials, Role? Role, string Token, string? Notice);

/// <summary>Who signs in, and with what.</summary>
internal sealed record SignInWire(string Initials, string Passphrase);

/// <summary>The passphrase as it was and as it is to be.</summary>
internal sealed record NewPassphraseWire(string Before, string Passphrase);

/// <summary>The door: how one stands before it, in, out.</summary>
internal static class DoorEndpoints
{
    public static void MapDoor(this IEndpointRouteBuilder routes)
    {
        var door = routes.MapGroup("/api/door").WithTags("door").WithMetadata(new DoorItself());
        door.MapGet("", Stand).WithName("door").WithSummary("How this browser stands before the door.");
        door.MapPost("/first", First).WithName("firstLead").WithSummary("Enters the first manager, and signs them in.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status409Conflict);
        door.MapPost("/in", In).WithName("signIn").WithSummary("Signs in.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status401Unauthorized).ProducesProblem(StatusCodes.Status429TooManyRequests);
        door.MapPost("/out", Out).WithName("signOut").WithSummary("Signs out; the session is over.");
        routes.MapPut("/api/door/passphrase", Change).WithTags("door").WithName("newPassphrase").WithSummary("Changes one’s own passphrase; one’s other sessions end.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static DoorWire Stand(HttpContext context, OpenShop shop, Doorway doorway, IAntiforgery antiforgery) =>
        WireOf(context, shop, doorway, antiforgery, context.Features.Get<Session>()?.Fitter);

    private static DoorWire WireOf(HttpContext context, OpenShop shop, Doorway doorway, IAntiforgery antiforgery, Fitter? fitter)
    {
        using var work = shop.Look();
        if (fitter is null)
            context.User = new ClaimsPrincipal(new ClaimsIdentity());
        var token = antiforgery.GetAndStoreTokens(context).RequestToken!;
        return new DoorWire(doorway.IsOpen, !doorway.IsOpen && !Fitters.Any(work), fitter?.Initials, fitter?.Role, token, doorway.IsOpen || fitter is not null ? Notice(context) : null);
    }

    private static string? Notice(HttpContext context) => context.RequestServices.GetService<ShopHeld>() is { LostAhead: true } ? ShopHeld.Lost : null;

    private static async Task<DoorWire> First(SignInWire first, HttpContext context, OpenShop shop, Doorway doorway, IAntiforgery antiforgery, TimeProvider clock, Knocks knocks)
    {
        var refusals = new Refusals();
        var initials = refusals.Initials("$.initials", first.Initials, signedIn: null);
        var passphrase = Passphrases.New(refusals, "$.passphrase", first.Passphrase, initials);
        refusals.ThrowIfAny("The first manager cannot be entered like this.");
        if (doorway.IsOpen)
            throw RefusedException.Conflict("The demo is open to everybody at this machine; nobody is entered in it.");
        var (hash, now) = (await knocks.Hash(() => Passphrases.Hash(passphrase), context.RequestAborted), clock.GetUtcNow());
        Fitter lead;
        using (var work = shop.Begin())
        {
            if (Fitters.Any(work))
                throw RefusedException.Conflict("The first manager is entered already; sign in.");
            Fitters.Add(work, initials, Role.Lead, hash, now);
            lead = Fitters.Find(work, initials)!;
            DoorLog.Write(work, new DoorEntry(now, initials, "entered as the first manager", context.DeviceOf()));
            work.Commit();
        }
        await Begin(context, shop, lead, now);
        return WireOf(context, shop, doorway, antiforgery, lead);
    }

    private static async Task<IResult> In(
        SignInWire given, HttpContext context, OpenShop shop, Doorway doorway, IAntiforgery antiforgery, TimeProvider clock, Knocks knocks, KnownBrowser known,
        Metrics metrics, ILogger<Doorkeeper> log)
    {
        var initials = (given.Initials ?? "").Trim().ToUpperInvariant();
        // What is kept of a try must not grow with what is sent.
        initials = initials.Length > 4 ? initials[..4] : initials;
        var (address, now) = (context.Connection.RemoteIpAddress?.ToString() ?? "here", clock.GetUtcNow());
        Fitter? fitter;
        using (var look = shop.Look())
            fitter = Fitters.Find(look, initials);
        if (!await knocks.Look(initials, address, known.MarkOf(context, initials), () => Passphrases.IsRight(fitter, given.Passphrase ?? ""), context.RequestAborted))
        {
            metrics.Refused();
            log.LogWarning("Sign-in refused from {Address}", address);
            using var work = shop.Begin();
            DoorLog.Write(work, new DoorEntry(now, new string([.. initials.Where(char.IsLetter)]), "refused: wrong initials or passphrase", context.DeviceOf()));
            work.Commit();
            throw new RefusedException(StatusCodes.Status401Unauthorized, "Initials or passphrase are wrong.", new Dictionary<string, string[]>());
        }
        known.Mark(context, initials);
        await Begin(context, shop, fitter!, now);
        return Results.Ok(WireOf(context, shop, doorway, antiforgery, fitter));
    }

    private static async Task<DoorWire> Out(HttpContext context, OpenShop shop, Doorway doorway, IAntiforgery antiforgery, TimeProvider clock)
    {
        if (context.Features.Get<Session>() is { } session)
        {
            using var work = shop.Begin();
            Sessions.End(work, session.Digest);
            DoorLog.Write(work, new DoorEntry(clock.GetUtcNow(), session.Fitter.Initials, "signed out", context.DeviceOf()));
            work.Commit();
        }
        await context.SignOutAsync(CookieAuthenticationDefaults.AuthenticationScheme);
        return WireOf(context, shop, doorway, antiforgery, null);
    }

    private static async Task<IResult> Change(NewPassphraseWire change, HttpContext context, OpenShop shop, TimeProvider clock, Knocks knocks, KnownBrowser known)
    {
        if (context.Features.Get<Session>() is not { } session)
            throw RefusedException.Conflict("Nobody is signed in here.");
        var refusals = new Refusals();
        var (initials, address) = (session.Fitter.Initials, context.Connection.RemoteIpAddress?.ToString() ?? "here");
        if (!await knocks.Look(initials, address, known.MarkOf(context, initials), () => Passphrases.IsRight(session.Fitter, change.Before ?? ""), context.RequestAborted))
        {
            using var note = shop.Begin();
            DoorLog.Write(note, new DoorEntry(clock.GetUtcNow(), initials, "refused: wrong former passphrase", context.DeviceOf()));
            note.Commit();
            refusals.Add("$.before", "This is not the passphrase so far.");
        }
        var passphrase = Passphrases.New(refusals, "$.passphrase", change.Passphrase, session.Fitter.Initials);
        refusals.ThrowIfAny("The passphrase stays as it was.");
        var hash = await knocks.Hash(() => Passphrases.Hash(passphrase), context.RequestAborted);
        using var work = shop.Begin();
        Fitters.Change(work, session.Fitter with { Hash = hash });
        Sessions.EndAll(work, session.Fitter.Id, but: session.Digest);
        DoorLog.Write(work, new DoorEntry(clock.GetUtcNow(), session.Fitter.Initials, "changed the passphrase", context.DeviceOf()));
        work.Commit();
        return Results.NoContent();
    }

    private static async Task Begin(HttpContext context, OpenShop shop, Fitter fitter, DateTimeOffset now)
    {
        string key;
        using (var work = shop.Begin())
        {
            key = Sessions.Begin(work, fitter.Id, now, context.DeviceOf());
            DoorLog.Write(work, new DoorEntry(now, fitter.Initials, "signed in", context.DeviceOf()));
            work.Commit();
        }
        var identity = new ClaimsIdentity([new Claim(Doorkeeper.Key, key), new Claim(ClaimTypes.NameIdentifier, fitter.Initials)], CookieAuthenticationDefaults.AuthenticationScheme);
        var principal = new ClaimsPrincipal(identity);
        await context.SignInAsync(CookieAuthenticationDefaults.AuthenticationScheme, principal);
        // The token that is given next is for whoever is signed in now.
        context.User = principal;
    }
}
