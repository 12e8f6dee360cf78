using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Door;

/// <summary>Somebody who works here, as a lead sees them.</summary>
internal sealed record HandWire(string Initials, Role Role, DateTimeOffset Since, DateTimeOffset? GoneAt);

/// <summary>Where somebody is signed in.</summary>
/// <param name="Mark">By which the session is told apart.</param>
/// <param name="IsThis">Whether it is the one that asks.</param>
internal sealed record SessionWire(string Mark, string Initials, DateTimeOffset Since, DateTimeOffset SeenAt, string Device, bool IsThis);

/// <summary>A line of what happened at the door.</summary>
internal sealed record DoorEntryWire(DateTimeOffset At, string Initials, string What, string Device);

/// <summary>A change somebody made.</summary>
internal sealed record DoneWire(DateTimeOffset At, string By, long? JobId, string What);

/// <summary>Who works here, who is signed in where, what happened at the door, and what was done last.</summary>
internal sealed record HandsWire(
    IReadOnlyList<HandWire> Hands, IReadOnlyList<SessionWire> Sessions, IReadOnlyList<DoorEntryWire> Door, IReadOnlyList<DoneWire> Done);

/// <summary>Somebody to be entered.</summary>
internal sealed record NewHandWire(string Initials, Role Role, string Passphrase);

/// <summary>What is changed of somebody; what is left out stays.</summary>
internal sealed record HandChangeWire(Role? Role = null, string? Passphrase = null, bool? Gone = null);

/// <summary>Who works here; a lead's business.</summary>
internal static class HandsEndpoints
{
    public static void MapHands(this IEndpointRouteBuilder routes)
    {
        var hands = routes.MapGroup("/api/hands").WithTags("door");
        hands.MapGet("", All).WithName("hands").WithSummary("Who works here, who is signed in where, what happened at the door.");
        hands.MapPost("", Add).WithName("addHand").WithSummary("Enters somebody.").ProducesValidationProblem().ProducesProblem(StatusCodes.Status409Conflict);
        hands.MapPut("/{initials}", Change).WithName("changeHand").WithSummary("Changes a role, sets a new passphrase, or lets somebody go; their sessions end.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        hands.MapDelete("/sessions/{mark}", End).WithName("endSession").WithSummary("Ends a session.").ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static HandsWire All(HttpContext context, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Look();
        return Of(work, context, clock);
    }

    private static HandsWire Of(ShopWork work, HttpContext context, TimeProvider clock)
    {
        var asks = context.Features.Get<Session>();
        // Only a lead is told where the others are signed in.
        var sees = asks?.Fitter.Role == Role.Lead;
        return new HandsWire(
            [.. Fitters.All(work).Select(f => new HandWire(f.Initials, f.Role, f.Since, f.GoneAt))],
            [.. Sessions.All(work, clock.GetUtcNow()).Where(s => sees || s.Fitter.Id == asks?.Fitter.Id)
                .Select(s => new SessionWire(MarkOf(s), s.Fitter.Initials, s.Since, s.SeenAt, s.Device, s.Digest == asks?.Digest))],
            sees ? [.. DoorLog.Last(work, 50).Select(e => new DoorEntryWire(e.At, e.Initials, e.What, e.Device))] : [],
            sees ? [.. ChangeEntries.Last(work, 50).Select(e => new DoneWire(e.At, e.By, e.JobId, e.What))] : []);
    }

    private static HandsWire Add(NewHandWire hand, HttpContext context, OpenShop shop, Doorway doorway, TimeProvider clock)
    {
        NotInTheDemo(doorway);
        var refusals = new Refusals();
        var initials = refusals.Initials("$.initials", hand.Initials, signedIn: null);
        var passphrase = Passphrases.New(refusals, "$.passphrase", hand.Passphrase, initials);
        refusals.ThrowIfAny("Nobody can be entered like this.");
        var (hash, now) = (Passphrases.Hash(passphrase), clock.GetUtcNow());
        using var work = shop.Begin();
        if (Fitters.Find(work, initials) is { } known)
            throw RefusedException.Conflict($"{initials} {(known.GoneAt is null ? "works here already" : "worked here once, and those records carry the initials; take others, or take them back")}.");
        Fitters.Add(work, initials, hand.Role, hash, now);
        DoorLog.Write(work, new DoorEntry(now, initials, $"entered as {RoleWords.Of(hand.Role)} by {Asks(context)}", context.DeviceOf()));
        work.Commit();
        return All(context, shop, clock);
    }

    private static HandsWire Change(string initials, HandChangeWire change, HttpContext context, OpenShop shop, Doorway doorway, TimeProvider clock)
    {
        NotInTheDemo(doorway);
        var refusals = new Refusals();
        var passphrase = change.Passphrase is null ? null : Passphrases.New(refusals, "$.passphrase", change.Passphrase, initials);
        refusals.ThrowIfAny("Nothing was changed.");
        var (hash, now) = (passphrase is null ? null : Passphrases.Hash(passphrase), clock.GetUtcNow());
        using (var work = shop.Begin())
        {
            var before = Fitters.Find(work, initials.ToUpperInvariant()) ?? throw RefusedException.NotFound($"Nobody here is {initials}.");
            var after = before with
            {
                Role = change.Role ?? before.Role,
                Hash = hash ?? before.Hash,
                GoneAt = change.Gone is { } gone ? (gone ? before.GoneAt ?? now : null) : before.GoneAt,
            };
            Fitters.Change(work, after);
            if (!Fitters.All(work).Any(f => f is { Role: Role.Lead, GoneAt: null }))
                throw RefusedException.Conflict($"{before.Initials} is the only manager; make somebody else manager first.");
            Sessions.EndAll(work, before.Id, but: before.Id == context.Features.Get<Session>()?.Fitter.Id && after.GoneAt is null ? context.Features.Get<Session>()!.Digest : null);
            string[] said =
            [
                .. after.Role != before.Role ? [$"is {RoleWords.Of(after.Role)} now"] : (string[])[],
                .. hash is not null ? ["has a new passphrase"] : (string[])[],
                .. after.GoneAt is null != before.GoneAt is null ? [after.GoneAt is null ? "is back" : "has left"] : (string[])[],
            ];
            if (said.Length > 0)
                DoorLog.Write(work, new DoorEntry(now, before.Initials, $"{string.Join(", ", said)}; by {Asks(context)}", context.DeviceOf()));
            work.Commit();
        }
        return All(context, shop, clock);
    }

    private static HandsWire End(string mark, HttpContext context, OpenShop shop, TimeProvider clock)
    {
        using (var work = shop.Begin())
        {
            var session = Sessions.All(work, clock.GetUtcNow()).FirstOrDefault(s => MarkOf(s) == mark) ?? throw RefusedException.NotFound("There is no such session; it may be over.");
            Sessions.End(work, session.Digest);
            DoorLog.Write(work, new DoorEntry(clock.GetUtcNow(), session.Fitter.Initials, $"session ended by {Asks(context)}", context.DeviceOf()));
            work.Commit();
        }
        return All(context, shop, clock);
    }

    // Enough of the digest to tell sessions apart.
    private static string MarkOf(Session session) => session.Digest[..16];

    private static string Asks(HttpContext context) => context.Features.Get<Session>()?.Fitter.Initials ?? "nobody";

    private static void NotInTheDemo(Doorway doorway)
    {
        if (doorway.IsOpen)
            throw RefusedException.Conflict("The demo is open to everybody at this machine; nobody is entered in it.");
    }
}
