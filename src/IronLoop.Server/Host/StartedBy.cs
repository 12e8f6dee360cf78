using System.Reflection;

namespace IronLoop.Server.Host;

/// <summary>Who started the program: it itself, a test's host, or the generator of its document, which must not touch a shop's file.</summary>
internal static class StartedBy
{
    private static readonly Assembly? Entry = Assembly.GetEntryAssembly();

    /// <summary>Whether it is the program itself: under a test host nobody reads the console, and what goes on beside the requests is the test's to say.</summary>
    public static bool Itself => Entry == typeof(Program).Assembly;

    /// <summary>Whether there is a shop: the document is made at build time from the routes alone.</summary>
    public static bool IsReal => Entry?.GetName().Name != "GetDocument.Insider";
}
