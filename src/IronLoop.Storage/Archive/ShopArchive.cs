using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage.Archive;

/// <summary>What an archive holds.</summary>
/// <param name="Rows">Rows in all.</param>
/// <param name="Photos">Photos.</param>
/// <param name="Jobs">Jobs.</param>
public sealed record ArchiveContent(long Rows, int Photos, long Jobs);

/// <summary>
/// The whole shop as one JSON file and back (docs/archive.md): every table with its rows in the order of their keys, every photo, and a
/// digest of all of it. The same shop always gives the same file.
/// </summary>
public static class ShopArchive
{
    /// <summary>What the file says it is.</summary>
    public const string Format = "iron-loop-archive";

    private const string Incoming = "incoming";

    private static readonly JsonSerializerOptions Readable = new() { WriteIndented = true, NewLine = "\n" };

    /// <summary>Writes the shop as it is at one moment.</summary>
    /// <param name="shop">The shop.</param>
    /// <param name="photos">Its photos.</param>
    /// <param name="stream">Where it is written.</param>
    /// <param name="progress">Told how many rows are written, of how many; it may throw to stop.</param>
    public static ArchiveContent Write(ShopFile shop, PhotoFolder photos, Stream stream, Action<long, long> progress)
    {
        using var connection = shop.Connect();
        using var moment = connection.BeginTransaction(deferred: true);
        var tables = ArchivedTable.Of(connection);
        var total = tables.Sum(t => Number(connection, moment, $"SELECT COUNT(*) FROM \"{t.Name}\""));
        using var digest = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        var (rows, pictures) = (0L, 0);
        void Text(string text) => stream.Write(Encoding.UTF8.GetBytes(text));

        Text($"{{\"format\":\"{Format}\",\"version\":{ShopFile.LatestVersion.ToString(CultureInfo.InvariantCulture)},\n\"tables\":{{");
        for (var t = 0; t < tables.Count; t++)
        {
            Text($"{(t > 0 ? "," : "")}\n\"{tables[t].Name}\":[");
            var first = true;
            digest.AppendData(Encoding.UTF8.GetBytes(tables[t].Name + "\n"));
            tables[t].Each(connection, moment, row =>
            {
                stream.Write(first ? "\n"u8 : ",\n"u8);
                stream.Write(row);
                digest.AppendData(row);
                first = false;
                if (++rows % 1_000 == 0)
                    progress(rows, total);
            });
            Text("]");
        }
        Text("},\n\"photos\":[");
        foreach (var id in Ids(connection, moment))
        {
            if (!File.Exists(photos.FileOf(id)) || !File.Exists(photos.ThumbnailOf(id)))
                continue;
            var (picture, thumbnail) = (Convert.ToBase64String(File.ReadAllBytes(photos.FileOf(id))), Convert.ToBase64String(File.ReadAllBytes(photos.ThumbnailOf(id))));
            Text($"{(pictures++ > 0 ? "," : "")}\n{{\"id\":{id.ToString(CultureInfo.InvariantCulture)},\"picture\":\"{picture}\",\"thumbnail\":\"{thumbnail}\"}}");
            digest.AppendData(Encoding.UTF8.GetBytes($"photo {id.ToString(CultureInfo.InvariantCulture)}\n{picture}\n{thumbnail}\n"));
            progress(rows, total);
        }
        Text($"],\n\"sha256\":\"{Convert.ToHexStringLower(digest.GetHashAndReset())}\"}}\n");
        progress(total, total);
        return new ArchiveContent(rows, pictures, Number(connection, moment, "SELECT COUNT(*) FROM job"));
    }

