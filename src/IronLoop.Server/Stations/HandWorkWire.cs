using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations;

/// <summary>Work that the hands know without a figure.</summary>
/// <param name="Kind">By a count of links, to another place, a part, or a band of the owner's.</param>
/// <param name="Of">What is on the watch; of a band of the owner's, what that is. Left out where the part tells.</param>
/// <param name="Twelve">Links of the 12 side, −12 to 12, the way that is asked for: out, or in where links in are asked for.</param>
/// <param name="Six">The same of the 6 side.</param>
/// <param name="From">The hole, notch or position it is closed in, 1 to 60, counted from the tightest.</param>
/// <param name="To">The one it shall be closed in.</param>
/// <param name="Part">The part.</param>
/// <param name="Side">The sides it belongs to; left out for both.</param>
/// <param name="Why">Whether it is lost or worn; left out for worn.</param>
/// <param name="Attaches">How the owner's band attaches.</param>
internal sealed record HandWorkWire(
    HandWorkKind Kind, OnTheWatch? Of = null, int? Twelve = null, int? Six = null, int? From = null, int? To = null, WornPart? Part = null, PartSides? Side = null,
    PartIs? Why = null, BandAttachment Attaches = BandAttachment.LooseBar)
{
    public static HandWorkWire? Tell(HandWork? work, Request request) => work switch
    {
        HandWork.ByCount { Out: var links } => new HandWorkWire(HandWorkKind.ByCount, OnTheWatch.Bracelet, Twelve: Way(request) * links.Twelve, Six: Way(request) * links.Six),
        HandWork.AtPlace at => new HandWorkWire(HandWorkKind.AtPlace, at.Of, From: at.From + 1, To: at.To + 1),
        HandWork.Part part => new HandWorkWire(HandWorkKind.Part, part.Of, Part: part.What, Side: SidesOf(part.Side), Why: part.IsLost ? PartIs.Lost : PartIs.Worn),
        HandWork.OwnBandOn own => new HandWorkWire(HandWorkKind.OwnBandOn, own.Of, Attaches: own.Attaches),
        _ => null,
    };

    /// <summary>The same, checked; null where a figure of it is still wanting.</summary>
    public HandWork? Read(Refusals refusals, Request request, string path = "$")
    {
        int? Checked(string field, AllowedNumber allowed, int? value)
        {
            if (value is { } given)
                refusals.Check($"{path}.{field}", allowed, given);
            return value;
        }
        // Only a bracelet has pins between links.
        var of = Of ?? (Part is WornPart.LinkPin ? OnTheWatch.Bracelet : OnTheWatch.Soft);
        if (of == OnTheWatch.Nothing)
            refusals.Add($"{path}.of", "of is Nothing; where nothing is on the watch, there is nothing to work on.");
        switch (Kind)
        {
            // What is different after wear is a hole or notch where there are no links.
            case HandWorkKind.ByCount when request == Request.Refit && Of is { } holed && holed != OnTheWatch.Bracelet:
            case HandWorkKind.AtPlace:
                var (from, to) = (Checked("from", HandWork.Places, From), Checked("to", HandWork.Places, To));
                return from is { } now && to is { } then && now != then ? new HandWork.AtPlace(of, now - 1, then - 1) : null;
            case HandWorkKind.ByCount:
                var (twelve, six) = (Checked("twelve", HandWork.Links, Twelve ?? 0), Checked("six", HandWork.Links, Six ?? 0));
                return twelve == 0 && six == 0 ? null : new HandWork.ByCount(new Counted(Way(request) * twelve!.Value, Way(request) * six!.Value));
            case HandWorkKind.Part:
                if (Part is WornPart.LinkPin && of != OnTheWatch.Bracelet || Part is WornPart.ClaspPin && of is OnTheWatch.Mesh or OnTheWatch.PulledThrough)
                    refusals.Add($"{path}.part", $"part is {Part}; a {HandWork.BandOf(of)} has none.");
                Side? side = Side switch { PartSides.Twelve => Core.Fitting.Side.Twelve, PartSides.Six => Core.Fitting.Side.Six, _ => null };
                // A buckle hangs on one bar.
                if (Part == WornPart.ClaspPin && of == OnTheWatch.Soft)
                    side = Core.Fitting.Side.Twelve;
                return Part is { } part ? new HandWork.Part(part, of, side, Why == PartIs.Lost) : null;
            default:
                return new HandWork.OwnBandOn(of, of == OnTheWatch.PulledThrough ? BandAttachment.PullThrough : Attaches);
        }
    }

    private static int Way(Request request) => request == Request.PutLinksIn ? -1 : 1;

    private static PartSides SidesOf(Side? side) => side switch { Core.Fitting.Side.Twelve => PartSides.Twelve, Core.Fitting.Side.Six => PartSides.Six, _ => PartSides.Both };
}
