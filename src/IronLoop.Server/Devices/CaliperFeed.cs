using System.Runtime.CompilerServices;
using System.Threading.Channels;

namespace IronLoop.Server.Devices;

/// <summary>What a caliper's line can bring.</summary>
internal enum CaliperNews
{
    /// <summary>How the line stands.</summary>
    Line,

    /// <summary>A reading.</summary>
    Reading,

    /// <summary>Something that is no reading.</summary>
    Garbage,
}

/// <summary>One piece of news from a caliper's line.</summary>
/// <param name="News">What it is.</param>
/// <param name="Connected">Whether the line is up.</param>
/// <param name="Says">How the line stands, or what is wrong with what came.</param>
/// <param name="Typed">A reading, as it is handed to a figure.</param>
/// <param name="InInches">Whether the caliper stands in inches.</param>
/// <param name="Number">Counts the news, so that none is taken twice.</param>
internal sealed record CaliperWord(CaliperNews News, bool Connected, string Says, string? Typed = null, bool InInches = false, long Number = 0);

/// <summary>Hands a caliper's news to every screen that listens.</summary>
internal sealed class CaliperFeed
{
    private readonly Lock _lock = new();
    private readonly List<Channel<CaliperWord>> _listeners = [];
    private CaliperWord _line = new(CaliperNews.Line, false, "No caliper line is set.");
    private long _number;

    /// <summary>How the line stands.</summary>
    public CaliperWord Line
    {
        get
        {
            lock (_lock)
                return _line;
        }
    }

    public void Tell(CaliperWord word)
    {
        lock (_lock)
        {
            word = word with { Number = ++_number };
            if (word.News == CaliperNews.Line)
                _line = word;
            foreach (var listener in _listeners)
                listener.Writer.TryWrite(word);
        }
    }

    /// <summary>How the line stands, then all that comes while the listener stays.</summary>
    public async IAsyncEnumerable<CaliperWord> Listen([EnumeratorCancellation] CancellationToken gone)
    {
        // A screen that does not keep up loses the oldest: a fitter reads again rather than waits.
        var listener = Channel.CreateBounded<CaliperWord>(new BoundedChannelOptions(64) { FullMode = BoundedChannelFullMode.DropOldest });
        lock (_lock)
        {
            _listeners.Add(listener);
            listener.Writer.TryWrite(_line);
        }
        try
        {
            while (await Came(listener.Reader, gone))
            {
                while (listener.Reader.TryRead(out var word))
                    yield return word;
            }
        }
        finally
        {
            lock (_lock)
                _listeners.Remove(listener);
        }
    }

    /// <summary>Waits for the next; a listener that goes ends the waiting, and is no fault.</summary>
    private static async Task<bool> Came(ChannelReader<CaliperWord> reader, CancellationToken gone)
    {
        try
        {
            return await reader.WaitToReadAsync(gone);
        }
        catch (OperationCanceledException)
        {
            return false;
        }
    }
}
