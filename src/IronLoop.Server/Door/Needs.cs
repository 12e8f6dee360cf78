using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Door;

/// <summary>The role that a change needs; looking needs none but to be signed in.</summary>
internal sealed record Needs(Role Role);

/// <summary>A call that tells nothing of the shop and changes nothing in it: other programs may make it without signing in.</summary>
internal sealed record NeedsNobody;

/// <summary>
/// A call that works out figures from figures: at this machine anybody may make it; from another one it needs a sign-in or a key of the
/// shop. Whatever is such a call is also bound in how much it may take.
/// </summary>
internal sealed record NeedsKeyFromElsewhere;

/// <summary>Says at a group of calls who may make them.</summary>
internal static class NeedsExtensions
{
    /// <summary>Changes among these calls need a role.</summary>
    public static RouteGroupBuilder ChangesNeed(this IEndpointRouteBuilder routes, Role role) => routes.MapGroup("").WithMetadata(new Needs(role));

    /// <summary>These calls work out figures, for other programs too: bound in how many at a time, and from elsewhere by a key.</summary>
    public static RouteGroupBuilder WorkOutFigures(this IEndpointRouteBuilder routes) =>
        (RouteGroupBuilder)routes.MapGroup("").WithMetadata(new NeedsKeyFromElsewhere()).RequireRateLimiting(Arithmetic.Policy);

    /// <summary>These calls may be made without signing in, by other programs too.</summary>
    public static RouteGroupBuilder NeedNobody(this IEndpointRouteBuilder routes) => routes.MapGroup("").WithMetadata(new NeedsNobody());
}
