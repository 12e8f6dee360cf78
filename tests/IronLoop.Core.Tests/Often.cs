namespace IronLoop.Core.Tests;

/// <summary>How often a property is asked: by every run as often as takes a few seconds, by a long one (IRON_LOOP_OFTEN=10) ten times that.</summary>
internal static class Often
{
    private static readonly int Times = int.TryParse(Environment.GetEnvironmentVariable("IRON_LOOP_OFTEN"), out var times) ? Math.Max(1, times) : 1;

    public static int Asked(int count) => count * Times;
}
