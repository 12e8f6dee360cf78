using IronLoop.Server.Host;

namespace IronLoop.Server.Shop;

/// <summary>How a long piece of work stands.</summary>
internal enum LongWorkState
{
    /// <summary>On its way.</summary>
    Running,

    /// <summary>Done.</summary>
    Done,

    /// <summary>Cancelled; nothing of it was kept.</summary>
    Cancelled,

    /// <summary>It could not be done; nothing of it was kept.</summary>
    Refused,
}

/// <summary>A long piece of work as the screen shows it.</summary>
/// <param name="Kind">What it is: archive, restore, reindex.</param>
/// <param name="Done">How much is done.</param>
/// <param name="Total">Of how much; nought while that is not known.</param>
internal sealed record LongWorkWire(string Id, string Kind, LongWorkState State, long Done, long Total, string Says);

/// <summary>A piece of work that takes long enough to be watched and cancelled.</summary>
internal sealed class LongWork(string id, string kind)
{
    private readonly Lock _lock = new();
    private readonly TaskCompletionSource _ended = new(TaskCreationOptions.RunContinuationsAsynchronously);
    private volatile bool _isCancelled;
    private LongWorkState _state = LongWorkState.Running;
    private (long Done, long Total) _far;
    private string _says = "";
    private string? _file;

    public string Id { get; } = id;

    public string Kind { get; } = kind;

    public LongWorkWire Wire
    {
        get
        {
            lock (_lock)
                return new LongWorkWire(Id, Kind, _state, _far.Done, _far.Total, _says);
        }
    }

    /// <summary>Is over when it is, however it ended.</summary>
    public Task Ended => _ended.Task;

    /// <summary>The file it made, once it is done; null where it made none. Where it lies is nobody's business outside.</summary>
    public string? File
    {
        get
        {
            lock (_lock)
                return _state == LongWorkState.Done ? _file : null;
        }
    }

    /// <summary>Tells how far it is, and stops it where it was cancelled.</summary>
    /// <exception cref="OperationCanceledException">It was cancelled.</exception>
    public void Progress(long done, long total)
    {
        lock (_lock)
            _far = (done, total);
        if (_isCancelled)
            throw new OperationCanceledException();
    }

    public void Cancel() => _isCancelled = true;

    public void End(LongWorkState state, string says, string? file = null)
    {
        lock (_lock)
            (_state, _says, _file) = (state, says, file);
        _ended.TrySetResult();
    }
}
