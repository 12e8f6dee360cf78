using System.Globalization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Door;

/// <summary>
/// What is overwritten was seen before: a job, and every list that several people change, has a version, told in ETag; a change that
/// overwrites names the one it was made on in If-Match, or * for whatever stands.
/// </summary>
internal static class Versions
{
    // By the first word of their calls; a catalogue is taken into the bands.
    private static readonly Dictionary<string, string> Lists = new(StringComparer.OrdinalIgnoreCase)
    {
        ["bands"] = "bands",
        ["catalogue"] = "bands",
        ["parts"] = "parts",
        ["orders"] = "orders",
        ["limits"] = "limits",
        ["hands"] = "hands",
        ["tools"] = "tools",
        ["spring-bars"] = "spring-bars",
        ["models"] = "models",
        ["day"] = "day",
    };

    /// <summary>The job a call is about; null when it is about none.</summary>
    public static long? JobOf(HttpContext context) =>
        context.Request.Path.StartsWithSegments("/api/jobs", StringComparison.OrdinalIgnoreCase) && long.TryParse(context.Request.RouteValues["id"] as string, NumberStyles.None, CultureInfo.InvariantCulture, out var id) ? id : null;

    /// <summary>The list a call is about; null when it is about none.</summary>
    public static string? SheetOf(HttpContext context) =>
        context.Request.Path.Value?.Split('/') is ["", "api", var list, ..] ? Lists.GetValueOrDefault(list) : null;

    /// <summary>Whether a call asks for a whole list, not for something in it.</summary>
    public static bool IsWhole(HttpContext context) => context.Request.Path.Value?.TrimEnd('/').Split('/').Length == 3;

    /// <summary>Tells a version.</summary>
    public static void Say(HttpContext context, long version) => context.Response.Headers.ETag = $"\"{version.ToString(CultureInfo.InvariantCulture)}\"";

    /// <summary>The version a change was made on; null where whatever stands is to be changed, or where it only adds.</summary>
    /// <exception cref="RefusedException">It cannot be read, or is missing where something would be overwritten.</exception>
    public static long? Seen(HttpContext context, Endpoint endpoint, bool hasVersion)
    {
        var marks = context.Request.Headers.IfMatch;
        if (marks.Count == 0)
        {
            if (hasVersion && Overwrites(context, endpoint))
            {
                throw new RefusedException(StatusCodes.Status428PreconditionRequired, "This would overwrite what stands, so it has to say on what it was made; nothing was stored.", new Dictionary<string, string[]>
                {
                    ["If-Match"] = ["If-Match is missing; give the version that was seen, as its ETag has it, or * for whatever stands."],
                });
            }
            return null;
        }
        if (marks is ["*"])
            return null;
        if (marks is [['"', .. var version, '"']] && long.TryParse(version, NumberStyles.None, CultureInfo.InvariantCulture, out var seen))
            return seen;
        throw new RefusedException(StatusCodes.Status400BadRequest, "If-Match cannot be read; nothing was stored.", new Dictionary<string, string[]>
        {
            ["If-Match"] = [$"If-Match is {marks}; allowed is a version in quotes as its ETag has it, like \"12\", or *."],
        });
    }

    private static bool Overwrites(HttpContext context, Endpoint endpoint) =>
        HttpMethods.IsPut(context.Request.Method) || HttpMethods.IsPatch(context.Request.Method) || endpoint.Metadata.GetMetadata<OverwritesWhatStands>() is not null;
}

/// <summary>A call that overwrites something, though it is neither PUT nor PATCH: what is agreed, counted or handed over as it was seen.</summary>
internal sealed record OverwritesWhatStands;
