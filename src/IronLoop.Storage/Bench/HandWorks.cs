using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>What was said of work that the hands know without a figure.</summary>
public static class HandWorks
{
    /// <summary>That of a job; null where nobody said any.</summary>
    public static HandWork? Of(ShopWork work, long jobId) => work.Query("SELECT * FROM hand_work WHERE job_id = $job", Read, ("$job", jobId)).SingleOrDefault();

    /// <summary>Stores it in place of what was said before, or forgets that.</summary>
    public static void Set(ShopWork work, long jobId, HandWork? said)
    {
        work.Execute("DELETE FROM hand_work WHERE job_id = $job", ("$job", jobId));
        if (said is null)
            return;
        var (count, place, part, own) = (said as HandWork.ByCount, said as HandWork.AtPlace, said as HandWork.Part, said as HandWork.OwnBandOn);
        work.Execute(
            """
            INSERT INTO hand_work (job_id, kind, of_band, twelve, six, from_place, to_place, part, side, is_lost, attaches)
            VALUES ($job, $kind, $of, $twelve, $six, $from, $to, $part, $side, $lost, $attaches)
            """,
            ("$job", jobId), ("$kind", HandWork.KindOf(said)), ("$of", said.Of), ("$twelve", count?.Out.Twelve), ("$six", count?.Out.Six),
            ("$from", place?.From), ("$to", place?.To), ("$part", part?.What), ("$side", part?.Side), ("$lost", part?.IsLost), ("$attaches", own?.Attaches));
    }

    private static HandWork Read(SqliteDataReader row)
    {
        var of = row.Choice<OnTheWatch>("of_band");
        return row.Choice<HandWorkKind>("kind") switch
        {
            HandWorkKind.ByCount => new HandWork.ByCount(new Counted(row.Count("twelve"), row.Count("six"))),
            HandWorkKind.AtPlace => new HandWork.AtPlace(of, row.Count("from_place"), row.Count("to_place")),
            HandWorkKind.Part => new HandWork.Part(row.Choice<WornPart>("part"), of, row.Maybe("side", Columns.Choice<Side>), row.Yes("is_lost")),
            _ => new HandWork.OwnBandOn(of, row.Choice<BandAttachment>("attaches")),
        };
    }
}
