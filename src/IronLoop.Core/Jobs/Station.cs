namespace IronLoop.Core.Jobs;

/// <summary>The stations a job passes, in order.</summary>
public enum Station
{
    /// <summary>Who, which watch, what is asked for.</summary>
    TakeIn,

    /// <summary>Watch and wrist are measured.</summary>
    Gauge,

    /// <summary>A band is chosen.</summary>
    Match,

    /// <summary>The clasp is kept or replaced.</summary>
    Clasp,

    /// <summary>The links, holes and micro-adjust are decided.</summary>
    Size,

    /// <summary>The work is done.</summary>
    Bench,

    /// <summary>The watch goes back, the job into the log.</summary>
    HandOver,
}
