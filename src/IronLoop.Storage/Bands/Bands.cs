using System.Globalization;
using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>The bands in stock and the owners' own.</summary>
public static class Bands
{
    // Every column of a band beside its number, and what stands in it: what a kind of band does not have is null.
    private static readonly (string Column, Func<StockBand, object?> Value)[] Stored =
    [
        ("article", s => s.Article), ("name", s => s.Name), ("owner_client_id", s => s.OwnerClientId), ("finish", s => s.Finish), ("colour", s => s.Colour),
        ("price_cents", s => s.PriceCents), ("in_stock", s => s.InStock),
        ("kind", s => s.Band.Facts.Kind), ("material", s => s.Band.Facts.Material), ("attaches", s => s.Band.Facts.Attaches), ("width_um", s => s.Band.Facts.Width),
        ("solid_end", s => s.Band.Facts.SolidEnd), ("family", s => s.Band.Facts.Family), ("end_shape", s => s.Band.Facts.End), ("end_thickness_um", s => s.Band.Facts.EndThickness),
        ("tube_bore_um", s => s.Band.Facts.TubeBore), ("nickel_safe", s => s.Band.Facts.NickelSafe),
        ("bore_to_face_um", s => s.Band.Facts.BoreToFace), ("firm", s => s.Band.Facts.IsFirm),
        ("thickness_um", s => s.Band.Thickness), ("clasp_name", s => s.Band.ClaspName), ("clasp_kind", s => s.Band.ClaspKind), ("clasp_flap", s => s.Band.HasFlap),
        ("clasp_end_um", s => s.Band.ClaspEnd), ("fastener", s => s.Band.Fastener), ("pin_um", s => s.Band.Pin),
        ("clasp_twelve_um", s => s.Band.Clasp?.Twelve), ("clasp_six_um", s => s.Band.Clasp?.Six), ("clasp_micro_side", s => s.Band.Clasp?.MicroSide),
        ("clasp_positions", s => s.Band.Clasp?.Positions), ("clasp_step_um", s => s.Band.Clasp?.Step), ("clasp_position", s => s.Band.Clasp?.Position),
        ("buckle_piece_um", s => s.Band.Strap?.BucklePiece), ("tail_um", s => s.Band.Strap?.Tail ?? s.Band.OnePiece?.Whole), ("first_hole_um", s => s.Band.Strap?.FirstHole ?? s.Band.OnePiece?.FirstHole),
        ("hole_pitch_um", s => s.Band.Strap?.HolePitch ?? s.Band.OnePiece?.HolePitch), ("holes", s => s.Band.Strap?.Sold ?? s.Band.OnePiece?.Holes),
        ("extra_hole", s => s.Band.Strap?.ExtraAfter), ("closure", s => s.Band.OnePiece?.Closure), ("farthest_um", s => s.Band.OnePiece?.Farthest),
        ("under_run_um", s => s.Band.OnePiece?.UnderRun),
        ("mesh_shortest_um", s => s.Band.Mesh?.Shortest), ("mesh_longest_um", s => s.Band.Mesh?.Longest), ("mesh_notches", s => s.Band.Mesh?.Notches),
    ];

    // What an owner's own bracelet keeps when it is gauged anew: whose it is, what it is called, what it looks like.
    private static readonly string[] KeptWhenGaugedAnew =
        ["article", "name", "owner_client_id", "finish", "colour", "price_cents", "in_stock", "kind", "material", "attaches", "solid_end", "end_shape", "end_thickness_um", "tube_bore_um", "nickel_safe", "bore_to_face_um", "firm",
        "clasp_end_um", "pin_um"];

    private static (string, object?)[] Values(ShopWork work, StockBand stock, IEnumerable<(string Column, Func<StockBand, object?> Value)> columns) =>
        [.. columns.Select(c => ($"${c.Column}", c.Value(stock))), ("$reach_id", Reaches.Of(work, stock.Band))];

    /// <summary>Takes a band into stock.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="stock">The band; its number is not looked at.</param>
    public static long Add(ShopWork work, StockBand stock)
    {
        var id = Insert(work, stock, "");
        AddLinks(work, id, stock.Band);
        return id;
    }

