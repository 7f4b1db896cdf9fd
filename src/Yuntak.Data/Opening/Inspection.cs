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

            RefuseNewer(raw, done);
            var begun = raw.HasTable("labs") && raw.Value("SELECT 1 FROM labs") is not null;
            if (begun)
            {
                ReadHeads(raw);
            }

            return new Found(begun, Known.Except(done, StringComparer.Ordinal).Any(), raw.HasTable("__EFMigrationsLock"), WrittenBy(raw));
        }
        catch (SqliteException e) when (e.SqliteErrorCode is 11 or 26)
        {
            throw new Damaged($"its database is damaged ({e.Message.TrimEnd('.')})", e);
        }
    }

    /// <summary>The version that wrote a database; empty when it does not say.</summary>
    private static string WrittenBy(RawDatabase raw) =>
        raw.HasTable("labs") && raw.HasColumn("labs", "WrittenBy") ? raw.Value("SELECT WrittenBy FROM labs") as string ?? "" : "";

    private static void RefuseNewer(RawDatabase raw, IReadOnlyList<string> done)
    {
        var form = raw.HasTable("revisions") ? raw.Value("SELECT max(SchemaVersion) FROM revisions") as long? ?? 0 : 0;
        if (form <= LabJson.Version && done.All(Known.Contains))
        {
            return;
        }

        var by = WrittenBy(raw) is { Length: > 0 } version ? $"Yuntak {version}" : "a newer Yuntak than this one";
        throw new Refused($"It was written by {by} (stored form {form}; this one reads up to {LabJson.Version}). Use that one.");
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
