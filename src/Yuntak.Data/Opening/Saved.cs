using System.IO.Compression;
using System.Security.Cryptography;
using Microsoft.Data.Sqlite;

namespace Yuntak.Data.Opening;

/// <summary>What of a damaged database can still be read.</summary>
/// <param name="Revisions">Changes.</param>
/// <param name="Photos">Photos of steps.</param>
/// <param name="Readings">Texts that were given to be read.</param>
/// <param name="Lost">How many of each are there and cannot be read.</param>
internal sealed record Saved(
    List<RevisionRow> Revisions,
    List<PhotoRow> Photos,
    List<ReadingRow> Readings,
    (int Revisions, int Photos, int Readings) Lost
)
{
    /// <summary>Reads all that can be read.</summary>
    public static Saved Of(string database)
    {
        Saved nothing = new([], [], [], default);
        if (!File.Exists(database) || new FileInfo(database).Length == 0)
        {
            return nothing;
        }

        try
        {
            using var raw = RawDatabase.Open(database);
            var revisions = Table(raw, "revisions", Revision);
            var photos = Table(raw, "photos", Photo);
            var readings = Table(raw, "readings", Reading);
            return new(revisions.Saved, photos.Saved, readings.Saved, (revisions.Lost, photos.Lost, readings.Lost));
        }
        catch (SqliteException)
        {
            // It is no database any more.
            return nothing;
        }
    }

    /// <summary>The newest change of a pointer. Its number counts; its key may be what is damaged.</summary>
    public RevisionRow? Newest(Pointer pointer) => Revisions.Where(r => r.Pointer == pointer && r.Number > 0).MaxBy(r => (r.Number, r.Id));

    /// <summary>How much of it was saved and lost, in words.</summary>
    public string Words =>
        $"Saved: {Of(Revisions.Count, Lost.Revisions, "changes")}, {Of(Photos.Count, Lost.Photos, "photos")}, {Of(Readings.Count, Lost.Readings, "pasted texts")}.";

    private static string Of(int saved, int lost, string what) => $"{saved} of {saved + lost} {what}";

    private static (List<T> Saved, int Lost) Table<T>(RawDatabase raw, string table, Func<SqliteDataReader, T?> one)
        where T : class
    {
        try
        {
            return raw.HasTable(table) ? Salvage.Rows(raw, table, one) : ([], 0);
        }
        catch (SqliteException)
        {
            return ([], 0);
        }
    }

    private static RevisionRow? Revision(SqliteDataReader r)
    {
        var pointer = Whole(r, "Pointer");
        var row = new RevisionRow
        {
            Id = r.GetInt64(r.GetOrdinal("Id")),
            Pointer = (Pointer)pointer,
            Number = Whole(r, "Number"),
            Parent = Key(r, "Parent"),
            UndoTo = Key(r, "UndoTo"),
            RedoTo = Key(r, "RedoTo"),
            CopyOf = Key(r, "CopyOf"),
            Learnt = Key(r, "Learnt"),
            At = Time(r, "At"),
            Sentence = r.GetString(r.GetOrdinal("Sentence")),
            SchemaVersion = Whole(r, "SchemaVersion"),
            Content = r.GetFieldValue<byte[]>(r.GetOrdinal("Content")),
        };
        return Enum.IsDefined(row.Pointer) && row.Number >= 0 && LabJson.TryRead(row.Content, row.SchemaVersion) is not null ? row : null;
    }

    private static PhotoRow? Photo(SqliteDataReader r)
    {
        var row = new PhotoRow
        {
            Id = r.GetInt64(r.GetOrdinal("Id")),
            Step = r.GetString(r.GetOrdinal("Step")),
            What = r.GetString(r.GetOrdinal("What")),
            At = Time(r, "At"),
            Gone = r.IsDBNull(r.GetOrdinal("Gone")) ? null : Time(r, "Gone"),
            Type = r.GetString(r.GetOrdinal("Type")),
            Content = r.GetFieldValue<byte[]>(r.GetOrdinal("Content")),
        };
        return ImageType.Of(row.Content) == row.Type ? row : null;
    }

    private static ReadingRow? Reading(SqliteDataReader r)
    {
        var hash = Column(r, "Hash");
        var row = new ReadingRow
        {
            Id = r.GetInt64(r.GetOrdinal("Id")),
            At = Time(r, "At"),
            Hash = hash < 0 || r.IsDBNull(hash) ? null : r.GetString(hash),
            Content = r.GetFieldValue<byte[]>(r.GetOrdinal("Content")),
        };
        var whole = row.Hash is { } said ? said == Convert.ToHexStringLower(SHA256.HashData(row.Content)) : Unpacks(row.Content);
        return whole ? row : null;
    }

    private static bool Unpacks(byte[] packed)
    {
        try
        {
            using var text = new BrotliStream(new MemoryStream(packed), CompressionMode.Decompress);
            text.CopyTo(Stream.Null);
            return true;
        }
        catch (Exception e) when (e is InvalidOperationException or InvalidDataException)
        {
            return false;
        }
    }

    /// <exception cref="OverflowException">It is past 32 bits.</exception>
    private static int Whole(SqliteDataReader r, string column) => checked((int)r.GetInt64(r.GetOrdinal(column)));

    private static DateTime Time(SqliteDataReader r, string column) => r.GetDateTime(r.GetOrdinal(column));

    /// <summary>A key of another row; null where there is none, or the table is older than the column.</summary>
    private static long? Key(SqliteDataReader r, string column) =>
        Column(r, column) is >= 0 and var at && !r.IsDBNull(at) ? r.GetInt64(at) : null;

    private static int Column(SqliteDataReader r, string name)
    {
        for (var n = 0; n < r.FieldCount; n++)
        {
            if (r.GetName(n) == name)
            {
                return n;
            }
        }

        return -1;
    }
}
