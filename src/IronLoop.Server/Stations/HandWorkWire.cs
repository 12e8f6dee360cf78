using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations;

/// <summary>Work that the hands know without a figure.</summary>
/// <param name="Kind">By a count of links, to another place, a part, or a band of the owner's.</param>
/// <param name="Of">What is on the watch; of a band of the owner's, what that is.</param>
/// <param name="Twelve">Links out of the 12 side, −12 to 12; below nought where they go in.</param>
/// <param name="Six">The same of the 6 side.</param>
/// <param name="From">The hole, notch or position it is closed in, 1 to 60, counted from the tightest.</param>
/// <param name="To">The one it shall be closed in.</param>
/// <param name="Part">The part.</param>
/// <param name="Side">The side it belongs to; left out for both.</param>
/// <param name="Lost">Whether it is lost; else worn.</param>
/// <param name="Attaches">How the owner's band attaches.</param>
internal sealed record HandWorkWire(
    HandWorkKind Kind, OnTheWatch Of = OnTheWatch.Bracelet, int? Twelve = null, int? Six = null, int? From = null, int? To = null, WornPart? Part = null, Side? Side = null,
    bool? Lost = null, BandAttachment Attaches = BandAttachment.LooseBar)
{
    public static HandWorkWire? Tell(HandWork? work) => work switch
    {
        HandWork.ByCount { Out: var links } => new HandWorkWire(HandWorkKind.ByCount, Twelve: links.Twelve, Six: links.Six),
        HandWork.AtPlace at => new HandWorkWire(HandWorkKind.AtPlace, at.Of, From: at.From + 1, To: at.To + 1),
        HandWork.Part part => new HandWorkWire(HandWorkKind.Part, part.Of, Part: part.What, Side: part.Side, Lost: part.IsLost),
        HandWork.OwnBandOn own => new HandWorkWire(HandWorkKind.OwnBandOn, own.Of, Attaches: own.Attaches),
        _ => null,
    };

    /// <summary>The same, checked; null where a figure of it is still wanting.</summary>
    public HandWork? Read(Refusals refusals, string path = "$")
    {
        int? Checked(string field, AllowedNumber allowed, int? value)
        {
            if (value is { } given)
                refusals.Check($"{path}.{field}", allowed, given);
            return value;
        }
        if (Of == OnTheWatch.Nothing)
            refusals.Add($"{path}.of", "of is Nothing; where nothing is on the watch, there is nothing to work on.");
        switch (Kind)
        {
            case HandWorkKind.ByCount:
                var (twelve, six) = (Checked("twelve", HandWork.Links, Twelve ?? 0), Checked("six", HandWork.Links, Six ?? 0));
                return twelve == 0 && six == 0 ? null : new HandWork.ByCount(new Counted(twelve!.Value, six!.Value));
            case HandWorkKind.AtPlace:
                var (from, to) = (Checked("from", HandWork.Places, From), Checked("to", HandWork.Places, To));
                return from is { } now && to is { } then && now != then ? new HandWork.AtPlace(Of, now - 1, then - 1) : null;
            case HandWorkKind.Part:
                if (Part is WornPart.LinkPin && Of != OnTheWatch.Bracelet || Part is WornPart.ClaspPin && Of is OnTheWatch.Mesh or OnTheWatch.PulledThrough)
                    refusals.Add($"{path}.part", $"part is {Part}; a {HandWork.BandOf(Of)} has none.");
                // A buckle hangs on one bar.
                var side = Part == WornPart.ClaspPin && Of == OnTheWatch.Soft ? Core.Fitting.Side.Twelve : Side;
                return Part is { } part ? new HandWork.Part(part, Of, side, Lost ?? false) : null;
            default:
                return new HandWork.OwnBandOn(Of, Of == OnTheWatch.PulledThrough ? BandAttachment.PullThrough : Attaches);
        }
    }
}
