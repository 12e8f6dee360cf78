namespace IronLoop.Server.Contract;

/// <summary>Days, as the shop counts them.</summary>
internal static class Days
{
    /// <summary>Today, where the shop is.</summary>
    public static DateOnly Today(this TimeProvider clock) => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);
}
