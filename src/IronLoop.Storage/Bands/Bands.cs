using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>A band as stored.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Article">Article number.</param>
/// <param name="Name">What it is called.</param>
/// <param name="OwnerClientId">Whose own it is; null for stock.</param>
/// <param name="Finish">Finish of its metal, or of its leather.</param>
/// <param name="Colour">Colour.</param>
/// <param name="PriceCents">Price in cents.</param>
/// <param name="InStock">How many are in stock.</param>
/// <param name="Band">What it is.</param>
public sealed record StockBand(
    long Id, string Article, string Name, long? OwnerClientId, string Finish, string Colour, long PriceCents, int InStock, Band Band);

/// <summary>The bands in stock and the owners' own.</summary>
public static class Bands
{
    private const string StoredColumns =
        """
        article, name, owner_client_id, kind, material, finish, colour, attaches, width_um, thickness_um,
        solid_end, family, price_cents, in_stock, clasp_name,
        clasp_twelve_um, clasp_six_um, clasp_micro_side, clasp_positions, clasp_step_um, clasp_position,
        buckle_piece_um, tail_um, first_hole_um, hole_pitch_um, holes,
        end_shape, end_thickness_um, tube_bore_um, nickel_safe, clasp_end_um, under_run_um, mesh_shortest_um, mesh_longest_um, mesh_notches, reach_id, fastener, pin_um
        """;

