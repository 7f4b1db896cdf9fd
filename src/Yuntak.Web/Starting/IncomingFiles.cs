using System.Globalization;
using Yuntak.Data;

namespace Yuntak.Web.Starting;

/// <summary>
/// Where what browsers send lies while it is read: a folder of this process alone. What a process that was killed left there goes at the next start of any Yuntak of
/// the same person.
/// </summary>
public static class IncomingFiles
{
    private const string Name = "yuntak-incoming-";

    /// <summary>Clears what is left of processes that are gone, and gives this one its folder.</summary>
    public static void Prepare()
    {
        var temporary = Path.GetTempPath();
        foreach (var folder in Directory.EnumerateDirectories(temporary, Name + "*"))
        {
            if (
                int.TryParse(Path.GetFileName(folder)[Name.Length..], NumberStyles.None, CultureInfo.InvariantCulture, out var process)
                && process != Environment.ProcessId
                && !Directory.Exists($"/proc/{process}")
            )
            {
                Remove(folder);
            }
        }

        var own = Path.Combine(temporary, Name + Environment.ProcessId.ToString(CultureInfo.InvariantCulture));
        try
        {
            Directory.CreateDirectory(own, DataFolder.OwnFolder);
            // The framework asks this variable where the parts of a form go that are too large to be held.
            Environment.SetEnvironmentVariable("ASPNETCORE_TEMP", own);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            // They lie in the temporary folder itself then.
        }
    }

    private static void Remove(string folder)
    {
        try
        {
            Directory.Delete(folder, recursive: true);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            // Somebody else's.
        }
    }
}
