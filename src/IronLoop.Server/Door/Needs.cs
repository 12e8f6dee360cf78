using IronLoop.Storage;

namespace IronLoop.Server.Door;

/// <summary>The role that a change needs; looking needs none but to be signed in.</summary>
internal sealed record Needs(Role Role);

/// <summary>A call that tells nothing of the shop and changes nothing in it: other programs may make it without signing in.</summary>
internal sealed record NeedsNobody;

/// <summary>Says at a group of calls who may make them.</summary>
internal static class NeedsExtensions
{
    /// <summary>Changes among these calls need a role.</summary>
    public static RouteGroupBuilder ChangesNeed(this IEndpointRouteBuilder routes, Role role) => routes.MapGroup("").WithMetadata(new Needs(role));

    /// <summary>These calls may be made without signing in, by other programs too.</summary>
    public static RouteGroupBuilder NeedNobody(this IEndpointRouteBuilder routes) => routes.MapGroup("").WithMetadata(new NeedsNobody());
}
