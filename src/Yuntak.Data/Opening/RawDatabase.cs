using Microsoft.Data.Sqlite;

namespace Yuntak.Data.Opening;

/// <summary>A database looked at without the model: it may be damaged, half made, or of another version.</summary>
internal sealed class RawDatabase : IDisposable
{
    private readonly SqliteConnection connection;

    private RawDatabase(SqliteConnection connection) => this.connection = connection;

    /// <summary>Opens a file.</summary>
    /// <param name="file">The file.</param>
    /// <param name="write">Whether it may be changed.</param>
    /// <param name="create">Whether it is made when it is not there.</param>
    /// <exception cref="SqliteException">It is no database, or damaged.</exception>
    public static RawDatabase Open(string file, bool write = false, bool create = false)
    {
        var text = new SqliteConnectionStringBuilder
        {
            DataSource = file,
            Mode =
                create ? SqliteOpenMode.ReadWriteCreate
                : write ? SqliteOpenMode.ReadWrite
                : SqliteOpenMode.ReadOnly,
            Pooling = false,
        };
        var opened = new SqliteConnection(text.ToString());
        try
        {
            opened.Open();
            return new RawDatabase(opened);
        }
        catch
        {
            opened.Dispose();
            throw;
        }
    }

    /// <summary>Carries a statement out.</summary>
    public void Run(string statement, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        using var command = Command(statement, values);
        command.ExecuteNonQuery();
    }

    /// <summary>The first value of the first row, or null.</summary>
    public object? Value(string query, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        using var command = Command(query, values);
        return command.ExecuteScalar() is { } value and not DBNull ? value : null;
    }

    /// <summary>All rows, each made by a function.</summary>
    public List<T> Rows<T>(string query, Func<SqliteDataReader, T> make, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        using var command = Command(query, values);
        using var reader = command.ExecuteReader();
        List<T> rows = [];
        while (reader.Read())
        {
            rows.Add(make(reader));
        }

        return rows;
    }

    /// <summary>Whether there is a table of that name; any at all when no name is given.</summary>
    public bool HasTable(string? name) =>
        Value("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ifnull($name, name)", ("$name", name)) is not null;

    /// <summary>Whether a table has a column of that name.</summary>
    public bool HasColumn(string table, string column) =>
        Value("SELECT 1 FROM pragma_table_info($table) WHERE name = $column", ("$table", table), ("$column", column)) is not null;

    /// <summary>What the database's own check finds wrong; null when nothing.</summary>
    public string? Damage() => Value("PRAGMA quick_check(1)") is string said && said != "ok" ? said.ReplaceLineEndings(" ") : null;

    /// <summary>Copies everything into another file as it is at this moment, whoever writes meanwhile. The file is whole or not there.</summary>
    public void CopyTo(string file)
    {
        var part = file + ".part";
        File.Delete(part);
        DataFolder.NewOwnFile(part).Dispose();
        try
        {
            using (var copy = Open(part, write: true))
            {
                connection.BackupDatabase(copy.connection);
                // A file to carry around is one file, without a log beside it.
                copy.Value("PRAGMA journal_mode = DELETE");
            }

            using (var written = new FileStream(part, FileMode.Open, FileAccess.ReadWrite))
            {
                written.Flush(flushToDisk: true);
            }

            File.Move(part, file, overwrite: false);
        }
        finally
        {
            File.Delete(part);
        }
    }

    public void Dispose() => connection.Dispose();

    private SqliteCommand Command(string text, ReadOnlySpan<(string Name, object? Value)> values)
    {
        var command = connection.CreateCommand();
        command.CommandText = text;
        foreach (var (name, value) in values)
        {
            command.Parameters.AddWithValue(name, value ?? DBNull.Value);
        }

        return command;
    }
}
