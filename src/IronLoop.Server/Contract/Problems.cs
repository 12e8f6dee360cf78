using System.Text.Json;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Storage;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Options;

namespace IronLoop.Server.Contract;

/// <summary>Every refusal and fault leaves as problem details (RFC 9457), with the errors by JSON path.</summary>
internal sealed class Problems(IProblemDetailsService service, IOptions<Microsoft.AspNetCore.Http.Json.JsonOptions> json, ILogger<Problems> log) : IExceptionHandler
{
    // What SQLite says: https://sqlite.org/rescode.html
    private const int SqliteBusy = 5, SqliteLocked = 6, SqliteReadOnly = 8, SqliteInputOutput = 10, SqliteCorrupt = 11, SqliteFull = 13, SqliteCannotOpen = 14, SqliteNoDatabase = 26;

    // What Linux says when a disk is full, and when it can only be read.
    private const int NoSpaceLeft = 28, ReadOnlyFiles = 30;

    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var problem = exception is BadHttpRequestException { StatusCode: StatusCodes.Status400BadRequest } unread
            ? await Unread(unread, httpContext, cancellationToken) : ToProblem(exception);
        // That a device or a supplier does not answer is told to whoever asked; it is no fault here.
        if (problem.Status >= 500 && exception is not RefusedException)
            log.LogError(exception, "Request {RequestId} failed", httpContext.TraceIdentifier);
        problem.Extensions["requestId"] = httpContext.TraceIdentifier;
        if (exception is RefusedException { RetryAfterSeconds: { } seconds })
            httpContext.Response.Headers.RetryAfter = seconds.ToString(System.Globalization.CultureInfo.InvariantCulture);
        httpContext.Response.StatusCode = problem.Status!.Value;
        return await service.TryWriteAsync(new ProblemDetailsContext { HttpContext = httpContext, ProblemDetails = problem });
    }

    private static ProblemDetails ToProblem(Exception exception) => exception switch
    {
        RefusedException refused => Make(refused.Status, refused.Message, refused.Errors),
        BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } large => Make(large.StatusCode,
            "What was sent is larger than is taken here; a photo may have 10 MB.", null),
        BadHttpRequestException bad => Make(bad.StatusCode, "The request cannot be read.",
            new Dictionary<string, string[]> { ["$"] = [bad.Message] }),
        PlanTooLargeException tooLarge => Make(StatusCodes.Status422UnprocessableEntity, tooLarge.Message,
            new Dictionary<string, string[]> { ["$.bracelet"] = [tooLarge.Message] }),
        // What a value itself refuses, a check before it missed.
        OutOfRangeException outOfRange => Make(StatusCodes.Status400BadRequest, outOfRange.Says, new Dictionary<string, string[]> { ["$"] = [outOfRange.Says] }),
        StaleException stale => Stale(stale),
        _ => OfStorage(exception) ?? Make(StatusCodes.Status500InternalServerError, "Something went wrong here; nothing of this request was stored.", null),
    };

    /// <summary>Why a request could not be read: what was sent, held against what the call takes.</summary>
    private async Task<ProblemDetails> Unread(BadHttpRequestException unread, HttpContext context, CancellationToken cancellation)
    {
        var takes = context.Features.Get<IExceptionHandlerFeature>()?.Endpoint?.Metadata.GetMetadata<IAcceptsMetadata>()?.RequestType;
        IReadOnlyDictionary<string, string[]> why = new Dictionary<string, string[]> { ["$"] = [unread.Message] };
        if (takes is not null)
        {
            using var sent = new MemoryStream();
            if (context.Request.Body.CanSeek)
            {
                context.Request.Body.Position = 0;
                await context.Request.Body.CopyToAsync(sent, cancellation);
            }
            if (sent.Length == 0)
                why = new Dictionary<string, string[]> { ["$"] = ["A JSON object is needed; nothing was sent."] };
            else if (unread.InnerException is JsonException)
                why = WhyUnread.Of(sent.ToArray(), takes, json.Value.SerializerOptions);
        }
        return Make(StatusCodes.Status400BadRequest, "The request cannot be read.", why);
    }

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
}
