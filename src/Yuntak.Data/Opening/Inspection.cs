using System.Globalization;
using System.Reflection;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore.Migrations;
using Yuntak.Core.Base;

namespace Yuntak.Data.Opening;

/// <summary>Looks at a database before anything touches it: whether it is whole, whether this Yuntak knows its form, and what it needs. Changes nothing.</summary>
internal static class Inspection
{
    /// <summary>The names of the migrations this build has, the oldest first.</summary>
    public static readonly IReadOnlyList<string> Known =
    [
        .. typeof(Inspection)
            .Assembly.GetTypes()
            .Select(t => t.GetCustomAttribute<MigrationAttribute>()?.Id)
            .OfType<string>()
            .Order(StringComparer.Ordinal),
    ];

    /// <summary>Looks at a database.</summary>
    /// <param name="file">A file that is there.</param>
    /// <returns>What it is like.</returns>
    /// <exception cref="Damaged">It cannot be read, or the lab in it cannot.</exception>
    /// <exception cref="Refused">It was written by a newer Yuntak, or is not Yuntak's.</exception>
    public static Found Look(string file)
    {
        if (new FileInfo(file).Length == 0)
        {
            throw new Damaged("its database has 0 bytes, so nothing can be read from it");
        }

        try
        {
            using var raw = RawDatabase.Open(file);
            if (raw.Damage() is { } damage)
            {
                throw new Damaged($"its database is damaged ({damage})");
            }

            var done = raw.HasTable("__EFMigrationsHistory")
                ? raw.Rows("SELECT MigrationId FROM __EFMigrationsHistory", r => r.GetString(0))
                : [];
            if (
                !raw.HasTable("labs")
                && !raw.HasTable("__EFMigrationsHistory")
                && !raw.HasTable("__EFMigrationsLock")
                && raw.HasTable(null)
            )
            {
                throw new Refused("Its database is not one that Yuntak made.");
            }

            var begun = raw.HasTable("labs") && raw.Value("SELECT 1 FROM labs") is not null;
            RefuseNewer(raw, done, begun);
            if (begun)
            {
                FindStrangeRows(raw);
                ReadHeads(raw);
            }

            return new Found(begun, Known.Except(done, StringComparer.Ordinal).Any(), raw.HasTable("__EFMigrationsLock"), WrittenBy(raw));
        }
        catch (Exception e) when (e is InvalidCastException or OverflowException or FormatException)
        {
            throw new Damaged($"its database holds values that are none of Yuntak's ({e.Message.TrimEnd('.')})", e);
        }
        catch (SqliteException e) when (e.SqliteErrorCode is 1 or 11 or 26)
        {
            throw new Damaged($"its database is damaged ({e.Message.TrimEnd('.')})", e);
        }
    }

    /// <summary>The version that wrote a database; empty when it does not say.</summary>
    private static string WrittenBy(RawDatabase raw) =>
        raw.HasTable("labs") && raw.HasColumn("labs", "WrittenBy") ? raw.Value("SELECT WrittenBy FROM labs") as string ?? "" : "";

    /// <summary>
    /// A migration that is not known here, or a head in a form that is not, is of a newer Yuntak; unless the data says that this one or an older wrote it last: then
    /// the head is damaged, and so is any other row with such a form.
    /// </summary>
    private static void RefuseNewer(RawDatabase raw, IReadOnlyList<string> done, bool begun)
    {
        var form = begun && raw.HasTable("revisions") ? raw.Value(HeadForms) as long? ?? 0 : 0;
        var by = WrittenBy(raw);
        if (done.All(Known.Contains) && (form <= LabJson.Version || FormOf(by) <= LabJson.Version))
        {
            return;
        }

        throw new Refused(
            $"It was written by {(by.Length > 0 ? $"Yuntak {by}" : "a newer Yuntak than this one")} (stored form {form}; this one reads up to {LabJson.Version}). Use that one."
        );
    }

    private const string HeadForms =
        "SELECT max(r.SchemaVersion) FROM labs l JOIN revisions r ON r.Id IN (l.DraftRevision, l.AsBuiltRevision)";

    /// <summary>The form in a signature such as «1.4.0, form 9»; more than any where it does not say.</summary>
    private static int FormOf(string signature) =>
        int.TryParse(signature.Split("form ")[^1], NumberStyles.None, CultureInfo.InvariantCulture, out var form) ? form : int.MaxValue;

    /// <summary>Rows whose values no Yuntak ever wrote stop whoever reads them later; they are found before anything is.</summary>
    private static void FindStrangeRows(RawDatabase raw)
    {
        var strange = raw.Rows(
            "SELECT Id FROM revisions WHERE typeof(Pointer) <> 'integer' OR Pointer NOT IN (0, 1) OR typeof(Number) <> 'integer' "
                + "OR Number NOT BETWEEN 0 AND 2147483647 OR typeof(SchemaVersion) <> 'integer' OR SchemaVersion NOT BETWEEN 0 AND 2147483647 "
                + "OR julianday(At) IS NULL OR typeof(Sentence) <> 'text' OR typeof(Content) <> 'blob' OR LabId NOT IN (SELECT Id FROM labs) LIMIT 5",
            r => r.GetInt64(0)
        );
        if (strange.Count > 0)
        {
            throw new Damaged(
                $"{(strange.Count == 1 ? "a change holds" : "some changes hold")} values that cannot be read (rows {string.Join(", ", strange)})"
            );
        }
    }

    private static void ReadHeads(RawDatabase raw)
    {
        foreach (var (column, what) in new[] { ("DraftRevision", "draft"), ("AsBuiltRevision", "as built") })
        {
            var head = raw.Rows(
                $"SELECT r.Content, r.SchemaVersion, r.Number, r.Sentence FROM labs l LEFT JOIN revisions r ON r.Id = l.{column}",
                r => r.IsDBNull(0) ? null : new Head(r.GetFieldValue<byte[]>(0), r.GetInt32(1), r.GetInt32(2), r.GetString(3))
            )[0];
            if (head is null)
            {
                throw new Damaged($"the newest change of {what} is missing");
            }

            if (LabJson.TryRead(head.Content, head.Form) is null)
            {
                throw new Damaged($"the newest change of {what}, number {head.Number} («{head.Sentence}»), cannot be read");
            }
        }
    }

    private sealed record Head(byte[] Content, int Form, int Number, string Sentence);
}
