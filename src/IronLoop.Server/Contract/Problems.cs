using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.RegularExpressions;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Storage;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Contract;

/// <summary>Every refusal and fault leaves as problem details (RFC 9457), with the errors by JSON path.</summary>
internal sealed partial class Problems(IProblemDetailsService service, ILogger<Problems> log) : IExceptionHandler
{
    // What SQLite says: https://sqlite.org/rescode.html
    private const int SqliteBusy = 5, SqliteLocked = 6, SqliteReadOnly = 8, SqliteInputOutput = 10, SqliteCorrupt = 11, SqliteFull = 13, SqliteCannotOpen = 14, SqliteNoDatabase = 26;

    // What Linux says when a disk is full, and when it can only be read.
    private const int NoSpaceLeft = 28, ReadOnlyFiles = 30;

    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var problem = ToProblem(exception, httpContext.Features.Get<IExceptionHandlerFeature>()?.Endpoint?.Metadata.GetMetadata<IAcceptsMetadata>()?.RequestType);
        // That a device or a supplier does not answer is told to whoever asked; it is no fault here.
        if (problem.Status >= 500 && exception is not RefusedException)
            log.LogError(exception, "Request {RequestId} failed", httpContext.TraceIdentifier);
        problem.Extensions["requestId"] = httpContext.TraceIdentifier;
        if (exception is RefusedException { RetryAfterSeconds: { } seconds })
            httpContext.Response.Headers.RetryAfter = seconds.ToString(System.Globalization.CultureInfo.InvariantCulture);
        httpContext.Response.StatusCode = problem.Status!.Value;
        return await service.TryWriteAsync(new ProblemDetailsContext { HttpContext = httpContext, ProblemDetails = problem });
    }

    private static ProblemDetails ToProblem(Exception exception, Type? requestType) => exception switch
    {
        RefusedException refused => Make(refused.Status, refused.Message, refused.Errors),
        BadHttpRequestException { InnerException: JsonException json } => FromJson(json, requestType),
        BadHttpRequestException bad when bad.Message.Contains("no body was provided", StringComparison.Ordinal) =>
            Make(bad.StatusCode, "The request cannot be read.", new Dictionary<string, string[]> { ["$"] = ["A JSON object is needed; nothing was sent."] }),
        BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } large => Make(large.StatusCode,
            "What was sent is larger than is taken here; a photo may have 10 MB.", null),
        BadHttpRequestException bad => Make(bad.StatusCode, "The request cannot be read.",
            new Dictionary<string, string[]> { ["$"] = [bad.Message] }),
        PlanTooLargeException tooLarge => Make(StatusCodes.Status422UnprocessableEntity, tooLarge.Message,
            new Dictionary<string, string[]> { ["$.bracelet"] = [tooLarge.Message] }),
        StaleException stale => Stale(stale),
        _ => OfStorage(exception) ?? Make(StatusCodes.Status500InternalServerError, "Something went wrong here; nothing of this request was stored.", null),
    };

    /// <summary>What is wrong with the disk or the shop's file; null where it is something else.</summary>
    public static ProblemDetails? OfStorage(Exception exception) => exception switch
    {
        SqliteException { SqliteErrorCode: SqliteFull } or IOException { HResult: NoSpaceLeft } => Make(StatusCodes.Status507InsufficientStorage,
            "The disk is full; nothing of this was stored, and what was stored before is whole. Make room, then try again.", null),
        SqliteException { SqliteErrorCode: SqliteReadOnly or SqliteCannotOpen } or UnauthorizedAccessException or IOException { HResult: ReadOnlyFiles } => Make(StatusCodes.Status503ServiceUnavailable,
            "The shop’s folder cannot be written; nothing of this was stored. Give the program the right to write there, then try again.", null),
        SqliteException { SqliteErrorCode: SqliteCorrupt or SqliteNoDatabase } => Make(StatusCodes.Status503ServiceUnavailable,
            "The shop’s file is damaged; nothing of this was stored. Stop working, and put the last backup back: House, Archive, or ./run.sh --restore FILE.", null),
        SqliteException { SqliteErrorCode: SqliteInputOutput } => Make(StatusCodes.Status503ServiceUnavailable,
            "The disk of the shop’s folder does not read or write; nothing of this was stored. See to the disk, then try again.", null),
        SqliteException { SqliteErrorCode: SqliteBusy or SqliteLocked } => Make(StatusCodes.Status503ServiceUnavailable,
            "The shop’s file is being written by another program; nothing was stored. Try again in a moment.", null),
        _ => null,
    };

    private static ProblemDetails Stale(StaleException stale)
    {
        var by = stale.Stands.By is { Length: > 0 } initials ? $" by {initials}" : "";
        var problem = Make(StatusCodes.Status412PreconditionFailed, $"{stale.What} changed{by} on another screen meanwhile; nothing of yours was stored. See how it stands now.", null);
        problem.Extensions["version"] = stale.Stands.Version;
        problem.Extensions["changedBy"] = stale.Stands.By;
        problem.Extensions["changedAt"] = stale.Stands.At;
        return problem;
    }

    private static ProblemDetails Make(int status, string title, IReadOnlyDictionary<string, string[]>? errors)
    {
        var problem = new ProblemDetails { Status = status, Title = title };
        if (errors is { Count: > 0 })
            problem.Extensions["errors"] = errors;
        return problem;
    }

    /// <summary>Turns the serializer's message, which names .NET types, into one that names the field and what it takes.</summary>
    private static ProblemDetails FromJson(JsonException json, Type? requestType)
    {
        var path = string.IsNullOrEmpty(json.Path) ? "$" : json.Path;
        var message = json.Message;
        var errors = new Dictionary<string, string[]>();
        if (MissingProperties().Match(message) is { Success: true } missing)
        {
            foreach (System.Text.RegularExpressions.Match name in Quoted().Matches(missing.Groups["names"].Value))
                errors[$"{path}.{name.Groups["name"].Value}"] = [$"{name.Groups["name"].Value} is missing."];
        }
        else
        {
            var field = path == "$" ? "The request" : path[(path.LastIndexOf('.') + 1)..];
            errors[path] = [Explain(message, field, requestType is null ? null : TypeAt(requestType, path))];
        }
        return Make(StatusCodes.Status400BadRequest, "The request cannot be read.", errors);
    }

    private static string Explain(string message, string field, Type? type)
    {
        if (message.Contains("could not be mapped to any .NET member", StringComparison.Ordinal))
            return $"{field} is not a field of this request.";
        if (message.Contains("Duplicate property", StringComparison.Ordinal))
            return $"{field} is given twice.";
        if (message.Contains("could not be converted to", StringComparison.Ordinal))
            return $"{field} must be {Expected(type)}.";
        if (message.StartsWith("must be", StringComparison.Ordinal) || message.StartsWith("has more", StringComparison.Ordinal)
            || message.StartsWith("is too", StringComparison.Ordinal))
            return $"{field} {message.Split(" Path:")[0]}";
        if (message.Contains("disallow null", StringComparison.OrdinalIgnoreCase) || message.Contains("doesn't allow setting null", StringComparison.Ordinal)
            || message.Contains("null", StringComparison.Ordinal))
            return $"{field} must not be null.";
        return $"This is not JSON that can be read: {message.Split(" Path:")[0]}";
    }

    private static string Expected(Type? type)
    {
        type = type is null ? null : Nullable.GetUnderlyingType(type) ?? type;
        if (type is null)
            return "of another kind";
        if (type.IsEnum)
        {
            return "one of " + string.Join(", ", type.GetFields(BindingFlags.Public | BindingFlags.Static).Select(f =>
                f.GetCustomAttribute<JsonStringEnumMemberNameAttribute>()?.Name ?? JsonNamingPolicy.CamelCase.ConvertName(f.Name)));
        }
        if (type == typeof(string)) return "text";
        if (type == typeof(bool)) return "true or false";
        if (type == typeof(int) || type == typeof(long)) return "a whole number";
        if (type == typeof(decimal) || type == typeof(double)) return "a number";
        if (type == typeof(DateOnly)) return "a day such as 2026-11-24";
        if (type == typeof(Length)) return "a number of millimetres";
        return ElementOf(type) is null ? "an object" : "a list";
    }

    /// <summary>
    /// The type of the field at a path. The serializer's own message names the type it was filling, which is the
    /// object around the field as often as the field.
    /// </summary>
    private static Type? TypeAt(Type root, string path)
    {
        Type? type = root;
        foreach (System.Text.RegularExpressions.Match step in Steps().Matches(path))
        {
            if (type is null)
                return null;
            type = step.Groups["name"] is { Success: true } name
                ? type.GetProperties().FirstOrDefault(p => JsonNamingPolicy.CamelCase.ConvertName(p.Name) == name.Value)?.PropertyType
                : ElementOf(type);
        }
        return type;
    }

    private static Type? ElementOf(Type type) =>
        type.IsGenericType && type.GetGenericTypeDefinition() == typeof(IReadOnlyList<>) ? type.GetGenericArguments()[0] : null;

    [GeneratedRegex("missing required properties including: (?<names>.+?)\\.?$", RegexOptions.ExplicitCapture | RegexOptions.Singleline, 200)]
    private static partial Regex MissingProperties();

    [GeneratedRegex("'(?<name>[^']+)'", RegexOptions.ExplicitCapture, 200)]
    private static partial Regex Quoted();

    [GeneratedRegex("\\.(?<name>\\w+)|\\[\\d+\\]", RegexOptions.ExplicitCapture, 200)]
    private static partial Regex Steps();
}
