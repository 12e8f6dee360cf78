using System.Runtime.CompilerServices;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>What the program is made of: pinned by digest, and nothing that its maker calls a preview.</summary>
public sealed class PackagesTests
{
    private static string House([CallerFilePath] string here = "") => Path.GetFullPath(Path.Combine(Path.GetDirectoryName(here)!, "..", ".."));

    private static IEnumerable<string> Projects() => ((string[])["src", "tests", "benchmarks"]).SelectMany(f => Directory.GetFiles(Path.Combine(House(), f), "*.csproj", SearchOption.AllDirectories));

    [Fact]
    public void Every_package_of_every_project_is_pinned_by_its_digest_and_none_is_a_preview()
    {
        Projects().Count().ShouldBeGreaterThan(8);
        foreach (var project in Projects())
        {
            var pinned = JsonNode.Parse(File.ReadAllText(Path.Combine(Path.GetDirectoryName(project)!, "packages.lock.json")))!["dependencies"]!.AsObject().SelectMany(f => f.Value!.AsObject())
                .Where(p => p.Value!["type"]!.GetValue<string>() != "Project").ToList();
            pinned.ShouldNotBeEmpty(project);
            foreach (var (name, package) in pinned)
            {
                package!["contentHash"]!.GetValue<string>().Length.ShouldBeGreaterThan(40, name);
                package["resolved"]!.GetValue<string>().ShouldNotContain("-", customMessage: $"{name} in {Path.GetFileName(project)}");
            }
        }
    }
}
