using System.Globalization;
using Microsoft.Data.Sqlite;

namespace Yuntak.Data.Opening;

/// <summary>Goes on from what can still be read of a damaged database. The damaged files are kept.</summary>
public static class Recovery
{
    private const string Columns = "Id, LabId, Pointer, Number, Parent, UndoTo, RedoTo, At, Sentence, SchemaVersion, Content";

    /// <summary>What <see cref="GoOnAsync"/> would go on from, in words; changes nothing.</summary>
    public static string Offer(string folder) => Offer(folder, Readable(DataFolder.Database(folder)));

    private static string Offer(string folder, List<RevisionRow> readable) =>
        Newest(readable, Pointer.Draft) is { } draft
            ? $"the last change of the draft that can be read, number {draft.Number} («{draft.Sentence}», {Day(draft.At)})"
        : Copies.Newest(folder) is { } copy ? $"the newest copy that was kept, {copy}"
        : "an empty lab, because nothing in it can be read";

    /// <summary>Keeps the damaged files under another name and goes on from what can be read.</summary>
    /// <param name="folder">The data folder, which this process alone holds.</param>
    /// <param name="clock">The time.</param>
    /// <returns>What was done, in sentences.</returns>
    public static async Task<IReadOnlyList<string>> GoOnAsync(string folder, TimeProvider clock)
    {
        var database = DataFolder.Database(folder);
        var readable = Readable(database);
        var offer = Offer(folder, readable);
        var fresh = DataFolder.Fresh(folder);
        if (Newest(readable, Pointer.Draft) is not null)
        {
            await FillAsync(fresh, readable);
        }
        else if (Copies.Newest(folder) is { } copy)
        {
            File.Copy(copy, fresh);
        }

        var aside = string.Create(CultureInfo.InvariantCulture, $"damaged-{clock.GetUtcNow().UtcDateTime:yyyyMMdd'T'HHmmss}-");
        foreach (
            var file in Directory
                .EnumerateFiles(folder, DataFolder.FileName + "*")
                .Where(f => !f.StartsWith(fresh, StringComparison.Ordinal))
                .ToList()
        )
        {
            File.Move(file, Path.Combine(folder, aside + Path.GetFileName(file)));
        }

        List<string> said =
        [
            $"The damaged data is kept as {Path.Combine(folder, aside + DataFolder.FileName)}.",
            $"Yuntak goes on from {offer}.",
        ];
        if (File.Exists(fresh))
        {
            File.Move(fresh, database);
            if (readable.Count > 0 && Newest(readable, Pointer.AsBuilt) is null)
            {
                said.Add(
                    "What stands (as built) could not be read and is empty now: check it against your machines before you follow the runbook."
                );
            }
        }

        return said;
    }

    private static async Task FillAsync(string fresh, List<RevisionRow> readable)
    {
        Schema.Make(fresh);
        await using var db = new DatabaseFile(fresh, pooled: false).CreateDbContext();
        var lab = new LabRow { Id = readable[0].LabId };
        db.Labs.Add(lab);
        await db.SaveChangesAsync();
        db.Revisions.AddRange(readable);
        var draft = Newest(readable, Pointer.Draft)!;
        var built = Newest(readable, Pointer.AsBuilt);
        if (built is null)
        {
            var name = LabJson.Read(draft.Content, draft.SchemaVersion).Name;
            built = new RevisionRow
            {
                LabId = lab.Id,
                Pointer = Pointer.AsBuilt,
                Number = 1,
                At = draft.At,
                Sentence = "begun anew: what stood could not be read",
                SchemaVersion = LabJson.Version,
                Content = LabJson.Write(Core.Labs.Lab.Empty(name)),
            };
            db.Revisions.Add(built);
        }

        await db.SaveChangesAsync();
        (lab.DraftRevision, lab.AsBuiltRevision) = (draft.Id, built.Id);
        await db.SaveChangesAsync();
    }

    private static RevisionRow? Newest(IEnumerable<RevisionRow> rows, Pointer pointer) =>
        rows.Where(r => r.Pointer == pointer && r.Number > 0).MaxBy(r => r.Id);

    /// <summary>Every revision that can be read, one by one, so that a damaged page costs what lies on it and no more.</summary>
    private static List<RevisionRow> Readable(string database)
    {
        List<RevisionRow> rows = [];
        if (!File.Exists(database) || new FileInfo(database).Length == 0)
        {
            return rows;
        }

        try
        {
            using var raw = RawDatabase.Open(database);
            var last = raw.Value("SELECT max(Id) FROM revisions") as long? ?? 0;
            for (var id = 1L; id <= last; id++)
            {
                if (One(raw, id) is { } row && LabJson.TryRead(row.Content, row.SchemaVersion) is not null)
                {
                    rows.Add(row);
                }
            }
        }
        catch (SqliteException)
        {
            // What could not be reached is lost; what was read before it is not.
        }

        return rows;
    }

    private static RevisionRow? One(RawDatabase raw, long id)
    {
        try
        {
            return raw.Rows($"SELECT {Columns} FROM revisions WHERE Id = $id", Row, ("$id", id)).SingleOrDefault();
        }
        catch (Exception e) when (e is SqliteException or InvalidCastException or FormatException or InvalidOperationException)
        {
            return null;
        }
    }

    private static RevisionRow Row(SqliteDataReader r) =>
        new()
        {
            Id = r.GetInt64(0),
            LabId = r.GetInt32(1),
            Pointer = (Pointer)r.GetInt32(2),
            Number = r.GetInt32(3),
            Parent = r.IsDBNull(4) ? null : r.GetInt64(4),
            UndoTo = r.IsDBNull(5) ? null : r.GetInt64(5),
            RedoTo = r.IsDBNull(6) ? null : r.GetInt64(6),
            At = r.GetDateTime(7),
            Sentence = r.GetString(8),
            SchemaVersion = r.GetInt32(9),
            Content = r.GetFieldValue<byte[]>(10),
        };

    private static string Day(DateTime at) => at.ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture);
}
