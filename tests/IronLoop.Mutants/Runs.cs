using System.Diagnostics;
using System.Globalization;

namespace IronLoop.Mutants;

/// <summary>Runs another program to its end.</summary>
internal static class Runs
{
    /// <summary>Runs it with one fault turned on; -1 is none. One that does not end in time answers -1.</summary>
    public static (int Code, string Said) Of(string program, IEnumerable<string> words, TimeSpan most, int fault = -1)
    {
        var start = new ProcessStartInfo(program) { RedirectStandardOutput = true, RedirectStandardError = true, UseShellExecute = false };
        foreach (var word in words)
            start.ArgumentList.Add(word);
        start.Environment["IRON_LOOP_FAULT"] = fault.ToString(CultureInfo.InvariantCulture);
        // Properties are asked a tenth as often as usual: what they catch, they catch soon.
        start.Environment["IRON_LOOP_OFTEN"] = "0.1";
        using var process = Process.Start(start)!;
        var said = process.StandardOutput.ReadToEndAsync();
        _ = process.StandardError.ReadToEndAsync();
        if (process.WaitForExit(most))
            return (process.ExitCode, said.GetAwaiter().GetResult());
        process.Kill(entireProcessTree: true);
        return (-1, "");
    }
}
