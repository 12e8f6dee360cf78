using IronLoop.Core.Joints;
using IronLoop.Core.Shelf;

namespace IronLoop.Core.Bench;

/// <summary>What becomes of a plan when a part is lost, thrown away, found or replaced.</summary>
public static class GoneParts
{
    /// <summary>The part of a heap that is named gone: one that is left over before one that is needed.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="now">How it stands.</param>
    /// <param name="like">One of the heap.</param>
    /// <param name="place">Where it is looked for.</param>
    /// <returns>Null when there is none of the heap there.</returns>
    public static Thing? Pick(BenchPlan plan, Stand now, Thing like, Place place) => now.Things
        .Where(t => t.Place == place && TrayLine.IsAlike(t, like) && !now.Holding(t.Id).Any())
        .OrderBy(t => plan.To.Is(t.Id, Place.Watch)).FirstOrDefault();

    /// <summary>The gone part of a heap that nothing stands in for yet; one that is needed first.</summary>
    public static Thing? Missing(BenchPlan plan, Stand now, Thing like) => now.Things
        .Where(t => t.Place is Place.Lost or Place.Thrown && TrayLine.IsAlike(t, like) && !now.Things.Any(o => o.Instead == t.Id && o.Place != Place.Drawer))
        .OrderBy(t => plan.To.Joints.Any(j => j.Closed && j.Parts.Contains(t.Id)) ? 0 : 1).FirstOrDefault();

    /// <summary>The plan when a part is gone: where it was to be bagged it is not.</summary>
    public static BenchPlan Gone(this BenchPlan plan, string part, Place place) => plan.Each(stand => stand.Put([part], place));

    /// <summary>The plan when a part is there again: where it was to go, it goes.</summary>
    public static BenchPlan Found(this BenchPlan plan, string part) =>
        plan.Each(stand => stand.Put([part], PlaceOf(stand, part)));

    /// <summary>The plan with a part from stock in the place of one that is gone.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="gone">What is gone.</param>
    /// <param name="part">What comes from stock; it lies in its drawer.</param>
    public static BenchPlan Instead(this BenchPlan plan, string gone, Thing part)
    {
        var from = plan.From.With(part);
        return (plan with { From = from }).Each(stand =>
        {
            stand.Set(part with { Place = PlaceOf(stand, gone) });
            foreach (var joint in stand.Joints.Where(j => j.Parts.Contains(gone)).ToList())
                stand.Set(joint with { Parts = [.. joint.Parts.Select(p => p == gone ? part.Id : p)] });
        });
    }

    /// <summary>The plan when a part from stock goes back there, since what it stood for was found.</summary>
    public static BenchPlan GivenBack(this BenchPlan plan, Thing part) => plan.Each(stand =>
    {
        stand.Put([part.Id], Place.Drawer);
        if (part.Instead is not { } own)
            return;
        foreach (var joint in stand.Joints.Where(j => j.Parts.Contains(part.Id)).ToList())
            stand.Set(joint with { Parts = [.. joint.Parts.Select(p => p == part.Id ? own : p)] });
    });

    // With what it holds together, in the watch or in a run that leaves as it is; what holds nothing goes back with the rest.
    private static Place PlaceOf(Stand stand, string part) => stand.Joints.FirstOrDefault(j => j.Closed && j.Parts.Contains(part)) is { } holds ? stand[holds.A].Place : Place.Bag;

    /// <summary>The plan when what the wearer shuts was found to belong elsewhere.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="joint">What is shut by hand.</param>
    /// <param name="position">Where it is shut.</param>
    public static BenchPlan ClosedAt(this BenchPlan plan, string joint, int position) => plan.Each(stand =>
    {
        if (stand.Joint(joint) is { } shut)
            stand.Set(shut with { Position = position });
    });

    private static BenchPlan Each(this BenchPlan plan, Action<Stand> change) => plan with
    {
        Targets =
        [
            .. plan.Targets.Select(t =>
            {
                var to = t.To.Copy();
                change(to);
                return t with { To = to };
            }),
        ],
    };
}