    /// <summary>
    /// Takes an archive into an empty shop. It is first made into a shop of its own beside it, of the version it was written in, brought
    /// up to date and looked over whole; only then does it take the empty one's place, at once.
    /// </summary>
    /// <param name="shop">The empty shop.</param>
    /// <param name="photos">Its photos.</param>
    /// <param name="stream">The archive.</param>
    /// <param name="length">Its size in bytes, for the progress.</param>
    /// <param name="checks">What is looked over beyond single fields, before it goes live.</param>
    /// <param name="progress">Told how many bytes are read, of how many; it may throw to stop, and nothing is changed then.</param>
    /// <exception cref="ArchiveException">The shop is not empty, or the file is foreign or damaged.</exception>
    public static ArchiveContent Restore(ShopFile shop, PhotoFolder photos, Stream stream, long length, ArrivalChecks checks, Action<long, long> progress)
    {
        MustBeEmpty(shop);
        var folder = Path.Combine(Path.GetDirectoryName(shop.Path)!, Incoming);
        if (Directory.Exists(folder))
            Directory.Delete(folder, recursive: true);
        Directory.CreateDirectory(folder);
        try
        {
            var arriving = new PhotoFolder(Path.Combine(folder, "photos"));
            var content = Take(folder, arriving, stream, length, checks, progress);
            using (var arrived = ShopFile.Open(folder))
            using (var made = arrived.Connect())
            {
                LookOver(made);
                LookAtFields(made, checks);
                checks.LookOver(arrived);
                // Nobody may have taken a job in meanwhile.
                MustBeEmpty(shop);
                MovePhotos(arriving, photos, made);
                using var live = shop.Connect();
                DoorKept.CarryOver(live, made);
                made.BackupDatabase(live);
            }
            shop.IsAnother();
            return content;
        }
        catch (JsonException broken)
        {
            throw new ArchiveException($"The file is damaged or no archive: it cannot be read as JSON{(broken.LineNumber is { } line ? $" near line {line + 1}" : "")}.", broken);
        }
        catch (SqliteException foreign)
        {
            throw new ArchiveException($"The file holds what does not go into a shop: {foreign.Message}", foreign);
        }
        finally
        {
            ShopFile.LetGo();
            Directory.Delete(folder, recursive: true);
        }
    }

    /// <summary>The schema of what <see cref="Write"/> writes (JSON Schema 2020-12).</summary>
    public static string Schema(ShopFile shop)
    {
        using var connection = shop.Connect();
        static object Of((string Type, bool Needed) column)
        {
            var type = column.Type switch { "INTEGER" => "integer", "REAL" => "number", _ => "string" };
            return new { type = column.Needed ? (object)type : new[] { type, "null" } };
        }
        var tables = ArchivedTable.Of(connection).ToDictionary(t => t.Name, t => (object)new
        {
            type = "array",
            items = new
            {
                type = "object",
                properties = t.Columns.Zip(t.Types).ToDictionary(c => c.First, c => Of(c.Second)),
                required = t.Columns,
                additionalProperties = false,
            },
        });
        var text = new { type = "string" };
        return JsonSerializer.Serialize(
            new Dictionary<string, object>
            {
                ["$schema"] = "https://json-schema.org/draft/2020-12/schema",
                ["title"] = "The archive of a shop",
                ["type"] = "object",
                ["properties"] = new Dictionary<string, object>
                {
                    ["format"] = new { @const = Format },
                    ["version"] = new { @const = ShopFile.LatestVersion },
                    ["tables"] = new { type = "object", properties = tables, required = tables.Keys, additionalProperties = false },
                    ["photos"] = new { type = "array", items = new { type = "object", properties = new { id = new { type = "integer" }, picture = text, thumbnail = text } } },
                    ["sha256"] = text,
                },
                ["required"] = (string[])["format", "version", "tables", "photos", "sha256"],
            },
            Readable);
    }

