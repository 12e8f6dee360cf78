using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Bench;

/// <summary>Where the things of one name are, of those that are moved in a job.</summary>
/// <param name="What">What they are, more than one: "split pins".</param>
/// <param name="Fits">The band they belong to.</param>
/// <param name="Count">How many are in each place; what is joined in a band that lies in the tray counts as in the band.</param>
/// <param name="FromStock">How many of them came from the shop's stock and are no longer there.</param>
public sealed record TrayLine(string What, string? Fits, IReadOnlyDictionary<Place, int> Count, int FromStock)
{
    /// <summary>The thing that stands for them: whichever of them is told, all alike are meant.</summary>
    public required string Key { get; init; }

    /// <summary>How many are in a place.</summary>
    public int this[Place place] => Count.GetValueOrDefault(place);

    /// <summary>The account of a job: everything small that is anywhere but in the watch at some time of it.</summary>
    /// <param name="from">How it stood at take-in.</param>
    /// <param name="now">How it stands.</param>
    /// <param name="to">How it shall stand.</param>
    public static IReadOnlyList<TrayLine> Of(Stand from, Stand now, Stand to)
    {
        bool IsMoved(Thing thing) => thing.Place != Place.Watch || from.Find(thing.Id)?.Place != Place.Watch || to.Find(thing.Id)?.Place != Place.Watch;
        var inABand = InABand(now);
        return
        [
            .. now.Things.Where(t => t.Kind != ThingKind.Head)
                .GroupBy(t => (What: NameOf(t), t.Fits))
                .Where(g => g.Any(IsMoved))
                .Select(g => new TrayLine(
                    g.Key.What, g.Key.Fits, g.GroupBy(t => inABand.Contains(t.Id) ? Place.Watch : t.Place).ToDictionary(p => p.Key, p => p.Count()),
                    g.Count(t => t.Place != Place.Drawer && from.Find(t.Id)?.Place == Place.Drawer))
                {
                    Key = g.First().Id,
                })
                .OrderBy(l => l.Fits, StringComparer.Ordinal).ThenBy(l => l.What, StringComparer.Ordinal),
        ];
    }

    /// <summary>Whether two things are told as one heap: of a kind, looking alike, and both of the band that comes off or neither.</summary>
    public static bool IsAlike(Thing one, Thing other) => one.Kind == other.Kind && one.Like == other.Like && IsOfTheOld(one) == IsOfTheOld(other);

    /// <summary>What a thing is called on the account: of a band that comes off, with that said.</summary>
    public static string NameOf(Thing thing) => IsOfTheOld(thing) ? $"{thing.Plural}, old band" : thing.Plural;

    private static bool IsOfTheOld(Thing thing) => thing.Fits == FromTheWatch.Old && thing.IsPart;

