using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Stock;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Bench;

/// <summary>A part in stock that could take the place of one that is gone.</summary>
/// <param name="OfSize">Whether it is of the size that was gauged; else no size is known.</param>
internal sealed record GoneOfferWire(long PartId, string Article, string Name, string Measured, string Drawer, int Free, bool OfSize);

/// <summary>A part that is bent, worn or lost, and wants another in its place.</summary>
/// <param name="Heap">The heap it is of.</param>
/// <param name="Part">What that is called.</param>
/// <param name="Offers">What lies in stock of its kind and size, that whose size is known first.</param>
internal sealed record GoneWire(string Heap, string Part, IReadOnlyList<GoneOfferWire> Offers)
{
    private static readonly PartKind[] Small = [PartKind.Pin, PartKind.Bar, PartKind.Link];

    public static IReadOnlyList<GoneWire> Of(ShopWork work, JobBench bench) => bench is not { Facts: { } facts, Plan: { } plan, Now: { } now } ? [] :
    [
        .. now.Stand.Things.Where(t => t.Place is Place.Lost or Place.Thrown).DistinctBy(TrayLine.NameOf)
            .Select(gone => GoneParts.Missing(plan, now.Stand, gone)).OfType<Thing>().Select(thing => For(work, facts, plan, thing)),
    ];

    private static GoneWire For(ShopWork work, BenchFacts facts, BenchPlan plan, Thing thing)
    {
        var joint = plan.From.Joints.FirstOrDefault(j => j.Parts.Contains(thing.Id));
        var across = joint is null ? null : facts.Look(JointNames.GroupOf(joint.Id)).Across;
        return new GoneWire(thing.Id, TrayLine.NameOf(thing),
        [
            .. Small.SelectMany(kind => Parts.All(work, kind)).Where(p => p.Count.Free > 0)
                .Select(p => (Part: p, Fits: InItsPlace.Fits(thing, p.Part, across))).Where(p => p.Fits != false).OrderBy(p => p.Fits is null).Take(6)
                .Select(p => new GoneOfferWire(p.Part.Id, p.Part.Part.Article, p.Part.Part.Name, p.Part.Part.Measured, p.Part.Place, p.Part.Count.Free, p.Fits == true)),
        ]);
    }
}
