using System.Collections.Concurrent;
using System.Diagnostics;

namespace IronLoop.Browser.Tests;

/// <summary>A program of the house as a process of its own.</summary>
internal static class RunningProgram
{
    /// <summary>Starts a program and waits for the line that says that it is ready.</summary>
    public static (Process Process, string Said) Start(string program, IEnumerable<string> words, string ready)
    {
        var start = new ProcessStartInfo(program) { UseShellExecute = false, RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var word in words)
            start.ArgumentList.Add(word);
        // Waiting for the line as a task that the output completes: the pipes are then drained for as long as it runs.
        var said = new TaskCompletionSource<string>();
        var process = new Process { StartInfo = start, EnableRaisingEvents = true };
        process.OutputDataReceived += (_, line) =>
        {
            if (line.Data?.StartsWith(ready, StringComparison.Ordinal) == true)
                said.TrySetResult(line.Data);
        };
        var complaint = new ConcurrentQueue<string>();
        process.ErrorDataReceived += (_, line) => complaint.Enqueue(line.Data ?? "");
        process.Exited += (_, _) =>
        {
            // Waits for what is still in the pipes: why it ended stands there.
            process.WaitForExit();
            said.TrySetException(new InvalidOperationException($"The program ended before it was ready, with {process.ExitCode}: {string.Join('\n', complaint)}"));
        };
        process.Start();
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
        return (process, said.Task.GetAwaiter().GetResult());
    }

    public static void Stop(Process process)
    {
        process.Kill(entireProcessTree: true);
        process.WaitForExit();
        process.Dispose();
    }
}
