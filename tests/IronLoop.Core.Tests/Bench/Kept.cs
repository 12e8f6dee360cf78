using System.Runtime.CompilerServices;

namespace IronLoop.Core.Tests.Bench;

/// <summary>A step as it stands on the screen.</summary>
public sealed record KeptStep(string Row, int Round, string Says, string Tool, string? Direction, string? FallsOut, string? Caution, string? Where = null);

/// <summary>
/// Step lists kept as text that a fitter can read aloud, in a folder `steps` beside the test. With IRON_LOOP_REVIEW=1 the files
/// are written anew, to be read before they are kept.
/// </summary>
public static class Kept
{
    public static void Agree(string name, string text, [CallerFilePath] string here = "") =>
        Compare(Path.Combine(Path.GetDirectoryName(here)!, "steps", $"{name}.txt"), text);

    /// <summary>The same for a file of the house, by its path from the root.</summary>
    public static void AgreeWith(string path, string text, [CallerFilePath] string here = "") =>
        Compare(Path.Combine(here[..here.LastIndexOf("/tests/", StringComparison.Ordinal)], path), text);

    private static void Compare(string file, string text)
    {
        if (Environment.GetEnvironmentVariable("IRON_LOOP_REVIEW") == "1")
        {
            Directory.CreateDirectory(Path.GetDirectoryName(file)!);
            File.WriteAllText(file, text);
        }
        File.Exists(file).ShouldBeTrue($"{file} is not kept yet");
        text.ShouldBe(File.ReadAllText(file));
    }

    /// <summary>Step by step, as it stands on the screen.</summary>
    public static string Read(IEnumerable<KeptStep> steps)
    {
        var lines = new List<string>();
        foreach (var step in steps)
        {
            lines.Add($"{step.Round}. {step.Row}: {step.Says}");
            if (step.Tool.Length > 0) lines.Add($"    with: {step.Tool}");
            if (step.Direction is not null) lines.Add($"    way: {step.Direction}");
            if (step.FallsOut is not null) lines.Add($"    falls out: {step.FallsOut}");
            if (step.Where is not null) lines.Add($"    where: {step.Where}");
            if (step.Caution is not null) lines.Add($"    caution: {step.Caution}");
        }
        return string.Join('\n', lines) + "\n";
    }
}
