using System.Runtime.CompilerServices;
using IronLoop.Core.Bench;

namespace IronLoop.Core.Tests.Bench;

/// <summary>
/// Step lists kept as text that a fitter can read aloud, one file each beside this one. With IRON_LOOP_REVIEW=1 the files are
/// written anew, to be read before they are kept.
/// </summary>
internal static class Snapshots
{
    public static void Agree(string name, IReadOnlyList<BenchStep> steps, [CallerFilePath] string here = "")
    {
        var file = Path.Combine(Path.GetDirectoryName(here)!, "steps", $"{name}.txt");
        var text = Read(steps);
        if (Environment.GetEnvironmentVariable("IRON_LOOP_REVIEW") == "1")
            File.WriteAllText(file, text);
        File.Exists(file).ShouldBeTrue($"{file} is not kept yet");
        text.ShouldBe(File.ReadAllText(file));
    }

    /// <summary>Step by step, as it stands on the screen.</summary>
    public static string Read(IReadOnlyList<BenchStep> steps)
    {
        var lines = new List<string>();
        BenchPart? part = null;
        foreach (var step in steps)
        {
            if (part != step.Part)
                lines.Add($"{(lines.Count > 0 ? "\n" : "")}{step.Part}");
            part = step.Part;
            lines.Add($"- {step.What}");
            if (step.Tool.Length > 0) lines.Add($"    with: {step.Tool}");
            if (step.Direction is not null) lines.Add($"    way: {step.Direction}");
            if (step.FallsOut is not null) lines.Add($"    falls out: {step.FallsOut}");
            if (step.Caution is not null) lines.Add($"    caution: {step.Caution}");
            if (step.Moves.Count > 0) lines.Add($"    tray: {string.Join("; ", step.Moves.Select(m => m.Says))}");
        }
        return string.Join('\n', lines) + "\n";
    }
}
