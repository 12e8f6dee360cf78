using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.RegularExpressions;
using IronLoop.Core.Fitting;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Contract;

/// <summary>Every refusal and fault leaves as problem details (RFC 9457), with the errors by JSON path.</summary>
internal sealed partial class Problems(IProblemDetailsService service, ILogger<Problems> log) : IExceptionHandler
{
    private const int SqliteBusy = 5;

    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var problem = ToProblem(exception);
        if (problem.Status >= 500)
            log.LogError(exception, "Request {RequestId} failed", httpContext.TraceIdentifier);
        problem.Extensions["requestId"] = httpContext.TraceIdentifier;
        httpContext.Response.StatusCode = problem.Status!.Value;
        return await service.TryWriteAsync(new ProblemDetailsContext { HttpContext = httpContext, ProblemDetails = problem });
    }

    private static ProblemDetails ToProblem(Exception exception) => exception switch
    {
        RefusedException refused => Make(refused.Status, refused.Message, refused.Errors),
        BadHttpRequestException { InnerException: JsonException json } => FromJson(json),
        BadHttpRequestException bad when bad.Message.Contains("no body was provided", StringComparison.Ordinal) =>
            Make(bad.StatusCode, "The request cannot be read.", new Dictionary<string, string[]> { ["$"] = ["A JSON object is needed; nothing was sent."] }),
        BadHttpRequestException bad => Make(bad.StatusCode, "The request cannot be read.",
            new Dictionary<string, string[]> { ["$"] = [bad.Message] }),
        PlanTooLargeException tooLarge => Make(StatusCodes.Status422UnprocessableEntity, tooLarge.Message,
            new Dictionary<string, string[]> { ["$.bracelet"] = [tooLarge.Message] }),
        SqliteException { SqliteErrorCode: SqliteBusy } => Make(StatusCodes.Status503ServiceUnavailable,
            "The shop's file is being written by another program; nothing was stored. Try again in a moment.", null),
        _ => Make(StatusCodes.Status500InternalServerError, "Something went wrong here; nothing of this request was stored.", null),
    };

    private static ProblemDetails Make(int status, string title, IReadOnlyDictionary<string, string[]>? errors)
    {
        var problem = new ProblemDetails { Status = status, Title = title };
        if (errors is { Count: > 0 })
            problem.Extensions["errors"] = errors;
        return problem;
    }

    /// <summary>Turns the serializer's message, which names .NET types, into one that names the field and what it takes.</summary>
    private static ProblemDetails FromJson(JsonException json)
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
            errors[path] = [Explain(message, field)];
        }
        return Make(StatusCodes.Status400BadRequest, "The request cannot be read.", errors);
    }

    private static string Explain(string message, string field)
    {
        if (message.Contains("could not be mapped to any .NET member", StringComparison.Ordinal))
            return $"{field} is not a field of this request.";
        if (message.Contains("Duplicate property", StringComparison.Ordinal))
            return $"{field} is given twice.";
        if (NotConverted().Match(message) is { Success: true } wrong)
            return $"{field} must be {Expected(wrong.Groups["type"].Value)}.";
        if (message.StartsWith("must be", StringComparison.Ordinal) || message.StartsWith("has more", StringComparison.Ordinal)
            || message.StartsWith("is too", StringComparison.Ordinal))
            return $"{field} {message.Split(" Path:")[0]}";
        if (message.Contains("disallow null", StringComparison.OrdinalIgnoreCase) || message.Contains("doesn't allow setting null", StringComparison.Ordinal)
            || message.Contains("null", StringComparison.Ordinal))
            return $"{field} must not be null.";
        return $"This is not JSON that can be read: {message.Split(" Path:")[0]}";
    }

    private static string Expected(string type)
    {
        var plain = type.Replace("System.Nullable`1[", "", StringComparison.Ordinal).TrimEnd(']');
        var known = plain switch
        {
            "System.String" => "text",
            "System.Boolean" => "true or false",
            "System.Int32" or "System.Int64" => "a whole number",
            "System.Decimal" or "System.Double" => "a number",
            "System.DateOnly" => "a day such as 2026-11-24",
            "IronLoop.Core.Measuring.Length" => "a number of millimetres",
            _ => null,
        };
        if (known is not null)
            return known;
        var choice = AppDomain.CurrentDomain.GetAssemblies()
            .Where(a => a.GetName().Name!.StartsWith("IronLoop", StringComparison.Ordinal))
            .Select(a => a.GetType(plain)).FirstOrDefault(t => t is { IsEnum: true });
        return choice is null
            ? plain.Contains("List", StringComparison.Ordinal) || plain.Contains("[]", StringComparison.Ordinal) ? "a list" : "an object"
            : "one of " + string.Join(", ", choice.GetFields(BindingFlags.Public | BindingFlags.Static).Select(f =>
                f.GetCustomAttribute<JsonStringEnumMemberNameAttribute>()?.Name ?? JsonNamingPolicy.CamelCase.ConvertName(f.Name)));
    }

    [GeneratedRegex("missing required properties including: (?<names>.+?)\\.?$", RegexOptions.ExplicitCapture | RegexOptions.Singleline, 200)]
    private static partial Regex MissingProperties();

    [GeneratedRegex("'(?<name>[^']+)'", RegexOptions.ExplicitCapture, 200)]
    private static partial Regex Quoted();

    [GeneratedRegex("could not be converted to (?<type>.+?)\\. Path", RegexOptions.ExplicitCapture, 200)]
    private static partial Regex NotConverted();
}
