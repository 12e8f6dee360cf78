using IronLoop.Core.Bench;
using IronLoop.Storage;

namespace IronLoop.Server.Rack;

/// <summary>What is stored of a job's bench work.</summary>
/// <param name="Setup">How it is worked; null where nothing was said.</param>
/// <param name="Round">The round after a try-on that changed the plan; null in the first.</param>
/// <param name="Done">The steps done or left out, in order.</param>
/// <param name="Tray">Every move of a small part, in order.</param>
/// <param name="Condition">Scratches and dents noted at take-in, in words.</param>
internal sealed record BenchFile(
    BenchSetup? Setup, BenchRound? Round, IReadOnlyList<BenchTick> Done, IReadOnlyList<TrayEntry> Tray, IReadOnlyList<string> Condition)
{
    public static BenchFile Read(ShopWork work, long id) => new(
        BenchSetups.Of(work, id), BenchRounds.Of(work, id), BenchTicks.Of(work, id), Trays.Of(work, id),
        [.. TakeIns.MarksOf(work, id).Select(m => $"{Words(m.Kind.ToString())} on the {Words(m.Place.ToString())}{(m.Note.Length > 0 ? $" ({m.Note})" : "")}")]);

    /// <summary>A name such as LugTwelveLeft as a fitter says it.</summary>
    private static string Words(string name)
    {
        var words = string.Concat(name.Select((c, i) => i > 0 && char.IsUpper(c) ? $" {char.ToLowerInvariant(c)}" : char.ToLowerInvariant(c).ToString()));
        return words.Replace("twelve", "12", StringComparison.Ordinal).Replace("six", "6", StringComparison.Ordinal)
            .Replace("three", "3", StringComparison.Ordinal).Replace("nine", "9", StringComparison.Ordinal);
    }
}