    /// <summary>Takes a band into stock, in place of what was known under its article number.</summary>
    /// <returns>Its number.</returns>
    public static long AddOrReplace(ShopWork work, StockBand stock)
    {
        var id = Insert(work, stock, $" ON CONFLICT (article) DO UPDATE SET {string.Join(", ", Stored.Skip(1).Select(c => c.Column).Append("reach_id").Select(c => $"{c} = excluded.{c}"))}");
        work.Execute("DELETE FROM band_link WHERE band_id = $id", ("$id", id));
        work.Execute("DELETE FROM band_spare WHERE band_id = $id", ("$id", id));
        AddLinks(work, id, stock.Band);
        return id;
    }

    /// <summary>The article numbers that are taken, and whether by an owner's own band.</summary>
    public static IReadOnlyDictionary<string, bool> Articles(ShopWork work) =>
        work.Query("SELECT article, owner_client_id IS NOT NULL AS own FROM band", row => (Article: row.Text("article"), Own: row.Yes("own")))
            .ToDictionary(a => a.Article, a => a.Own, StringComparer.Ordinal);

    /// <summary>The article number of every band, by its own number.</summary>
    public static IReadOnlyDictionary<long, string> ArticlesById(ShopWork work) =>
        work.Query("SELECT id, article FROM band", row => (Id: row.Number("id"), Article: row.Text("article"))).ToDictionary(b => b.Id, b => b.Article);

    private static long Insert(ShopWork work, StockBand stock, string onConflict)
    {
        var columns = Stored.Select(c => c.Column).Append("reach_id").ToList();
        var id = work.Insert(
            $"INSERT INTO band ({string.Join(", ", columns)}) VALUES ({string.Join(", ", columns.Select(c => $"${c}"))}){onConflict}", Values(work, stock, Stored));
        work.BandChanged(id);
        return id;
    }

    /// <summary>Puts an owner's own bracelet, as it is known now, in place of what was known of it before.</summary>
    public static void Replace(ShopWork work, long id, Band band)
    {
        var anew = Stored.Where(c => !KeptWhenGaugedAnew.Contains(c.Column, StringComparer.Ordinal)).ToList();
        work.Execute(
            $"UPDATE band SET {string.Join(", ", anew.Select(c => c.Column).Append("reach_id").Select(c => $"{c} = ${c}"))} WHERE id = $id AND owner_client_id IS NOT NULL",
            [("$id", id), .. Values(work, new StockBand(id, "", "", null, "", "", 0, 1, band), anew)]);
        work.BandChanged(id);
        work.Execute("DELETE FROM band_link WHERE band_id = $id", ("$id", id));
        work.Execute("DELETE FROM band_spare WHERE band_id = $id", ("$id", id));
        AddLinks(work, id, band);
    }

    private static void AddLinks(ShopWork work, long id, Band band)
    {
        if (band.Links is { } links)
            foreach (var side in (Side[])[Side.Twelve, Side.Six])
                for (var i = 0; i < links.On(side).Count; i++)
                    work.Execute(
                        "INSERT INTO band_link (band_id, side, ordinal, pitch_um, removable, mark, one_sided) VALUES ($id, $side, $ordinal, $pitch, $removable, $mark, $one)",
                        ("$id", id), ("$side", side), ("$ordinal", i), ("$pitch", links.On(side)[i].Pitch), ("$removable", links.On(side)[i].Removable),
                        ("$mark", Columns.Mark(links.On(side)[i].Mark)), ("$one", links.On(side)[i].OneSided));
        foreach (var spare in band.Spares)
            work.Execute("INSERT INTO band_spare (band_id, pitch_um, mark, count) VALUES ($id, $pitch, $mark, $count)",
                ("$id", id), ("$pitch", spare.Pitch), ("$mark", Columns.Mark(spare.Mark)), ("$count", spare.Count));
    }

    /// <summary>A band, or null when there is none of that number.</summary>
    public static StockBand? Find(ShopWork work, long id) => Read(work, "band.id = $id", ("$id", id)).SingleOrDefault();

    /// <summary>The stock, without the owners' own.</summary>
    public static IReadOnlyList<StockBand> InStock(ShopWork work) => Read(work, "band.owner_client_id IS NULL");

