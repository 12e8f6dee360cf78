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
}
