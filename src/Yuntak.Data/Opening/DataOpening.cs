using Microsoft.EntityFrameworkCore;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Data.Opening;

/// <summary>
/// Opens a data folder that this process alone holds: makes it, brings an older one to today's shape with a copy kept before, or says in words why not. What cannot
/// be used is not changed.
/// </summary>
/// <param name="folder">The folder; it is there, and taken.</param>
/// <param name="clock">The time.</param>
/// <param name="version">The version of this Yuntak, remembered in the data.</param>
public sealed class DataOpening(string folder, TimeProvider clock, string version)
{
    private readonly string file = DataFolder.Database(folder);
    private readonly string signature = $"{version}, form {LabJson.Version}";

    /// <summary>Opens the folder.</summary>
    /// <param name="first">What a new lab begins with: its draft and what stands.</param>
    /// <returns>What a person should know, in sentences; usually nothing.</returns>
    /// <exception cref="Damaged">The data cannot be read.</exception>
    /// <exception cref="Refused">It is of a newer Yuntak, or its database is gone while copies of it are there.</exception>
    public async Task<IReadOnlyList<string>> OpenAsync(Func<(Lab Draft, Lab AsBuilt)> first)
    {
        List<string> said = [];
        if (!File.Exists(file))
        {
            if (Copies.Newest(folder) is { } copy)
            {
                throw new Refused(
                    $"Its database {DataFolder.FileName} is gone, but copies of it are there; the newest is {copy}. To go on from it:  ./yuntak restore {copy} --data {folder}"
                );
            }

            await CreateAsync(first);
        }
        else
        {
            await PrepareAsync(Inspection.Look(file), first, said);
        }

        said.AddRange(KeyFiles.Mend(Path.Combine(folder, "keys")));
        OwnAlone();
        return said;
    }

    /// <summary>Makes the database beside its place and moves it there when it is whole, so that a start that is cut off leaves nothing half made.</summary>
    private async Task CreateAsync(Func<(Lab Draft, Lab AsBuilt)> first)
    {
        var fresh = DataFolder.Fresh(folder);
        var made = new DatabaseFile(fresh, pooled: false);
        Schema.Make(fresh);
        await BeginAsync(made, first);
        await SignAsync(made);
        File.Move(fresh, file, overwrite: false);
    }

    private async Task PrepareAsync(Found found, Func<(Lab Draft, Lab AsBuilt)> first, List<string> said)
    {
        // This process holds the folder: whoever left a lock in the database is gone.
        if (found.HasMigrationLock)
        {
            using var raw = RawDatabase.Open(file, write: true);
            raw.Run("DELETE FROM __EFMigrationsLock");
        }

        if (found.Begun && (found.NeedsMigration || found.WrittenBy != signature))
        {
            var copy = Copies.Take(folder, clock.GetUtcNow(), "before-" + version);
            said.Add($"The data was last used by another version of Yuntak. A copy of it as it was is kept: {copy}");
        }

        var database = new DatabaseFile(file, pooled: false);
        if (found.NeedsMigration)
        {
            await MigrateAsync(database);
        }

        if (!found.Begun)
        {
            await BeginAsync(database, first);
        }

        if (!found.Begun || found.WrittenBy != signature)
        {
            await SignAsync(database);
        }
    }

    private static async Task MigrateAsync(DatabaseFile database)
    {
        await using var db = database.CreateDbContext();
        await db.Database.MigrateAsync();
        await db.Database.ExecuteSqlRawAsync("PRAGMA journal_mode = WAL;");
    }

    private Task<bool> BeginAsync(DatabaseFile database, Func<(Lab Draft, Lab AsBuilt)> first)
    {
        var (draft, asBuilt) = first();
        return new LabStore(database, clock).CreateAsync(draft, asBuilt);
    }

    private async Task SignAsync(DatabaseFile database)
    {
        await using var db = database.CreateDbContext();
        await db.Labs.ExecuteUpdateAsync(l => l.SetProperty(r => r.WrittenBy, signature));
    }

    /// <summary>The database is the person's own, also in a folder that others may enter.</summary>
    private void OwnAlone()
    {
        foreach (var own in Directory.EnumerateFiles(folder, DataFolder.FileName + "*"))
        {
            File.SetUnixFileMode(own, DataFolder.OwnFile);
        }
    }
}
