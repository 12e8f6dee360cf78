using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>The arrangement a job stands in.</summary>
/// <param name="Arrangement">The links and the micro position; of a strap, no links and the hole.</param>
/// <param name="Target">The length that was wanted when it was stored; null where it is not sized.</param>
/// <param name="AgreedAt">When it was taken to the bench; null while it is still being looked over.</param>
public sealed record JobPlan(Arrangement Arrangement, Length? Target, DateTimeOffset? AgreedAt);
