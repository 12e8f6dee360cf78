using System.Collections.Concurrent;
using IronLoop.Server.Contract;
using IronLoop.Server.Host;
using IronLoop.Storage;
using IronLoop.Storage.Archive;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Shop;

/// <summary>The long pieces of work of this start of the program; one of a kind at a time.</summary>
internal sealed class LongWorks(BackgroundWork background, ShopFile shop, ILogger<LongWorks> log)
{
    private readonly Lock _beginning = new();
    private const int Remembered = 50;
    private readonly ConcurrentDictionary<string, LongWork> _works = new(StringComparer.Ordinal);
    private readonly ConcurrentQueue<string> _order = new();

    public LongWork Find(string id) => _works.TryGetValue(id, out var work) ? work : throw RefusedException.NotFound("There is no such piece of work.");

    /// <summary>Begins a piece of work.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="run">Does it; answers what to say at its end, and the file it made, if any.</param>
    public LongWork Begin(string kind, Func<LongWork, (string Says, string? File)> run)
    {
        var work = new LongWork(Guid.NewGuid().ToString("n"), kind);
        lock (_beginning)
        {
            if (_works.Values.Any(w => w.Kind == kind && w.Wire.State == LongWorkState.Running))
                throw RefusedException.Conflict($"Another {kind} is still running; wait for it, or cancel it.");
            _works[work.Id] = work;
        }
        _order.Enqueue(work.Id);
        while (_order.Count > Remembered && _order.TryDequeue(out var old))
            _works.TryRemove(old, out _);
        background.Begin(ending =>
        {
            using var _ = ending.Register(work.Cancel);
            Run(work, run);
        });
        return work;
    }

    private void Run(LongWork work, Func<LongWork, (string Says, string? File)> run)
    {
        try
        {
            var (says, file) = run(work);
            work.End(LongWorkState.Done, says, file);
        }
        catch (OperationCanceledException)
        {
            work.End(LongWorkState.Cancelled, "Cancelled; nothing was changed.");
        }
        catch (ArchiveException refused)
        {
            work.End(LongWorkState.Refused, $"{refused.Message} Nothing was changed.");
        }
        catch (Exception failed) when (failed is IOException or SqliteException or UnauthorizedAccessException)
        {
            log.LogError(failed, "Long work {Kind} failed", work.Kind);
            // What the machine says names its folders; that is for the log alone.
            var says = Problems.OfStorage(failed)?.Title ?? failed.Message.Replace(Path.GetDirectoryName(shop.Path) + "/", "", StringComparison.Ordinal);
            work.End(LongWorkState.Refused, $"{says} Nothing was changed.");
        }
        catch (Exception failed)
        {
            log.LogError(failed, "Long work {Kind} failed", work.Kind);
            work.End(LongWorkState.Refused, "Something went wrong here; nothing was changed.");
        }
    }
}
