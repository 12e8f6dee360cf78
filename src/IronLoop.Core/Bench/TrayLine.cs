using IronLoop.Core.Joints;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Bench;

/// <summary>Where the things of one name are, of those that are moved in a job.</summary>
/// <param name="What">What they are, more than one: "split pins".</param>
/// <param name="Fits">The band they belong to.</param>
/// <param name="Count">How many are in each place.</param>
/// <param name="FromStock">How many of them came from the shop's stock and are no longer there.</param>
public sealed record TrayLine(string What, string? Fits, IReadOnlyDictionary<Place, int> Count, int FromStock)
{
    /// <summary>How many are in a place.</summary>
    public int this[Place place] => Count.GetValueOrDefault(place);

    /// <summary>The account of a job: everything small that is anywhere but in the watch at some time of it.</summary>
    /// <param name="from">How it stood at take-in.</param>
    /// <param name="now">How it stands.</param>
    /// <param name="to">How it shall stand.</param>
    public static IReadOnlyList<TrayLine> Of(Stand from, Stand now, Stand to)
    {
        bool IsMoved(Thing thing) => thing.Place != Place.Watch || from.Find(thing.Id)?.Place != Place.Watch || to.Find(thing.Id)?.Place != Place.Watch;
        return
        [
            .. now.Things.Where(t => t.Kind != ThingKind.Head)
                .GroupBy(t => (What: NameOf(t), t.Fits))
                .Where(g => g.Any(IsMoved))
                .Select(g => new TrayLine(g.Key.What, g.Key.Fits, g.GroupBy(t => t.Place).ToDictionary(p => p.Key, p => p.Count()),
                    g.Count(t => t.Place != Place.Drawer && from.Find(t.Id)?.Place == Place.Drawer)))
                .OrderBy(l => l.Fits, StringComparer.Ordinal).ThenBy(l => l.What, StringComparer.Ordinal),
        ];
    }

    /// <summary>What a thing is called on the account: of a band that comes off, with that said.</summary>
    public static string NameOf(Thing thing) => thing.Fits == FromTheWatch.Old && thing.IsPart ? $"{thing.Plural}, old band" : thing.Plural;

    /// <summary>What lies in a place, by name and how many.</summary>
    public static IReadOnlyList<BagLine> In(Stand stand, Place place) =>
    [
        .. stand.Things.Where(t => t.Place == place).GroupBy(t => (t.Fits, What: NameOf(t)))
            .OrderBy(g => g.Key.Fits == FromTheWatch.Old).ThenBy(g => g.First().Kind == ThingKind.Link ? 0 : 1).ThenBy(g => g.Key.What, StringComparer.Ordinal)
            .Select(g => new BagLine(g.Count() == 1 ? g.First().Like : g.Key.What, g.Count())),
    ];
}
