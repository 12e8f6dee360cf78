using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;

namespace IronLoop.Core.HandOver;

/// <summary>How an owner closes and opens what closes the band, in at most three lines, as it is shown over the counter (house rules).</summary>
public static class ClaspInUse
{
    /// <summary>The lines; none where nobody knows what closes it.</summary>
    /// <param name="kind">What closes it.</param>
    /// <param name="hasFlap">Whether a safety flap lies over it.</param>
    public static IReadOnlyList<string> Says(ClaspKind? kind, bool hasFlap) => kind switch
    {
        ClaspKind.PinBuckle =>
        [
            "Close: the tail through the frame, the tongue into its hole, then under both keepers.",
            "Open: out of the keepers, pull the tail back until the tongue is free; do not bend the strap over the frame.",
        ],
        ClaspKind.StrapFolding =>
        [
            "Close: press the fold shut until it clicks; the length stays as it was set.",
            "Open: press both buttons, or lift the cover, and unfold it all the way before the hand goes through.",
        ],
        ClaspKind.Butterfly =>
        [
            "Close: fold one wing in, then the other; each clicks.",
            "Open: press both buttons together and let the wings spring apart; never lift one with a nail.",
        ],
        ClaspKind.FoldOver or ClaspKind.Extending =>
        [
            $"Close: the inner fold first, then the cover until it clicks{(hasFlap ? ", last the safety flap" : "")}.",
            $"Open: {(hasFlap ? "the safety flap up, then " : "")}lift the cover at its edge; let the fold open by itself.",
            .. kind == ClaspKind.Extending ? (string[])["Over a sleeve: unfold the second fold; fold it back before daily wear."] : [],
        ],
        ClaspKind.Slide =>
        [
            "Close: hook the end over its bar, then press the flap down until it holds.",
            "Open: lift the flap, unhook the end. Looser or tighter: lift the lock, slide, and press it down again.",
        ],
        _ => [],
    };

    /// <summary>How a pull-through band is threaded and tucked.</summary>
    /// <param name="way">How it is worn.</param>
    public static string Threaded(PullThroughWay way) => way switch
    {
        PullThroughWay.Double => "Thread it down past the 12 bar, under the case, up past the 6 bar and through the loop of the under-flap; tuck the tail back through the keepers.",
        PullThroughWay.ReversedDouble => "Thread it down past the 6 bar, under the case, up past the 12 bar and through the loop of the under-flap; tuck the tail back through the keepers.",
        PullThroughWay.ReversedSingle => "Thread it down past the 6 bar, under the case and up past the 12 bar; the flap stays beside it; tuck the tail back through the keepers.",
        _ => "Thread it down past the 12 bar, under the case and up past the 6 bar; the flap stays beside it; tuck the tail back through the keepers.",
    };

    /// <summary>How a band closes that hooks into itself, or in a catch.</summary>
    private static IReadOnlyList<string> Says(OnePieceClosure closure) => closure switch
    {
        OnePieceClosure.HookAndLoop =>
        [
            "Close: the tail through the ring, back on itself, and press the whole length down.",
            "Open: peel it from the tip; keep lint out of the hooks, or they let go.",
        ],
        OnePieceClosure.SideRelease =>
        [
            "Close: push the catch in until both sides click. Tighter or looser: draw the slider along the tail.",
            "Open: press both sides at once.",
        ],
        _ => Says(ClaspKind.PinBuckle, hasFlap: false),
    };

    /// <summary>All of it for a band.</summary>
    public static IReadOnlyList<string> Of(Band band, ClaspKind? kind, PullThroughWay way) =>
        band.OnePiece is { } through ? [Threaded(way), .. Says(through.Closure)] : Says(kind, band.HasFlap);
}
