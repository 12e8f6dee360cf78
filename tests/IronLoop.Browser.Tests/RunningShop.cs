using System.Diagnostics;

namespace IronLoop.Browser.Tests;

/// <summary>The real program as a process of its own, on a folder of its own, which can be killed and started again.</summary>
public sealed class RunningShop : IDisposable
{
    private readonly bool _demo;
    private readonly string _folder = Directory.CreateTempSubdirectory("iron-loop-").FullName;
    private Process _process;

    public RunningShop(bool demo)
    {
        _demo = demo;
        (_process, Address) = Start("0");
    }

    /// <summary>The address it answers at; the same after a restart, so that an open page finds it again.</summary>
    public string Address { get; }

    public void Restart()
    {
        Stop();
        (_process, _) = Start(new Uri(Address).Port.ToString());
    }

    public void Dispose()
    {
        Stop();
        Directory.Delete(_folder, recursive: true);
    }

    private (Process Process, string Address) Start(string port)
    {
        var start = new ProcessStartInfo("dotnet") { UseShellExecute = false, RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var word in (string[])[House.Server, "--port", port, "--data", _folder, "--web", House.Web, .. _demo ? ["--demo"] : Array.Empty<string>()])
            start.ArgumentList.Add(word);
        // Waiting for the address as a task that the output completes: the pipes are then drained for as long as it runs.
        var address = new TaskCompletionSource<string>();
        var process = new Process { StartInfo = start, EnableRaisingEvents = true };
        process.OutputDataReceived += (_, line) =>
        {
            if (line.Data?.StartsWith("Iron Loop is at ", StringComparison.Ordinal) == true)
                address.TrySetResult(line.Data.Split(' ')[4].TrimEnd(',', '.'));
        };
        process.ErrorDataReceived += (_, _) => { };
        process.Exited += (_, _) => address.TrySetException(new InvalidOperationException("The server ended before it answered."));
        process.Start();
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
        return (process, address.Task.GetAwaiter().GetResult());
    }

    private void Stop()
    {
        _process.Kill(entireProcessTree: true);
        _process.WaitForExit();
        _process.Dispose();
    }
}
