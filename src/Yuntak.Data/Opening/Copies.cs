using System.Globalization;

namespace Yuntak.Data.Opening;

/// <summary>The copies Yuntak keeps by itself of a database it is about to change the form of.</summary>
internal static class Copies
{
    /// <summary>How many are kept; the oldest go first.</summary>
    private const int Most = 5;

    /// <summary>The copies of a folder, the oldest first.</summary>
    public static IReadOnlyList<string> Of(string folder)
    {
        var copies = Path.Combine(folder, DataFolder.CopiesName);
        return Directory.Exists(copies) ? [.. Directory.GetFiles(copies, "*.db").Order(StringComparer.Ordinal)] : [];
    }

    /// <summary>The newest copy; null when there is none.</summary>
    public static string? Newest(string folder) => Of(folder) is [.., var newest] ? newest : null;

    /// <summary>Takes a copy, and lets the oldest go.</summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="now">When.</param>
    /// <param name="why">What it is taken for, as part of its name.</param>
    /// <returns>Where it is.</returns>
    public static string Take(string folder, DateTimeOffset now, string why)
    {
        var copies = Path.Combine(folder, DataFolder.CopiesName);
        Directory.CreateDirectory(copies, DataFolder.OwnFolder);
        var file = Path.Combine(copies, string.Create(CultureInfo.InvariantCulture, $"{now.UtcDateTime:yyyyMMdd'T'HHmmssfff}-{why}.db"));
        using (var raw = RawDatabase.Open(DataFolder.Database(folder)))
        {
            raw.CopyTo(file);
        }

        foreach (var old in Of(folder).SkipLast(Most))
        {
            File.Delete(old);
        }

        return file;
    }
}
