using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Storage;

/// <summary>What fitters marked on the links of jobs' bracelets.</summary>
public static class MarkedLinks
{
    /// <summary>The marks of a job.</summary>
    public static LinkMarks Of(ShopWork work, long jobId) => new(
        work.Query("SELECT side, ordinal FROM link_pinned WHERE job_id = $job", row => (row.Choice<Side>("side"), row.Count("ordinal")), ("$job", jobId)).ToHashSet(),
        work.Query("SELECT side, end_piece_um FROM link_freed WHERE job_id = $job",
            row => (Side: row.Choice<Side>("side"), EndPiece: row.Length("end_piece_um")), ("$job", jobId)).ToDictionary(f => f.Side, f => f.EndPiece));

    /// <summary>Says that a link is never to be taken, or no longer so.</summary>
    public static void Pin(ShopWork work, long jobId, Side side, int ordinal, bool pinned) =>
        work.Execute(
            pinned
                ? "INSERT OR IGNORE INTO link_pinned (job_id, side, ordinal) VALUES ($job, $side, $ordinal)"
                : "DELETE FROM link_pinned WHERE job_id = $job AND side = $side AND ordinal = $ordinal",
            ("$job", jobId), ("$side", side), ("$ordinal", ordinal));

    /// <summary>Says that the link beside the clasp comes free there, or, with null, that it does not.</summary>
    public static void Free(ShopWork work, long jobId, Side side, Length? endPiece)
    {
        if (endPiece is { } length)
            work.Execute("INSERT OR REPLACE INTO link_freed (job_id, side, end_piece_um) VALUES ($job, $side, $piece)", ("$job", jobId), ("$side", side), ("$piece", length));
        else
            work.Execute("DELETE FROM link_freed WHERE job_id = $job AND side = $side", ("$job", jobId), ("$side", side));
    }

    /// <summary>Forgets the marks, and gives back links taken from stock: they were for another band.</summary>
    public static void Forget(ShopWork work, long jobId)
    {
        work.Execute("DELETE FROM link_pinned WHERE job_id = $job", ("$job", jobId));
        work.Execute("DELETE FROM link_freed WHERE job_id = $job", ("$job", jobId));
        foreach (var taken in PartsTaken.Of(work, jobId).Where(t => t is { Part.Part.Link: not null, BookedAt: null }))
            PartsTaken.Leave(work, jobId, taken.Use);
    }
}
