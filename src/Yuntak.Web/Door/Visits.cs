using System.Globalization;
using Yuntak.Data;

namespace Yuntak.Web.Door;

/// <summary>
/// Visits that were ended by signing out, remembered in the data folder until the last cookie of them has run out: a copied cookie is worth nothing afterwards.
/// </summary>
/// <param name="folder">The data folder.</param>
/// <param name="clock">The time.</param>
public sealed class Visits(string folder, TimeProvider clock)
{
    /// <summary>How long a browser stays signed in after its last visit.</summary>
    public static readonly TimeSpan Longest = TimeSpan.FromDays(30);

    private const int Most = 10_000;
    private readonly string file = Path.Combine(folder, "signed-out");
    private readonly Lock gate = new();
    private Dictionary<string, DateTimeOffset>? over;

    /// <summary>Whether a visit was ended.</summary>
    public bool IsOver(string visit)
    {
        lock (gate)
        {
            return Known.ContainsKey(visit);
        }
    }

    /// <summary>Ends a visit.</summary>
    public void End(string visit)
    {
        lock (gate)
        {
            var now = clock.GetUtcNow();
            Known[visit] = now + Longest;
            over = Known.Where(v => v.Value > now).OrderByDescending(v => v.Value).Take(Most).ToDictionary(StringComparer.Ordinal);
            var fresh = file + ".new";
            File.Delete(fresh);
            using (var written = new StreamWriter(DataFolder.NewOwnFile(fresh)))
            {
                foreach (var (id, until) in over)
                {
                    written.WriteLine($"{id} {until.ToUnixTimeSeconds().ToString(CultureInfo.InvariantCulture)}");
                }
            }

            File.Move(fresh, file, overwrite: true);
        }
    }

    private Dictionary<string, DateTimeOffset> Known => over ??= Read();

    /// <summary>What is remembered; a line that cannot be read is passed over, and its visit ends when the cookie does.</summary>
    private Dictionary<string, DateTimeOffset> Read()
    {
        Dictionary<string, DateTimeOffset> read = new(StringComparer.Ordinal);
        foreach (var line in File.Exists(file) ? File.ReadLines(file).Take(Most) : [])
        {
            if (line.Split(' ') is [var id, var until] && long.TryParse(until, NumberStyles.None, CultureInfo.InvariantCulture, out var at))
            {
                read[id] = DateTimeOffset.FromUnixTimeSeconds(Math.Min(at, DateTimeOffset.MaxValue.ToUnixTimeSeconds()));
            }
        }

        return read;
    }
}
