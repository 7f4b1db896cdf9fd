using Microsoft.Data.Sqlite;
using Yuntak.Core.Base;

namespace Yuntak.Data.Opening;

/// <summary>Takes all data away as one file, and brings it back.</summary>
public static class Backup
{
    /// <summary>Copies the data into one file, also while Yuntak runs on it. The file is whole or not there.</summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="file">A file that is not there yet.</param>
    /// <exception cref="Refused">There is no data, or the file is there already.</exception>
    /// <exception cref="IOException">The file cannot be written.</exception>
    /// <exception cref="SqliteException">The data cannot be read, or the disk is full.</exception>
    public static void Take(string folder, string file)
    {
        var database = DataFolder.Database(folder);
        if (!File.Exists(database))
        {
            throw new Refused($"There is no data in {folder}.");
        }

        if (Path.Exists(file))
        {
            throw new Refused($"{file} is there already, and nothing is written over. Name another file.");
        }

        using var raw = RawDatabase.Open(database);
        raw.CopyTo(file);
    }

    /// <summary>Brings a backup back into a folder that has no data yet. An older one is brought to today's shape when Yuntak starts on it.</summary>
    /// <param name="file">The backup; it is only read.</param>
    /// <param name="folder">The data folder; it is there.</param>
    /// <exception cref="Refused">The folder has data, or the file is no backup, is damaged, or is of a newer Yuntak.</exception>
    public static void Restore(string file, string folder)
    {
        var database = DataFolder.Database(folder);
        if (Directory.EnumerateFiles(folder, DataFolder.FileName + "*").Any())
        {
            throw new Refused($"{folder} has data already, and nothing is written over. Name an empty folder with --data.");
        }

        if (!File.Exists(file))
        {
            throw new Refused($"{file} is not there.");
        }

        // A database that was copied as it ran is read with a log beside it, which the reader makes where there is none.
        string[] made = [.. new[] { file + "-wal", file + "-shm" }.Where(f => !File.Exists(f))];
        try
        {
            if (!Inspection.Look(file).Begun)
            {
                throw new Refused("There is no lab in it.");
            }

            using var raw = RawDatabase.Open(file);
            TryAsync(raw, Path.Combine(folder, TryName)).GetAwaiter().GetResult();
            raw.CopyTo(database);
        }
        catch (Exception e) when (IsOfTheFile(e))
        {
            throw new Refused($"{file} cannot be brought back: {e.Message.TrimEnd('.')}. Nothing was changed.", e);
        }
        finally
        {
            if (Directory.Exists(Path.Combine(folder, TryName)))
            {
                Directory.Delete(Path.Combine(folder, TryName), recursive: true);
            }

            foreach (var log in made)
            {
                File.Delete(log);
            }
        }
    }

    private const string TryName = "restore-tried";

    /// <summary>
    /// Starts on a copy of the backup as Yuntak will: brought to today's shape, both heads read and worked out, the history and the photos listed. What breaks there
    /// would break every page.
    /// </summary>
    private static async Task TryAsync(RawDatabase raw, string folder)
    {
        if (Directory.Exists(folder))
        {
            Directory.Delete(folder, recursive: true);
        }

        Directory.CreateDirectory(folder, DataFolder.OwnFolder);
        var database = DataFolder.Database(folder);
        raw.CopyTo(database);
        await new DataOpening(folder, TimeProvider.System, "restore").OpenAsync(() => throw new Refused("There is no lab in it."));
        var file = new DatabaseFile(database, pooled: false);
        var store = new LabStore(file, TimeProvider.System);
        foreach (var pointer in Enum.GetValues<Pointer>())
        {
            var head = await store.HeadAsync(pointer);
            _ = Core.Stations.Assessment.Of(head.Lab).Findings.Count;
            _ = await store.HistoryAsync(pointer, int.MaxValue);
        }

        _ = await new PhotoStore(file, TimeProvider.System).AllAsync();
        _ = await new ReadingStore(file, TimeProvider.System).FindAsync(0);
    }

    /// <summary>Whether it is the file that is wrong, and not this program or the disk it runs on.</summary>
    private static bool IsOfTheFile(Exception e) =>
        e is Refused or Damaged or InvalidCastException or FormatException or OverflowException or InvalidOperationException
        || (e is SqliteException sqlite && sqlite.SqliteErrorCode is 1 or 11 or 26)
        || (e is Microsoft.EntityFrameworkCore.DbUpdateException);
}
