using IronLoop.Core.Joints;

namespace IronLoop.Core.Bench;

/// <summary>Where a joint is, which tells what its bar is called.</summary>
public enum JointAt
{
    /// <summary>At the lugs.</summary>
    Lugs,

    /// <summary>Between links.</summary>
    Links,

    /// <summary>At the clasp, where it folds.</summary>
    Fold,

    /// <summary>At the clasp, in its row of holes.</summary>
    Micro,

    /// <summary>At a buckle.</summary>
    Buckle,
}

/// <summary>The parts that hold a joint, one of each, by what holds it and where.</summary>
public static class HeldParts
{
    /// <summary>The kinds of its parts and what each is called.</summary>
    public static IReadOnlyList<(ThingKind Kind, string Like)> Of(Fastener fastener, JointAt at) => fastener switch
    {
        Fastener.SplitPin => [(ThingKind.Pin, "split pin")],
        Fastener.PinWithTube => [(ThingKind.Pin, "plain pin"), (ThingKind.Tube, "tube")],
        Fastener.Screw => [(ThingKind.Screw, "link screw")],
        Fastener.ScrewInTube => [(ThingKind.Screw, "link screw"), (ThingKind.Screw, "link screw"), (ThingKind.Tube, "threaded tube")],
        Fastener.FrictionPin => [(ThingKind.Pin, "friction pin")],
        Fastener.SpringBar => [(ThingKind.Bar, at switch
        {
            JointAt.Lugs => "spring bar",
            JointAt.Links => "bar between links",
            JointAt.Fold => "fold bar",
            JointAt.Micro => "micro-adjust bar",
            _ => "buckle bar",
        })],
        Fastener.LeveredBar => [(ThingKind.Bar, "levered bar")],
        Fastener.ScrewedBar => [(ThingKind.Bar, "screwed bar")],
        Fastener.SlotScrews => [(ThingKind.Screw, "slot screw"), (ThingKind.Screw, "slot screw")],
        Fastener.MakersOwn => [(ThingKind.Fastener, "maker’s fastener")],
        Fastener.NotLookedAt => [(ThingKind.Fastener, at switch
        {
            JointAt.Lugs => "fastener at the lugs",
            JointAt.Links => "fastener between links",
            JointAt.Fold => "fastener at the fold",
            JointAt.Micro => "fastener at the micro-adjust",
            _ => "fastener at the buckle",
        })],
        _ => [],
    };
}
