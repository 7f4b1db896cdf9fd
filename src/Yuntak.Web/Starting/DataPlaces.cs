namespace Yuntak.Web.Starting;

/// <summary>Where data lives.</summary>
internal static class DataPlaces
{
    /// <summary>Marks a folder as holding demo data, which may be thrown away.</summary>
    private const string DemoMark = "this-is-demo-data";

    /// <summary>The usual folder: the person's own, or one beside it for the demo.</summary>
    public static string Usual(bool demo)
    {
        var home = Environment.GetEnvironmentVariable("XDG_DATA_HOME") is { Length: > 0 } set
            ? set
            : Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.UserProfile), ".local", "share");
        return Path.Combine(home, demo ? "yuntak-demo" : "yuntak");
    }

    /// <summary>Clears a folder for fresh demo data. Refuses one that holds anything the demo did not make, and says why.</summary>
    public static string? ClearDemo(string folder)
    {
        var mark = Path.Combine(folder, DemoMark);
        if (Directory.EnumerateFileSystemEntries(folder).Any(e => Path.GetFileName(e) != FolderLock.FileName) && !File.Exists(mark))
        {
            return $"{folder} holds something that is not demo data, and the demo starts fresh each time. Nothing was changed. Name another folder with --data.";
        }

        // The mark stays until everything else is gone: a demo that is cut off here can be started again.
        foreach (
            var entry in new DirectoryInfo(folder).EnumerateFileSystemInfos().Where(e => e.Name is not (FolderLock.FileName or DemoMark))
        )
        {
            if (entry is DirectoryInfo inner)
            {
                inner.Delete(recursive: true);
            }
            else
            {
                entry.Delete();
            }
        }

        File.WriteAllText(mark, "Thrown away and made anew at every start of the demo.\n");
        return null;
    }

    /// <summary>Makes a folder the person's own: what began as a demo and is carried on by <c>start</c> is never thrown away again.</summary>
    public static void Keep(string folder) => File.Delete(Path.Combine(folder, DemoMark));
}