    /// <summary>The stock as the shelf looks at it: bracelets without their links, since what they can make is known.</summary>
    public static IReadOnlyList<StockBand> OnTheShelf(ShopWork work)
    {
        var (links, spares) = (Array.Empty<(long, Side)>().ToLookup(l => l, _ => default(Link)), Array.Empty<long>().ToLookup(s => s, _ => default(SpareLinks)));
        return work.Query("SELECT * FROM band WHERE owner_client_id IS NULL ORDER BY id", row => Read(row, links, spares));
    }

    /// <summary>Works out the reach of bracelets that were stored without it: by an earlier version of the program.</summary>
    /// <returns>How many there were.</returns>
    internal static int WorkOutReach(ShopWork work)
    {
        // Usually there is none, and to find that out must not mean to read all links of all bands.
        if (work.Query("SELECT id FROM band WHERE reach_id IS NULL AND kind = 'LinkBracelet' LIMIT 1", row => row.Number("id")).Count == 0)
            return 0;
        var without = Read(work, "band.kind = $kind AND band.reach_id IS NULL", ("$kind", BandKind.LinkBracelet));
        foreach (var stock in without)
        {
            try
            {
                work.Execute("UPDATE band SET reach_id = $reach WHERE id = $id", ("$id", stock.Id), ("$reach", Reaches.Of(work, stock.Band)));
            }
            catch (PlanTooLargeException)
            {
                // It was taken in before this was asked; its wearer's rule stays unknown.
            }
        }
        return without.Count;
    }

    /// <summary>An article number that is not taken yet.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="prefix">What it begins with.</param>
    public static string NextArticle(ShopWork work, string prefix) =>
        $"{prefix}-{work.Query("SELECT COALESCE(MAX(id), 0) + 1 AS next FROM band", row => row.Number("next")).Single()}";

    /// <summary>A client's own bands, the newest first.</summary>
    public static IReadOnlyList<StockBand> OwnOf(ShopWork work, long clientId) =>
        [.. Read(work, "band.owner_client_id = $client", ("$client", clientId)).OrderByDescending(b => b.Id)];

    /// <summary>Several bands by number; those that are not there are left out.</summary>
    public static IReadOnlyDictionary<long, StockBand> Find(ShopWork work, IEnumerable<long> ids) =>
        Read(work, $"band.id IN ({string.Join(", ", ids.Distinct().Select(id => id.ToString(CultureInfo.InvariantCulture)))})").ToDictionary(b => b.Id);

    /// <summary>How many open jobs other than this one have chosen each band, for the watch or for the bag: those are spoken for.</summary>
    public static IReadOnlyDictionary<long, int> SpokenFor(ShopWork work, long exceptJobId) =>
        work.Query(
            """
            SELECT band_id, COUNT(*) AS jobs FROM (
              SELECT band_id FROM job WHERE closed_at IS NULL AND band_id IS NOT NULL AND id <> $job
              UNION ALL
              SELECT also_band.band_id FROM also_band JOIN job ON job.id = also_band.job_id WHERE as_what = 'ForTheBag' AND closed_at IS NULL AND job.id <> $job)
            GROUP BY band_id
            """,
            row => (Band: row.Number("band_id"), Jobs: row.Count("jobs")), ("$job", exceptJobId))
            .ToDictionary(r => r.Band, r => r.Jobs);

    /// <summary>Books one out of stock for a job that is handed over; an owner's own band is not stock.</summary>
    /// <returns>Whether there was one to book out.</returns>
    public static bool BookOut(ShopWork work, long id)
    {
        work.BandCounted(id);
        return work.Execute("UPDATE band SET in_stock = in_stock - 1 WHERE id = $id AND owner_client_id IS NULL AND in_stock > 0", ("$id", id)) == 1;
    }

