namespace IronLoop.Core.Jobs;

/// <summary>What lies outside the craft: noted and referred to a watchmaker, not attempted.</summary>
public enum OutsideCraft
{
    /// <summary>The case would have to be opened.</summary>
    CaseMustBeOpened,

    /// <summary>There is water inside.</summary>
    WaterInside,

    /// <summary>The movement has stopped.</summary>
    Stopped,

    /// <summary>A lug is cracked.</summary>
    LugCracked,

    /// <summary>The crown is loose.</summary>
    CrownLoose,

    /// <summary>Precious metal would have to be worked.</summary>
    PreciousMetal,

    /// <summary>It is older or worth more than the shop answers for.</summary>
    VintageAboveLimit,

    /// <summary>A screw is stuck or its slot is torn.</summary>
    ScrewStuck,

    /// <summary>A lug is bent.</summary>
    LugBent,
}

/// <summary>Refers a job to a watchmaker, with a note that the owner can take along.</summary>
public static class Referral
{
    /// <summary>What the owner is told, one sentence a reason. The shop may always refer, for no other reason than doubt.</summary>
    public static string Note(IReadOnlyCollection<OutsideCraft> reasons)
    {
        if (reasons.Count == 0)
            return "We would rather a watchmaker looked at this before we work on it.";
        return string.Join(' ', reasons.Distinct().Order().Select(Sentence).Append("Please let a watchmaker see it first; we fit the band afterwards."));
    }

    private static string Sentence(OutsideCraft reason) => reason switch
    {
        OutsideCraft.CaseMustBeOpened => "The case would have to be opened; its water resistance is then lost until someone equipped has tested it.",
        OutsideCraft.WaterInside => "There is water inside; the sooner it is dried and cleaned, the better.",
        OutsideCraft.Stopped => "The movement has stopped.",
        OutsideCraft.LugCracked => "A lug is cracked and could let the watch drop.",
        OutsideCraft.CrownLoose => "The crown is loose, so water can get in.",
        OutsideCraft.PreciousMetal => "Precious metal would have to be worked, which a goldsmith or the maker should do.",
        OutsideCraft.ScrewStuck => "A screw is stuck or its slot is torn; forced, it would ruin the link.",
        OutsideCraft.LugBent => "A lug is bent; bent back without the right tools it can crack.",
        OutsideCraft.VintageAboveLimit => "It is older or worth more than we answer for.",
        _ => throw new ArgumentOutOfRangeException(nameof(reason), reason, "Not a reason."),
    };
}
