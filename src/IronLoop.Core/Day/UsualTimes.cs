using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Day;

/// <summary>What jobs of one kind took here at the bench, in minutes.</summary>
/// <param name="Jobs">How many were timed.</param>
/// <param name="Quarter">A quarter took less.</param>
/// <param name="Middle">Half took less.</param>
/// <param name="ThreeQuarters">Three quarters took less.</param>
public sealed record UsualTime(int Jobs, double Quarter, double Middle, double ThreeQuarters)
{
    /// <summary>From so many on it is gone by.</summary>
    public const int Enough = 5;

    /// <summary>What times come to.</summary>
    /// <param name="minutes">The minutes of each job, at least one.</param>
    public static UsualTime Of(IEnumerable<double> minutes)
    {
        List<double> sorted = [.. minutes.Order()];
        double At(double share)
        {
            var at = share * (sorted.Count - 1);
            var low = (int)at;
            return low + 1 < sorted.Count ? sorted[low] + (at - low) * (sorted[low + 1] - sorted[low]) : sorted[low];
        }
        return new UsualTime(sorted.Count, At(0.25), At(0.5), At(0.75));
    }
}

/// <summary>What each kind of job usually takes here: by request and by what joins its links, where five or more were timed, else by request.</summary>
public sealed class UsualTimes
{
    /// <summary>A shop that has timed nothing yet.</summary>
    public static UsualTimes None { get; } = new([]);

    private readonly Dictionary<(Request, Fastener?), UsualTime> _byBoth;
    private readonly Dictionary<Request, UsualTime> _byRequest;

    /// <summary>Takes what was timed.</summary>
    /// <param name="timed">Jobs that were timed: what was asked for, what joins the links, the minutes at the bench.</param>
    public UsualTimes(IReadOnlyCollection<(Request Request, Fastener? Fastener, double Minutes)> timed)
    {
        _byBoth = timed.GroupBy(t => (t.Request, t.Fastener)).Where(g => g.Count() >= UsualTime.Enough).ToDictionary(g => g.Key, g => UsualTime.Of(g.Select(t => t.Minutes)));
        _byRequest = timed.GroupBy(t => t.Request).Where(g => g.Count() >= UsualTime.Enough).ToDictionary(g => g.Key, g => UsualTime.Of(g.Select(t => t.Minutes)));
    }

    /// <summary>What a kind of job takes; null where too few were timed.</summary>
    /// <param name="request">What is asked for.</param>
    /// <param name="fastener">What joins the links; null where none are, or nobody knows.</param>
    public UsualTime? Of(Request request, Fastener? fastener) => _byBoth.GetValueOrDefault((request, fastener)) ?? _byRequest.GetValueOrDefault(request);
}
