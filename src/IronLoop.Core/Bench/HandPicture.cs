using IronLoop.Core.Joints;

namespace IronLoop.Core.Bench;

/// <summary>What a picture says better than words at an act: which way round, and where the tool goes in. Sent by name.</summary>
public enum HandPicture
{
    /// <summary>The link in the block, arrow down, the punch above and the pin's way out below.</summary>
    OutInTheBlock,

    /// <summary>The link in the block, arrow up, the pin from above.</summary>
    InAgainstTheArrow,

    /// <summary>The link in the block, arrow down, the pin from above.</summary>
    InAlongTheArrow,

    /// <summary>The fork between band and lug, on the bar's flange.</summary>
    ForkFromBehind,

    /// <summary>The point in the lug's hole, from outside.</summary>
    PointFromOutside,

    /// <summary>The lever under the band, drawn toward the middle.</summary>
    Lever,

    /// <summary>The blade upright in the slot, as wide as the slot is long.</summary>
    BladeInTheSlot,
}

/// <summary>Which picture belongs to an act.</summary>
public static class HandPictures
{
    /// <summary>The picture; null where words say it as well.</summary>
    /// <param name="opens">Whether the joint is opened; else it is closed.</param>
    /// <param name="fastener">What holds it.</param>
    /// <param name="isAtTheLugs">Whether it is at the lugs.</param>
    /// <param name="isDrilled">Whether the lugs are drilled through.</param>
    /// <param name="family">The tools it is done with.</param>
    /// <param name="along">Whether the pin goes in along its arrow.</param>
    public static HandPicture? Of(bool opens, Fastener fastener, bool isAtTheLugs, bool isDrilled, ToolFamily family, bool along) => fastener switch
    {
        Fastener.LeveredBar => HandPicture.Lever,
        Fastener.Screw or Fastener.ScrewInTube or Fastener.ScrewedBar or Fastener.SlotScrews => HandPicture.BladeInTheSlot,
        Fastener.SpringBar when isAtTheLugs => isDrilled ? HandPicture.PointFromOutside : HandPicture.ForkFromBehind,
        Fastener.SplitPin or Fastener.PinWithTube or Fastener.FrictionPin when family == ToolFamily.BlockAndHammer =>
            opens ? HandPicture.OutInTheBlock : along ? HandPicture.InAlongTheArrow : HandPicture.InAgainstTheArrow,
        _ => null,
    };
}