    private static List<StockBand> Read(ShopWork work, string where, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        var links = work.Query(
                $"SELECT band_link.* FROM band_link JOIN band ON band.id = band_link.band_id WHERE {where} ORDER BY band_id, side, ordinal",
                row => (
                    Band: row.Number("band_id"), Side: row.Choice<Side>("side"),
                    Link: new Link(row.Length("pitch_um"), row.Yes("removable")) { Mark = row.Mark("mark"), OneSided = row.Yes("one_sided") }),
                values)
            .ToLookup(l => (l.Band, l.Side), l => l.Link);
        var spares = work.Query(
                $"SELECT band_spare.* FROM band_spare JOIN band ON band.id = band_spare.band_id WHERE {where}",
                row => (Band: row.Number("band_id"), Spare: new SpareLinks(row.Length("pitch_um"), row.Count("count")) { Mark = row.Mark("mark") }),
                values)
            .ToLookup(s => s.Band, s => s.Spare);
        return work.Query($"SELECT band.* FROM band WHERE {where} ORDER BY band.owner_client_id IS NULL, band.id", row => Read(row, links, spares), values);
    }

    private static TwoPieceStrap Punched(int? after, TwoPieceStrap strap) => after is { } extra ? strap.WithExtra(extra) : strap;

    private static StockBand Read(SqliteDataReader row, ILookup<(long, Side), Link> links, ILookup<long, SpareLinks> spares)
    {
        var id = row.Number("id");
        var kind = row.Choice<BandKind>("kind");
        var (finish, colour) = (row.Text("finish"), row.Text("colour"));
        var facts = new BandFacts(
            kind, row.Choice<BandMaterial>("material"), row.Length("width_um"),
            row.Choice<BandAttachment>("attaches"), row.Maybe("solid_end", Columns.Yes), row.MaybeText("family"))
        {
            End = row.Choice<BandEnd>("end_shape"),
            EndThickness = row.Maybe("end_thickness_um", Columns.Length),
            TubeBore = row.Maybe("tube_bore_um", Columns.Length),
            NickelSafe = row.Maybe("nickel_safe", Columns.Yes),
            BoreToFace = row.Maybe("bore_to_face_um", Columns.Length),
            IsFirm = row.Maybe("firm", Columns.Yes),
            Finish = finish.Length > 0 ? finish : null,
            Colour = colour.Length > 0 ? colour : null,
        };
        var (thickness, closes) = (row.Length("thickness_um"), row.Text("clasp_name"));
        Band band = kind switch
        {
            BandKind.LinkBracelet => new LinkBracelet(
                facts, thickness, closes, new Bracelet([.. links[(id, Side.Twelve)]], [.. links[(id, Side.Six)]]),
                new BraceletClasp(
                    row.Length("clasp_twelve_um"), row.Length("clasp_six_um"), row.Choice<Side>("clasp_micro_side"),
                    row.Count("clasp_positions"), row.Length("clasp_step_um"), row.Count("clasp_position")))
            {
                Loose = [.. spares[id]],
                JoinedBy = row.Maybe("fastener", Columns.Choice<Fastener>),
                Across = row.Maybe("pin_um", Columns.Length),
            },
            BandKind.OnePiece => new PulledThroughBand(facts, thickness, closes, new OnePieceBand(
                row.Length("first_hole_um"), row.Length("hole_pitch_um"), row.Count("holes"), thickness, row.Maybe("under_run_um", Columns.Length))
            {
                Closure = row.Maybe("closure", Columns.Choice<OnePieceClosure>) ?? OnePieceClosure.Buckle,
                Farthest = row.Maybe("farthest_um", Columns.Length),
                Whole = row.Maybe("tail_um", Columns.Length),
            }),
            BandKind.Mesh => new MeshBracelet(facts, thickness, closes, new MeshBand(row.Length("mesh_shortest_um"), row.Length("mesh_longest_um"), row.Count("mesh_notches"))),
            _ => new TwoPieceBand(facts, thickness, closes, Punched(row.Maybe("extra_hole", Columns.Count), new TwoPieceStrap(
                row.Length("buckle_piece_um"), row.Length("tail_um"), row.Length("first_hole_um"), row.Length("hole_pitch_um"), row.Count("holes")))),
        };
        band = band with
        {
            ClaspKind = row.Maybe("clasp_kind", Columns.Choice<ClaspKind>),
            HasFlap = row.Yes("clasp_flap"),
            ClaspEnd = row.Maybe("clasp_end_um", Columns.Length),
        };
        return new StockBand(
            id, row.Text("article"), row.Text("name"), row.Maybe("owner_client_id", Columns.Number),
            finish, colour, row.Number("price_cents"), row.Count("in_stock"), band);
    }
}
