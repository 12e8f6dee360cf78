using IronLoop.Core.Bands;
using IronLoop.Core.Shelf;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>What the shop's bracelets can make, each worked out once when it is stored.</summary>
public static class Reaches
{
    /// <summary>The number of a bracelet's reach, worked out if no bracelet made alike is stored yet; null for other bands.</summary>
    /// <exception cref="Core.Fitting.PlanTooLargeException">It has more lengths than are gathered.</exception>
    internal static long? Of(ShopWork work, Band band)
    {
        if (band.Links is null)
            return null;
        var madeOf = ShelfReach.MadeOf(band);
        return work.Query("SELECT id FROM reach WHERE made_of = $made_of", row => (long?)row.Number("id"), ("$made_of", madeOf)).SingleOrDefault()
            ?? work.Insert("INSERT INTO reach (made_of, packed) VALUES ($made_of, $packed)", ("$made_of", madeOf), ("$packed", ShelfReach.Of(band).Pack()));
    }

    /// <summary>The reach of each bracelet in the shop; those made alike share one.</summary>
    public static IReadOnlyDictionary<long, ShelfReach> OfAll(ShopWork work) => Read(work, "SELECT * FROM reach", "SELECT id, reach_id FROM band WHERE reach_id IS NOT NULL");

    /// <summary>The reach of one bracelet; null for other bands.</summary>
    public static ShelfReach? OfBand(ShopWork work, long bandId) =>
        work.Query("SELECT packed FROM reach JOIN band ON band.reach_id = reach.id WHERE band.id = $id", Unpack, ("$id", bandId)).SingleOrDefault();

    private static Dictionary<long, ShelfReach> Read(ShopWork work, string reaches, string bands)
    {
        var each = work.Query(reaches, row => (Id: row.Number("id"), Reach: Unpack(row))).ToDictionary(r => r.Id, r => r.Reach);
        return work.Query(bands, row => (Band: row.Number("id"), Reach: row.Number("reach_id"))).ToDictionary(b => b.Band, b => each[b.Reach]);
    }

    private static ShelfReach Unpack(SqliteDataReader row) => ShelfReach.Unpack(row.GetFieldValue<byte[]>(row.GetOrdinal("packed")));
}
