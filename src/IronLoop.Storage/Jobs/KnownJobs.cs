using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>A job as it is known, and the pieces it was put together from.</summary>
/// <param name="job">The job.</param>
/// <param name="pieces">Its pieces.</param>
internal sealed class KnownJob(JobSnapshot job, JobPieces pieces)
{
    private readonly Tables _fromShop = pieces.FromShop;
    private Tables _ofJob, _ofShop;

    /// <summary>The job; null once anything of it may be another.</summary>
    public JobSnapshot? Whole { get; private set; } = job;

    /// <summary>The job as it was when it was read.</summary>
    public JobSnapshot AsItWas { get; } = job;

    /// <summary>Notes what was changed since it was read.</summary>
    /// <param name="changed">What was.</param>
    /// <param name="touches">Whether that was of the job, its watch, its client or its bands.</param>
    public void Note(Changed changed, bool touches)
    {
        _ofShop |= changed.Tables;
        if (touches)
            _ofJob |= changed.Tables;
        if (touches || _fromShop.Meets(changed.Tables))
            Whole = null;
    }

    /// <summary>The pieces that still stand.</summary>
    /// <param name="besides">What a piece of work changed that is not stored yet.</param>
    public JobPieces Standing(Tables besides) => pieces.After(_ofJob | besides, _ofShop | besides);
}

/// <summary>The jobs that are at work, as they are known. What is changed of one leaves the pieces of it that were read from other tables.</summary>
internal sealed class KnownJobs(JobChanges changes, int most) : KeptByJob<KnownJob>(changes, most)
{
    private Tables _fromShop;

    /// <summary>The pieces that are known of a job and still stand; none where nothing is known.</summary>
    /// <param name="job">The job.</param>
    /// <param name="whose">Whose eyes they are for.</param>
    /// <param name="besides">What a piece of work changed that is not stored yet.</param>
    public JobPieces PiecesOf(long job, string whose, Tables besides) => Use(job, whose, known => known?.Standing(besides)) ?? new JobPieces();

    /// <summary>The job as it was known last; null where it is not.</summary>
    /// <param name="job">The job.</param>
    /// <param name="whose">Whose eyes it is for.</param>
    public JobSnapshot? Before(long job, string whose) => Use(job, whose, known => known?.AsItWas);

    /// <summary>Keeps a job with the pieces it was put together from.</summary>
    /// <param name="job">The job.</param>
    /// <param name="pieces">Its pieces.</param>
    /// <param name="whose">Whose eyes it is for.</param>
    /// <param name="readAt">The moment before which it was read.</param>
    public void Keep(JobSnapshot job, JobPieces pieces, string whose, long readAt)
    {
        Use(job.Job.Id, whose, _ => _fromShop |= pieces.FromShop);
        Keep(JobReader.KeptOf(job), whose, new KnownJob(job, pieces), readAt);
    }

    // Only what pieces of the shop were read from concerns all.
    private protected override bool ConcernsAll(Changed changed) => base.ConcernsAll(changed) || changed.Tables.Meets(_fromShop);

    private protected override bool StandsAfter(KnownJob value, KeptOf of, Changed changed)
    {
        value.Note(changed, changed.Touches(of) || changed.Counts(of));
        return true;
    }
}
