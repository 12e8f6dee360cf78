namespace IronLoop.Core.Bench;

/// <summary>Which group a joint belongs to, by the name the stand gives it.</summary>
public static class JointNames
{
    /// <summary>The group of a joint.</summary>
    public static JointGroup GroupOf(string joint) => joint switch
    {
        $"{FromTheWatch.Wanted}.clasp-12" => JointGroup.ClaspTwelve,
        $"{FromTheWatch.Wanted}.clasp-6" => JointGroup.ClaspSix,
        "lug-12" or "lug-6" => JointGroup.Lugs,
        _ => JointGroup.Links,
    };
}