    /// <summary>
    /// What lies in a place, as a person counts it: a band that came off is one thing, whatever hangs on it; a clasp that was taken off
    /// is a set with what held it, so that it can be put back.
    /// </summary>
    /// <param name="from">How it stood at take-in, which tells what held what.</param>
    /// <param name="stand">How it stands.</param>
    /// <param name="place">The place.</param>
    /// <returns>The lines, each with the id of the band that it fits; what is a band itself, and what fits none, with an empty one.</returns>
    public static IReadOnlyList<BagLine> In(Stand from, Stand stand, Place place)
    {
        var things = stand.Things.Where(t => t.Place == place).ToList();
        var lines = new List<BagLine>();
        var counted = new HashSet<string>(StringComparer.Ordinal);
        foreach (var band in things.Where(t => IsBand(t.Kind)).GroupBy(t => t.Fits).OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            var whole = things.Where(t => t.Fits == band.Key && (band.Key == FromTheWatch.Old || t.IsClosure && band.Any(piece => stand.Hanging(piece.Id).Contains(t.Id)))).ToList();
            lines.Add(new BagLine(WholeBand([.. band, .. whole.Except(band)], from), 1) { Key = band.First().Id, Fits = band.Key == FromTheWatch.Old ? "" : band.Key ?? "" });
            counted.UnionWith(band.SelectMany(t => stand.Hanging(t.Id)).Concat(whole.Select(t => t.Id)));
        }
        foreach (var closure in things.Where(t => t.IsClosure && !counted.Contains(t.Id)).ToList())
        {
            var held = from.Joints.Where(j => j.Joins(closure.Id)).SelectMany(j => j.Parts).Select(p => stand.Find(p)).OfType<Thing>()
                .Where(t => t.Place == place && !counted.Contains(t.Id)).ToList();
            if (held.Count == 0)
                continue;
            lines.Insert(0, new BagLine($"{closure.Like} with {string.Join(" and ", held.GroupBy(t => t.Like).Select(g => g.First().Count(g.Count())))}", 1) { Key = closure.Id, Fits = closure.Fits ?? "" });
            counted.Add(closure.Id);
            counted.UnionWith(held.Select(t => t.Id));
        }
        lines.InsertRange(0, things.Where(t => !counted.Contains(t.Id)).GroupBy(t => (t.Fits, What: NameOf(t)))
            .OrderBy(g => g.Key.Fits == FromTheWatch.Old).ThenBy(g => g.First().Kind == ThingKind.Link ? 0 : 1).ThenBy(g => g.Key.What, StringComparer.Ordinal)
            .Select(g => new BagLine(g.Count() == 1 ? g.Key.What.Replace(g.First().Plural, g.First().Like, StringComparison.Ordinal) : g.Key.What, g.Count()) { Key = g.First().Id, Fits = g.Key.Fits ?? "" }));
        return lines;
    }

    /// <summary>A band with what goes with it as a set: "old strap with its pin buckle and 2 spring bars".</summary>
    /// <param name="things">Its pieces, its closure and its loose parts, as far as they are there.</param>
    /// <param name="from">How it stood at take-in: what held the closure goes without saying.</param>
    public static string WholeBand(IReadOnlyList<Thing> things, Stand from)
    {
        var closures = things.Where(t => t.IsClosure).ToList();
        var loose = things.Where(t => t.IsPart && !closures.Exists(c => from.Joints.Any(j => j.Joins(c.Id) && j.Parts.Contains(t.Id))));
        string[] with = [.. closures.Select(c => $"its {c.Like}"), .. loose.GroupBy(t => t.Like).Select(g => g.First().Count(g.Count()))];
        return $"{BandOf(things.First(t => IsBand(t.Kind)))}{(with.Length > 0 ? $" with {string.Join(" and ", with)}" : "")}";
    }

    /// <summary>Whether it is a band, or a piece of one that nothing is taken out of.</summary>
    public static bool IsBand(ThingKind kind) => kind is ThingKind.Band or ThingKind.BucklePiece or ThingKind.TailPiece or ThingKind.MeshPiece or ThingKind.OnePieceBand;

    private static string BandOf(Thing piece) => piece.Kind switch
    {
        ThingKind.BucklePiece or ThingKind.TailPiece => piece.Fits == FromTheWatch.Old ? "old strap" : "strap",
        ThingKind.MeshPiece => piece.Fits == FromTheWatch.Old ? "old mesh" : "mesh",
        _ => piece.Like,
    };

    /// <summary>What is joined in a band that lies in the tray: to its clasp, or to its end at the case.</summary>
    private static HashSet<string> InABand(Stand now)
    {
        var ends = ((Side[])[Side.Twelve, Side.Six]).Select(s => FromTheWatch.EndOf(now, FromTheWatch.Wanted, s));
        return
        [
            .. now.Things.Where(t => t.Place == Place.Tray && now.Holding(t.Id).Count > 0 && (t.IsClosure && t.Fits != FromTheWatch.Old || ends.Contains(t.Id))).SelectMany(t => now.Hanging(t.Id)),
        ];
    }
}