    private static ArchiveContent Take(string folder, PhotoFolder photos, Stream stream, long length, ArrivalChecks checks, Action<long, long> progress)
    {
        var json = new JsonTokens(stream);
        using var digest = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        json.Expect(JsonTokenType.StartObject);
        if (json.Expect(JsonTokenType.PropertyName) is not "format" || json.Expect(JsonTokenType.String) is not Format)
            throw new ArchiveException("This is no archive of a shop: it does not begin with its format.");
        if (json.Expect(JsonTokenType.PropertyName) is not "version" || json.Expect(JsonTokenType.Number) is not long version || version < ShopFile.FirstArchived)
            throw new ArchiveException("This is no archive of a shop: it does not say its version.");
        if (version > ShopFile.LatestVersion)
            throw new ArchiveException($"The archive is of version {version}, this program knows up to {ShopFile.LatestVersion}. Update the program first.");
        Named(json, "tables");
        json.Expect(JsonTokenType.StartObject);
        var (rows, jobs, pictures) = (0L, 0L, 0);
        using (var connection = ShopFile.Make(folder, (int)version))
        {
            Execute(connection, "PRAGMA foreign_keys = OFF; PRAGMA synchronous = OFF;");
            using var all = connection.BeginTransaction();
            var tables = ArchivedTable.Known(connection).ToDictionary(t => t.Name, StringComparer.Ordinal);
            while (json.Next() && json.Kind == JsonTokenType.PropertyName)
            {
                var name = (string)json.Value!;
                if (!tables.TryGetValue(name, out var table))
                    throw new ArchiveException($"The archive holds a table “{name}”, which no shop has.");
                digest.AppendData(Encoding.UTF8.GetBytes(name + "\n"));
                var count = Rows(json, table, connection, all, digest, () => progress(Math.Min(json.Taken, length), length));
                rows += count;
                jobs += name == "job" ? count : 0;
            }
            all.Commit();
        }
        Named(json, "photos");
        json.Expect(JsonTokenType.StartArray);
        while (json.Next() && json.Kind == JsonTokenType.StartObject)
        {
            Photo(json, photos, digest, checks);
            pictures++;
            progress(Math.Min(json.Taken, length), length);
        }
        Named(json, "sha256");
        if (json.Expect(JsonTokenType.String) is not string sum || sum != Convert.ToHexStringLower(digest.GetHashAndReset()))
            throw new ArchiveException("The archive is damaged: what it holds is not what was written into it.");
        json.Expect(JsonTokenType.EndObject);
        if (json.Next())
            throw new ArchiveException("The archive is damaged: something stands after its end.");
        return new ArchiveContent(rows, pictures, jobs);
    }

    private static long Rows(JsonTokens json, ArchivedTable table, SqliteConnection connection, SqliteTransaction all, IncrementalHash digest, Action progress)
    {
        using var insert = table.Insert(connection, all);
        var (row, values) = (new ArchivedRow(), new object?[table.Columns.Count]);
        var places = table.Columns.Select((c, i) => (c, i)).ToDictionary(c => c.c, c => c.i, StringComparer.Ordinal);
        var count = 0L;
        json.Expect(JsonTokenType.StartArray);
        while (json.Next() && json.Kind == JsonTokenType.StartObject)
        {
            Array.Clear(values);
            while (json.Next() && json.Kind == JsonTokenType.PropertyName)
            {
                if (!places.TryGetValue((string)json.Value!, out var place))
                    throw new ArchiveException($"The archive’s table “{table.Name}” holds “{json.Value}”, which no shop has.");
                if (!json.Next() || json.Kind is not (JsonTokenType.String or JsonTokenType.Number or JsonTokenType.Null))
                    throw new JsonException("A row holds text, numbers and nulls.");
                values[place] = json.Value;
            }
            count++;
            digest.AppendData(row.Write(table.Columns, values));
            for (var i = 0; i < values.Length; i++)
            {
                if (ArrivedField.WhyNot(table, i, values[i]) is { } why)
                    throw Refused(table, count, i, why);
                insert.Parameters[i].Value = values[i] ?? DBNull.Value;
            }
            if (!table.IsOfTheDoor)
                Put(insert, table, count);
            if (count % 1_000 == 0)
                progress();
        }
        return count;
    }

    private static void Put(SqliteCommand insert, ArchivedTable table, long row)
    {
        try
        {
            insert.ExecuteNonQuery();
        }
        catch (SqliteException unfit)
        {
            throw new ArchiveException($"The archive’s table “{table.Name}”, row {row}, does not go into a shop: {unfit.Message}", unfit);
        }
    }

    private static ArchiveException Refused(ArchivedTable table, long row, int column, string why) =>
        new($"The archive’s table “{table.Name}”, row {row}, field “{table.Columns[column]}” {why}.");

