using System.Collections.Concurrent;
using System.Diagnostics;

namespace IronLoop.Browser.Tests;

/// <summary>The real program as a process of its own, on a folder of its own, which can be killed and started again.</summary>
public sealed class RunningShop : IDisposable
{
    // The demo is filled once and copied: a test waits for its screens, not for that.
    private static readonly Lazy<string> DemoFolder = new(() =>
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-demo-").FullName;
        var (process, _) = RunningProgram.Start(House.Server, ["--port", "0", "--data", folder, "--web", House.Web, "--demo"], "Iron Loop is at ");
        RunningProgram.Stop(process);
        AppDomain.CurrentDomain.ProcessExit += (_, _) => Directory.Delete(folder, recursive: true);
        return folder;
    });

    // One shop after the other has the same port, so that the browser keeps what it compiled of the client.
    private static readonly ConcurrentStack<string> FreePorts = new();

    private readonly bool _demo;
    private readonly string _folder = Directory.CreateTempSubdirectory("iron-loop-").FullName;
    private readonly RunningStandIns? _caliper;
    private Process _process;
    private bool _stopped;

    public RunningShop(bool demo, RunningStandIns? caliper = null)
    {
        (_demo, _caliper) = (demo, caliper);
        if (demo)
            foreach (var file in Directory.GetFiles(DemoFolder.Value))
                File.Copy(file, Path.Combine(_folder, Path.GetFileName(file)));
        (_process, Address) = Start(FreePorts.TryPop(out var port) ? port : "0");
    }

    /// <summary>The address it answers at; the same after a restart, so that an open page finds it again.</summary>
    public string Address { get; }

    /// <summary>Its database file.</summary>
    public string Database => Path.Combine(_folder, "iron-loop.db");

    public void Kill() => Stop();

    /// <summary>Starts it again on the same folder, killed before if it still runs.</summary>
    public void Restart()
    {
        Stop();
        (_process, _) = Start(new Uri(Address).Port.ToString());
        _stopped = false;
    }

    public void Dispose()
    {
        Stop();
        FreePorts.Push(new Uri(Address).Port.ToString(System.Globalization.CultureInfo.InvariantCulture));
        Directory.Delete(_folder, recursive: true);
    }

    private (Process Process, string Address) Start(string port)
    {
        string[] words = ["--port", port, "--data", _folder, "--web", House.Web];
        if (_demo)
            words = [.. words, "--demo"];
        if (_caliper is not null)
            words = [.. words, "--stand-ins", _caliper.Port.ToString(System.Globalization.CultureInfo.InvariantCulture)];
        var (process, said) = RunningProgram.Start(House.Server, words, "Iron Loop is at ");
        return (process, said.Split(' ')[4].TrimEnd(',', '.'));
    }

    private void Stop()
    {
        if (_stopped)
            return;
        RunningProgram.Stop(_process);
        _stopped = true;
    }
}
