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
            raw.CopyTo(database);
        }
        catch (Exception e) when (e is Refused or Damaged)
        {
            throw new Refused($"{file} cannot be brought back: {e.Message.TrimEnd('.')}. Nothing was changed.", e);
        }
        finally
        {
            foreach (var log in made)
            {
                File.Delete(log);
            }
        }
    }
}
