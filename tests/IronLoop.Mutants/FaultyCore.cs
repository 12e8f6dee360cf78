using System.Globalization;
using System.Text.RegularExpressions;

namespace IronLoop.Mutants;

/// <summary>A copy of the core with all faults of a sample in it, each behind a switch that the environment turns on.</summary>
internal sealed class FaultyCore(string house, string work)
{
    private readonly string _core = Path.Combine(house, "src/IronLoop.Core");
    private readonly string _copy = Path.Combine(work, "src/IronLoop.Core");

    private string Built => Path.Combine(_copy, "bin/Release/net10.0/IronLoop.Core.dll");

    public static IEnumerable<string> Sources(string folder) => Directory.EnumerateFiles(folder, "*.cs", SearchOption.AllDirectories)
        .Where(f => !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/bin/", StringComparison.Ordinal)).Order(StringComparer.Ordinal);

    /// <summary>Builds it; what does not compile is no fault that anybody could make, and leaves the sample.</summary>
    /// <returns>The file that was built.</returns>
    /// <exception cref="InvalidOperationException">It does not compile, whatever is left out.</exception>
    public string Build(List<Fault> sample)
    {
        while (true)
        {
            Write(sample);
            var said = Runs.Of("dotnet",
            [
                "build", Path.Combine(_copy, "IronLoop.Core.csproj"), "-c", "Release", "-v", "quiet", "-nologo", "-p:RunAnalyzers=false", "-p:EnforceCodeStyleInBuild=false",
                "-p:TreatWarningsAsErrors=false", "-p:GenerateDocumentationFile=false", "-p:WarningLevel=0", "-p:NuGetAudit=false",
            ], TimeSpan.FromMinutes(10)).Said;
            if (File.Exists(Built))
                return Built;
            var broken = Regex.Matches(said, @"^\s*(?<file>[^\s(][^(]*)\((?<line>\d+),\d+\): error", RegexOptions.Multiline)
                .Select(m => (File: Path.GetRelativePath(_copy, m.Groups["file"].Value), Line: int.Parse(m.Groups["line"].Value, CultureInfo.InvariantCulture))).ToHashSet();
            // A statement spreads over lines: where no fault begins on the line, all of the file are suspect.
            if (sample.RemoveAll(f => broken.Contains((f.File, f.Line))) == 0 && sample.RemoveAll(f => broken.Any(b => b.File == f.File)) == 0)
                throw new InvalidOperationException(said);
        }
    }

    private void Write(List<Fault> sample)
    {
        Directory.Delete(work, recursive: true);
        Directory.CreateDirectory(work);
        foreach (var name in (string[])["Directory.Build.props", "Directory.Packages.props", "global.json"])
            File.Copy(Path.Combine(house, name), Path.Combine(work, name));
        foreach (var file in Sources(_core).Append(Path.Combine(_core, "IronLoop.Core.csproj")).Append(Path.Combine(_core, "packages.lock.json")).Where(File.Exists))
        {
            var name = Path.GetRelativePath(_core, file);
            Directory.CreateDirectory(Path.GetDirectoryName(Path.Combine(_copy, name))!);
            File.WriteAllText(Path.Combine(_copy, name), Faulty(File.ReadAllText(file), sample.Select((fault, number) => (fault, number)).Where(f => f.fault.File == name)));
        }
        File.WriteAllText(Path.Combine(_copy, "TheFault.cs"), """
            namespace IronLoop.Core;

            internal static class TheFault
            {
                private static readonly int On = int.TryParse(System.Environment.GetEnvironmentVariable("IRON_LOOP_FAULT"), out var on) ? on : -1;

                public static bool Is(int number) => number == On;
            }
            """);
    }

    // From the end on, so that places before stay where they are. Nothing is put on a line of its own: lines stay what they were.
    private static string Faulty(string text, IEnumerable<(Fault Fault, int Number)> faults)
    {
        foreach (var (fault, number) in faults.OrderByDescending(f => f.Fault.At.Start))
        {
            var was = text[fault.At.Start..fault.At.End];
            // In braces, so that an "else" that follows stays with the "if" it belongs to.
            var now = fault.IsStatement ? $"{{ if (!global::IronLoop.Core.TheFault.Is({number})) {was} }}" : $"(global::IronLoop.Core.TheFault.Is({number}) ? ({fault.Instead}) : ({was}))";
            text = text[..fault.At.Start] + now + text[fault.At.End..];
        }
        return text;
    }
}
