using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;

namespace IronLoop.Core.Bench;

/// <summary>Joints that are opened to be gauged before a band, a clasp or a part is chosen: what is in them can be read only then.</summary>
public static class OpenedToGauge
{
    /// <summary>The plan of opening alone: everything else stays as it was at take-in.</summary>
    /// <param name="facts">What is known; its groups are those to be opened.</param>
    /// <param name="from">How the watch stood when it was taken in.</param>
    public static BenchPlan Plan(BenchFacts facts, Stand from) =>
        ToTheWatch.Cancel(from, from, default) with { OpenFirst = [.. ToTheWatch.ToGauge(facts, from)], IsToGauge = true };

    /// <summary>The groups of joints that can be opened to be gauged, as the watch came.</summary>
    public static IReadOnlyList<JointGroup> Groups(BenchFacts facts)
    {
        var from = FromTheWatch.Of(facts);
        return [.. ((JointGroup[])[JointGroup.ClaspTwelve, JointGroup.ClaspSix, JointGroup.Lugs]).Where(group =>
            ToTheWatch.ToGauge(facts with { OpenToGauge = new HashSet<JointGroup> { group } }, from).Any(id => from.Joint(id)!.Fastener.Opens()))];
    }

    /// <summary>The figures that can be read once a group is open, in the order the tool is moved.</summary>
    public static IReadOnlyList<GaugedFigure> Figures(BenchFacts facts, JointGroup group) => group switch
    {
        JointGroup.Lugs => facts.Attachment switch
        {
            Attachment.ScrewSlot => [GaugedFigure.SlotHeight, GaugedFigure.BandEnd],
            Attachment.ScrewBar => [GaugedFigure.OwnBar, GaugedFigure.LugHole, GaugedFigure.BandEnd],
            _ => [GaugedFigure.LugHole, GaugedFigure.BarGap, GaugedFigure.BandEnd],
        },
        _ when facts.ClaspKind == ClaspKind.Butterfly =>
            [GaugedFigure.ClaspTube, GaugedFigure.PinDiameter, GaugedFigure.PinLength, GaugedFigure.EndBore],
        JointGroup.ClaspTwelve or JointGroup.ClaspSix => [GaugedFigure.ClaspBar, GaugedFigure.ClaspBarLength, GaugedFigure.EndBore, GaugedFigure.OtherEndBore],
        _ => [],
    };
}
