using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Door;

/// <summary>The role that a change needs; looking needs none but to be signed in.</summary>
internal sealed record Needs(Role Role);

/// <summary>A call that tells nothing of the shop and changes nothing in it: other programs may make it without signing in.</summary>
internal sealed record NeedsNobody;

/// <summary>A call that only asks, though what it asks with is too much for an address: it stores nothing.</summary>
internal sealed record OnlyAsks;

/// <summary>
/// A call that works out figures from figures: at this machine anybody may make it; from another one it needs a sign-in or a key of the
/// shop. Whatever is such a call is also bound in how much it may take.
/// </summary>
/// <param name="EvenHere">Whether it needs one at this machine too, but in the demo.</param>
internal sealed record NeedsKeyFromElsewhere(bool EvenHere = false);

/// <summary>A call that gives out what the shop holds as a file that leaves it: for some roles only, and noted each time.</summary>
/// <param name="Role">The role it needs.</param>
/// <param name="What">What is given out, in words.</param>
internal sealed record GivesOut(Role Role, string What);

/// <summary>Says at a group of calls who may make them.</summary>
internal static class NeedsExtensions
{
    /// <summary>Changes among these calls need a role.</summary>
    public static RouteGroupBuilder ChangesNeed(this IEndpointRouteBuilder routes, Role role) => routes.MapGroup("").WithMetadata(new Needs(role));

    /// <summary>These calls work out figures, for other programs too: bound in how many at a time, and from elsewhere by a key.</summary>
    public static RouteGroupBuilder WorkOutFigures(this IEndpointRouteBuilder routes) =>
        (RouteGroupBuilder)routes.MapGroup("").WithMetadata(new NeedsKeyFromElsewhere()).RequireRateLimiting(Arithmetic.Policy);

    /// <summary>This call gives out what the shop holds.</summary>
    public static TBuilder GivesOut<TBuilder>(this TBuilder call, Role role, string what)
        where TBuilder : IEndpointConventionBuilder => call.WithMetadata(new GivesOut(role, what));

    /// <summary>Whether a request comes from this machine itself, not passed on for another by somebody nobody told of.</summary>
    public static bool IsFromHere(this HttpContext context) =>
        (context.Connection.RemoteIpAddress is not { } from || System.Net.IPAddress.IsLoopback(from))
        && !context.Request.Headers.ContainsKey("X-Forwarded-For") && !context.Request.Headers.ContainsKey("Forwarded");

    /// <summary>These calls may be made without signing in, by other programs too.</summary>
    public static RouteGroupBuilder NeedNobody(this IEndpointRouteBuilder routes) => routes.MapGroup("").WithMetadata(new NeedsNobody());
}