    private static readonly string Updates = string.Join(
        ", ", StoredColumns.Split([',', '\n', ' ', '\r'], StringSplitOptions.RemoveEmptyEntries).Skip(1).Select(c => $"{c} = excluded.{c}"));

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
        var id = Insert(work, stock, $" ON CONFLICT (article) DO UPDATE SET {Updates}");
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
        var (band, clasp, strap, onePiece, mesh) = (stock.Band, stock.Band.Clasp, stock.Band.Strap, stock.Band.OnePiece, stock.Band.Mesh);
        var hasNoBucklePiece = onePiece is not null || mesh is not null;
        var id = work.Insert(
            $"""
            INSERT INTO band ({StoredColumns})
            VALUES ($article, $name, $owner, $kind, $material, $finish, $colour, $attaches, $width, $thickness,
              $solid, $family, $price, $in_stock, $clasp_name,
              $twelve, $six, $micro_side, $positions, $step, $position,
              $buckle_piece, $tail, $first_hole, $hole_pitch, $holes,
              $end, $end_thickness, $bore, $nickel_safe, $clasp_end, $under_run, $shortest, $longest, $notches, $reach, $fastener, $pin){onConflict}
            """,
            ("$article", stock.Article), ("$name", stock.Name), ("$owner", stock.OwnerClientId),
            ("$kind", band.Facts.Kind), ("$material", band.Facts.Material), ("$finish", stock.Finish), ("$colour", stock.Colour),
            ("$attaches", band.Facts.Attaches), ("$width", band.Facts.Width), ("$thickness", band.Thickness),
            ("$solid", band.Facts.SolidEnd), ("$family", band.Facts.Family), ("$price", stock.PriceCents), ("$in_stock", stock.InStock),
            ("$clasp_name", band.ClaspName),
            ("$twelve", clasp?.Twelve), ("$six", clasp?.Six), ("$micro_side", clasp?.MicroSide), ("$positions", clasp?.Positions),
            ("$step", clasp?.Step), ("$position", clasp?.Position),
            ("$buckle_piece", hasNoBucklePiece ? Length.Zero : strap?.BucklePiece), ("$tail", strap?.Tail),
            ("$first_hole", strap?.FirstHole ?? onePiece?.FirstHole), ("$hole_pitch", strap?.HolePitch ?? onePiece?.HolePitch),
            ("$holes", strap?.Holes ?? onePiece?.Holes), ("$end", band.Facts.End), ("$end_thickness", band.Facts.EndThickness),
            ("$bore", band.Facts.TubeBore), ("$nickel_safe", band.Facts.NickelSafe), ("$clasp_end", band.ClaspEnd),
            ("$under_run", onePiece?.UnderRun), ("$shortest", mesh?.Shortest), ("$longest", mesh?.Longest), ("$notches", mesh?.Notches),
            ("$reach", Reaches.Of(work, band)), ("$fastener", band.Fastener), ("$pin", band.Pin));
        work.BandChanged(id);
        return id;
    }

    /// <summary>Puts an owner's own bracelet, as it is known now, in place of what was known of it before.</summary>
    public static void Replace(ShopWork work, long id, Band band)
    {
        var clasp = band.Clasp;
        work.Execute(
            """
            UPDATE band SET width_um = $width, thickness_um = $thickness, family = $family, clasp_name = $clasp_name, clasp_twelve_um = $twelve,
              clasp_six_um = $six, clasp_micro_side = $micro_side, clasp_positions = $positions, clasp_step_um = $step, clasp_position = $position,
              reach_id = $reach, fastener = $fastener
            WHERE id = $id AND owner_client_id IS NOT NULL
            """,
            ("$id", id), ("$width", band.Facts.Width), ("$thickness", band.Thickness), ("$family", band.Facts.Family), ("$clasp_name", band.ClaspName),
            ("$twelve", clasp?.Twelve), ("$six", clasp?.Six), ("$micro_side", clasp?.MicroSide), ("$positions", clasp?.Positions),
            ("$step", clasp?.Step), ("$position", clasp?.Position), ("$reach", Reaches.Of(work, band)), ("$fastener", band.Fastener));
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
        ids.Distinct().Select(id => Find(work, id)).OfType<StockBand>().ToDictionary(b => b.Id);

    /// <summary>How many open jobs other than this one have chosen each band: those are spoken for.</summary>
    public static IReadOnlyDictionary<long, int> SpokenFor(ShopWork work, long exceptJobId) =>
        work.Query(
            "SELECT band_id, COUNT(*) AS jobs FROM job WHERE closed_at IS NULL AND band_id IS NOT NULL AND id <> $job GROUP BY band_id",
            row => (Band: row.Number("band_id"), Jobs: row.Count("jobs")), ("$job", exceptJobId))
            .ToDictionary(r => r.Band, r => r.Jobs);

    /// <summary>Books one out of stock for a job that is handed over; an owner's own band is not stock.</summary>
    /// <returns>Whether there was one to book out.</returns>
    public static bool BookOut(ShopWork work, long id)
    {
        work.BandChanged(id);
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
            Finish = finish.Length > 0 ? finish : null,
            Colour = colour.Length > 0 ? colour : null,
        };
        var thickness = row.Length("thickness_um");
        var isBracelet = kind == BandKind.LinkBracelet;
        var band = new Band(
            facts,
            thickness,
            row.Text("clasp_name"),
            isBracelet ? new Bracelet([.. links[(id, Side.Twelve)]], [.. links[(id, Side.Six)]]) : null,
            [.. spares[id]],
            isBracelet
                ? new BraceletClasp(
                    row.Length("clasp_twelve_um"), row.Length("clasp_six_um"), row.Choice<Side>("clasp_micro_side"),
                    row.Count("clasp_positions"), row.Length("clasp_step_um"), row.Count("clasp_position"))
                : null,
            kind == BandKind.TwoPiece
                ? new TwoPieceStrap(
                    row.Length("buckle_piece_um"), row.Length("tail_um"), row.Length("first_hole_um"), row.Length("hole_pitch_um"), row.Count("holes"))
                : null)
        {
            OnePiece = kind == BandKind.OnePiece
                ? new OnePieceBand(
                    row.Length("first_hole_um"), row.Length("hole_pitch_um"), row.Count("holes"), thickness, row.Maybe("under_run_um", Columns.Length))
                : null,
            Mesh = kind == BandKind.Mesh ? new MeshBand(row.Length("mesh_shortest_um"), row.Length("mesh_longest_um"), row.Count("mesh_notches")) : null,
            ClaspEnd = row.Maybe("clasp_end_um", Columns.Length),
            Fastener = row.Maybe("fastener", Columns.Choice<Fastener>),
            Pin = row.Maybe("pin_um", Columns.Length),
        };
        return new StockBand(
            id, row.Text("article"), row.Text("name"), row.Maybe("owner_client_id", Columns.Number),
            finish, colour, row.Number("price_cents"), row.Count("in_stock"), band);
    }
}
