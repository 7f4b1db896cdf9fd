using Microsoft.Data.Sqlite;

namespace Yuntak.Data.Opening;

/// <summary>Reads the rows of a table of a damaged database one by one, so that a damaged page costs what lies on it and no more.</summary>
internal static class Salvage
{
    /// <summary>Between the rows that can be reached from either end, so many keys are tried one by one.</summary>
    private const long MostTried = 100_000;

    /// <summary>The rows that can be read, and how many keys of rows were seen that cannot.</summary>
    /// <param name="raw">The database.</param>
    /// <param name="table">A table with a key called <c>Id</c>.</param>
    /// <param name="one">Makes something of the row the reader is at; null where it is not whole.</param>
    public static (List<T> Saved, int Lost) Rows<T>(RawDatabase raw, string table, Func<SqliteDataReader, T?> one)
        where T : class
    {
        List<T> saved = [];
        var lost = 0;
        foreach (var id in Keys(raw, table))
        {
            if (One(raw, table, id, one) is { } row)
            {
                saved.Add(row);
            }
            else
            {
                lost++;
            }
        }

        return (saved, lost);
    }

    private static T? One<T>(RawDatabase raw, string table, long id, Func<SqliteDataReader, T?> one)
        where T : class
    {
        try
        {
            return raw.Rows($"SELECT * FROM {table} WHERE Id = $id", one, ("$id", id)).SingleOrDefault();
        }
        catch (Exception e)
            when (e is SqliteException or InvalidCastException or FormatException or InvalidOperationException or OverflowException)
        {
            return null;
        }
    }

    /// <summary>The keys that are there, in order; where the way through is barred, those that can be reached from either end and what answers in between.</summary>
    private static List<long> Keys(RawDatabase raw, string table)
    {
        try
        {
            return raw.Rows($"SELECT Id FROM {table} ORDER BY Id", r => r.GetInt64(0));
        }
        catch (SqliteException)
        {
            var first = Walk(raw, $"SELECT min(Id) FROM {table} WHERE Id > $at", long.MinValue);
            var last = Walk(raw, $"SELECT max(Id) FROM {table} WHERE Id < $at", long.MaxValue);
            last.Reverse();
            var (from, to) = (first.Count > 0 ? first[^1] : 0, last.Count > 0 ? last[0] : 0);
            List<long> between = [];
            for (var id = from + 1; id < to && to - from <= MostTried; id++)
            {
                between.Add(id);
            }

            return [.. first.Concat(between.Where(id => IsThere(raw, table, id))).Concat(last).Distinct()];
        }
    }

    private static bool IsThere(RawDatabase raw, string table, long id)
    {
        try
        {
            return raw.Value($"SELECT 1 FROM {table} WHERE Id = $id", ("$id", id)) is not null;
        }
        catch (SqliteException)
        {
            return true;
        }
    }

    private static List<long> Walk(RawDatabase raw, string query, long at)
    {
        List<long> keys = [];
        try
        {
            while (raw.Value(query, ("$at", at)) is long next)
            {
                keys.Add(next);
                at = next;
            }
        }
        catch (SqliteException)
        {
            // Here the way ends; the other end is tried too.
        }

        return keys;
    }
}
