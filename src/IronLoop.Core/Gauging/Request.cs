namespace IronLoop.Core.Gauging;

/// <summary>What is asked for; it decides what has to be gauged.</summary>
public enum Request
{
    /// <summary>Change the strap.</summary>
    ChangeStrap,

    /// <summary>Fit a mesh.</summary>
    FitMesh,

    /// <summary>Replace the clasp.</summary>
    ReplaceClasp,

    /// <summary>Take links out.</summary>
    TakeLinksOut,

    /// <summary>Put links in.</summary>
    PutLinksIn,

    /// <summary>Refit after wear.</summary>
    Refit,

    /// <summary>Something else, told in words.</summary>
    SomethingElse,

    /// <summary>Another hole, notch or micro position, and nothing else.</summary>
    PositionOnly,

    /// <summary>A part that is lost or worn is replaced.</summary>
    ReplacePart,

    /// <summary>The band off and on again: cleaning, casework, photographs.</summary>
    OffAndOn,

    /// <summary>A band that the owner brings is put on.</summary>
    PutOwnBandOn,
}