    private static void Photo(JsonTokens json, PhotoFolder photos, IncrementalHash digest, ArrivalChecks checks)
    {
        Named(json, "id");
        var id = json.Expect(JsonTokenType.Number) as long? ?? throw new JsonException("A photo has a whole number.");
        Named(json, "picture");
        var picture = (string)json.Expect(JsonTokenType.String)!;
        Named(json, "thumbnail");
        var thumbnail = (string)json.Expect(JsonTokenType.String)!;
        json.Expect(JsonTokenType.EndObject);
        digest.AppendData(Encoding.UTF8.GetBytes($"photo {id.ToString(CultureInfo.InvariantCulture)}\n{picture}\n{thumbnail}\n"));
        try
        {
            var (whole, small) = (Convert.FromBase64String(picture), Convert.FromBase64String(thumbnail));
            if ((checks.WhyNotPhoto(whole) ?? checks.WhyNotPhoto(small)) is { } why)
                throw new ArchiveException($"Photo {id} cannot be taken: {why}.");
            photos.Put(id, whole, small);
        }
        catch (FormatException broken)
        {
            throw new ArchiveException($"The archive is damaged: photo {id} is none.", broken);
        }
    }

    private static void Named(JsonTokens json, string name)
    {
        if (json.Expect(JsonTokenType.PropertyName) is not string found || found != name)
            throw new ArchiveException($"The archive is damaged: “{name}” is missing.");
    }

    /// <summary>Looks the arrived shop over: whole, and nothing in it points at what is not there.</summary>
    private static void LookOver(SqliteConnection made)
    {
        using var check = made.CreateCommand();
        check.CommandText = "PRAGMA integrity_check";
        if (check.ExecuteScalar() is not "ok")
            throw new ArchiveException("What the archive holds does not make a whole database.");
        check.CommandText = "SELECT \"table\" FROM pragma_foreign_key_check LIMIT 1";
        if (check.ExecuteScalar() is string table)
            throw new ArchiveException($"The archive is damaged: a row of “{table}” points at one that is not there.");
    }

    /// <summary>Looks at every field as it stands now: an archive of an older version has come over meanwhile, into the words of today.</summary>
    private static void LookAtFields(SqliteConnection made, ArrivalChecks checks)
    {
        foreach (var table in ArchivedTable.Of(made))
        {
            var row = 0L;
            table.Each(made, values =>
            {
                row++;
                for (var i = 0; i < values.Length; i++)
                    if (ArrivedField.WhyNot(table, i, values[i]) is { } why)
                        throw Refused(table, row, i, why);
                if (table.Name == "setting" && checks.WhyNotSetting((string)values[0]!, (string)values[1]!) is { } unfit)
                    throw Refused(table, row, 1, unfit);
            });
        }
    }

    private static void MovePhotos(PhotoFolder from, PhotoFolder to, SqliteConnection made)
    {
        foreach (var id in Ids(made, null))
            if (File.Exists(from.FileOf(id)))
                to.Put(id, File.ReadAllBytes(from.FileOf(id)), File.ReadAllBytes(from.ThumbnailOf(id)));
    }

    private static void MustBeEmpty(ShopFile shop)
    {
        using var connection = shop.Connect();
        if (Number(connection, null, "SELECT (SELECT COUNT(*) FROM client) + (SELECT COUNT(*) FROM band) + (SELECT COUNT(*) FROM part)") > 0)
            throw new ArchiveException("An archive goes into an empty shop only; this one holds clients, bands or parts. Start with an empty folder.");
    }

    private static List<long> Ids(SqliteConnection connection, SqliteTransaction? moment)
    {
        using var command = connection.CreateCommand();
        command.Transaction = moment;
        command.CommandText = "SELECT id FROM photo ORDER BY id";
        using var reader = command.ExecuteReader();
        var ids = new List<long>();
        while (reader.Read())
            ids.Add(reader.GetInt64(0));
        return ids;
    }

    private static long Number(SqliteConnection connection, SqliteTransaction? moment, string sql)
    {
        using var command = connection.CreateCommand();
        command.Transaction = moment;
        command.CommandText = sql;
        return (long)command.ExecuteScalar()!;
    }

    private static void Execute(SqliteConnection connection, string sql)
    {
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }
}
