using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>
/// A connection to the shop's file with the statements that were prepared on it, so that what is asked again and again is understood once. One
/// piece of work has it at a time.
/// </summary>
internal sealed class Line(SqliteConnection connection) : IDisposable
{
    // Statements with words sought in them are many; the usual ones are some two hundred.
    private const int MostKept = 400;

    private readonly Dictionary<string, Stack<SqliteCommand>> _idle = new(StringComparer.Ordinal);
    private int _kept;

    /// <summary>The connection.</summary>
    public SqliteConnection Connection => connection;

    /// <summary>Whether what is stored on it waits for the disk.</summary>
    public bool IsLasting { get; set; } = true;

    /// <summary>A statement, prepared if it was asked before; it is nobody else's until it is given back.</summary>
    public SqliteCommand Take(string sql, SqliteTransaction transaction)
    {
        SqliteCommand command;
        if (_idle.TryGetValue(sql, out var idle) && idle.TryPop(out var known))
        {
            (command, _kept) = (known, _kept - 1);
        }
        else
        {
            command = connection.CreateCommand();
            command.CommandText = sql;
        }
        command.Transaction = transaction;
        command.CommandTimeout = connection.DefaultTimeout;
        return command;
    }

    /// <summary>Gives a statement back, its rows read.</summary>
    public void GiveBack(SqliteCommand command)
    {
        command.Transaction = null;
        if (_kept >= MostKept)
        {
            command.Dispose();
            return;
        }
        if (!_idle.TryGetValue(command.CommandText, out var idle))
            _idle[command.CommandText] = idle = new Stack<SqliteCommand>();
        idle.Push(command);
        _kept++;
    }

    /// <inheritdoc />
    public void Dispose()
    {
        foreach (var command in _idle.Values.SelectMany(idle => idle))
            command.Dispose();
        connection.Dispose();
    }
}
