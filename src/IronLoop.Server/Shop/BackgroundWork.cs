using System.Collections.Concurrent;

namespace IronLoop.Server.Shop;

/// <summary>What goes on beside the requests. The program waits for it before it lets go of the shop's file.</summary>
internal sealed class BackgroundWork(IHostApplicationLifetime lifetime) : IHostedService
{
    private readonly ConcurrentDictionary<Task, bool> _running = new();

    /// <summary>Begins a piece of work.</summary>
    /// <param name="run">Does it; what it is given says when the program is about to end.</param>
    public void Begin(Action<CancellationToken> run)
    {
        var task = new Task(() => run(lifetime.ApplicationStopping));
        _running[task] = true;
        _ = task.ContinueWith(ended => _running.TryRemove(ended, out _), TaskScheduler.Default);
        task.Start(TaskScheduler.Default);
    }

    public Task StartAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    public async Task StopAsync(CancellationToken cancellationToken) =>
        await Task.WhenAll(_running.Keys).WaitAsync(cancellationToken).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
}
