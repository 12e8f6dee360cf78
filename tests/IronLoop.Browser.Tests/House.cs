using System.Reflection;

// Two browsers at a time: a test waits for its screen about a third of its time, which is the other's meanwhile.
[assembly: Xunit.v3.Parallelization(Mode = Xunit.Sdk.ParallelMode.All, MaxThreads = 2)]

namespace IronLoop.Browser.Tests;

/// <summary>Where the built house stands.</summary>
internal static class House
{
    public static string Root => Path.GetFullPath(Told("House"));

    public static string Server => Path.Combine(Root, ".build/server/IronLoop.Server");

    public static string StandIns => Path.Combine(Root, "src/IronLoop.StandIns/bin", Told("Configuration"), "net10.0/IronLoop.StandIns");

    public static string Web => Path.Combine(Root, "client/dist");

    public static string Axe => Path.Combine(Root, "client/node_modules/axe-core/axe.min.js");

    private static string Told(string key) =>
        typeof(House).Assembly.GetCustomAttributes<AssemblyMetadataAttribute>().Single(a => a.Key == key).Value!;
}
