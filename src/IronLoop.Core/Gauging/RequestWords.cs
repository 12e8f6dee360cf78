namespace IronLoop.Core.Gauging;

/// <summary>What is asked for, in words.</summary>
public static class RequestWords
{
    /// <summary>A request in words.</summary>
    public static string Of(Request request) => request switch
    {
        Request.ChangeStrap => "change strap",
        Request.FitMesh => "fit mesh",
        Request.ReplaceClasp => "replace clasp",
        Request.TakeLinksOut => "take links out",
        Request.PutLinksIn => "put links in",
        Request.Refit => "refit after wear",
        Request.PositionOnly => "hole or micro position only",
        Request.ReplacePart => "replace a part",
        Request.OffAndOn => "off and on again",
        Request.PutOwnBandOn => "put own band on",
        _ => "something else",
    };
}
