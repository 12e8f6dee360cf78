using System.Globalization;
using System.Threading.RateLimiting;
using Microsoft.AspNetCore.RateLimiting;

namespace IronLoop.Server.Contract;

/// <summary>Keeps questions for figures from taking the whole machine: two are worked out at a time, a few wait, the others are asked to come again.</summary>
internal static class Arithmetic
{
    /// <summary>The name of the limit.</summary>
    public const string Policy = "arithmetic";

    private const int AtOnce = 2, Waiting = 6;

    public static void Add(IServiceCollection services) => services.AddRateLimiter(limits =>
    {
        limits.AddConcurrencyLimiter(Policy, turn => (turn.PermitLimit, turn.QueueLimit, turn.QueueProcessingOrder) = (AtOnce, Waiting, QueueProcessingOrder.OldestFirst));
        limits.OnRejected = async (rejected, cancellation) =>
        {
            var response = rejected.HttpContext.Response;
            response.Headers.RetryAfter = 1.ToString(CultureInfo.InvariantCulture);
            await Results.Problem(statusCode: StatusCodes.Status429TooManyRequests, title: $"{AtOnce} such questions are being worked out and {Waiting} wait; ask again in a second.")
                .ExecuteAsync(rejected.HttpContext);
        };
    });
}
