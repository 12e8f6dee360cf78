using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>
/// Who may come in is settled by the shop as it stands, not by what is brought into it: an archive or an old backup must neither
/// shut out whoever brings it in, nor let in somebody who has left.
/// </summary>
internal static class DoorKept
{
    private static readonly string[] Tables = ["session", "door_entry", "fitter", "shop_key"];

    /// <summary>Carries the door of one file over to another, where the first has one.</summary>
    public static void CarryOver(SqliteConnection from, SqliteConnection to)
    {
        if (Convert.ToInt64(Scalar(from, null, "SELECT COUNT(*) FROM fitter"), System.Globalization.CultureInfo.InvariantCulture) == 0)
            return;
        using var all = to.BeginTransaction();
        foreach (var table in Tables)
            Scalar(to, all, $"DELETE FROM {table}");
        foreach (var table in Tables.Reverse())
        {
            using var read = from.CreateCommand();
            read.CommandText = $"SELECT * FROM {table}";
            using var rows = read.ExecuteReader();
            while (rows.Read())
            {
                using var write = to.CreateCommand();
                write.Transaction = all;
                write.CommandText = $"INSERT INTO {table} ({Names(rows, "")}) VALUES ({Names(rows, "$")})";
                for (var i = 0; i < rows.FieldCount; i++)
                    write.Parameters.AddWithValue("$" + rows.GetName(i), rows.GetValue(i));
                write.ExecuteNonQuery();
            }
        }
        all.Commit();
    }

    /// <summary>Ends all sessions: the shop that somebody signed in to is another now.</summary>
    public static void EndSessions(SqliteConnection of) => Scalar(of, null, "DELETE FROM session");

    private static string Names(SqliteDataReader rows, string mark) => string.Join(", ", Enumerable.Range(0, rows.FieldCount).Select(i => mark + rows.GetName(i)));

    private static object? Scalar(SqliteConnection connection, SqliteTransaction? within, string sql)
    {
        using var command = connection.CreateCommand();
        (command.Transaction, command.CommandText) = (within, sql);
        return command.ExecuteScalar();
    }
}
