using System.Globalization;

namespace IronLoop.Core.Tests;

/// <summary>
/// How often a property is asked: by every run as often as takes a few seconds; by a long one (IRON_LOOP_OFTEN=10) ten times that, and by
/// one of very many (IRON_LOOP_OFTEN=0.1) a tenth.
/// </summary>
internal static class Often
{
    private static readonly double Times = double.TryParse(Environment.GetEnvironmentVariable("IRON_LOOP_OFTEN"), CultureInfo.InvariantCulture, out var times) ? times : 1;

    public static int Asked(int count) => Math.Max(1, (int)(count * Times));
}
