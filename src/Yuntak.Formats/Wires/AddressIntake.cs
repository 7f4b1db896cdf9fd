using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Wires;

/// <summary>Reads who has which address: a hosts file, ethers lines, or a table of reservations with a header. Told apart line by line.</summary>
public static class AddressIntake
{
    private const int MostLines = 20_000;

    /// <summary>Reads a text. What is not understood is said line by line, and all else is kept.</summary>
    public static AddressReading Read(string text)
    {
        var lines = text.Split('\n').Take(MostLines).ToList();
        List<string> problems = [];
        if (text.Count(c => c == '\n') >= MostLines)
        {
            problems.Add($"More than {MostLines:#,##0} lines; the rest was not read.");
        }

        var first = lines.Find(l => l.Trim().Length > 0 && l.TrimStart()[0] != '#') ?? "";
        var found = IsTable(first) ? Table(string.Join('\n', lines), problems) : Plain(lines, problems);
        return new([.. found], [.. problems]);
    }

    private static bool IsTable(string line) =>
        line.IndexOfAny([',', ';', '\t']) >= 0 && line.Contains("address", StringComparison.OrdinalIgnoreCase);

    private static List<FoundAddress> Plain(List<string> lines, List<string> problems)
    {
        List<FoundAddress> found = [];
        for (var n = 0; n < lines.Count; n++)
        {
            var words = lines[n].Split('#')[0].Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);
            if (words.Length == 0)
            {
                continue;
            }

            if (words.Length >= 2 && MacText.TryRead(words[0], out var mac))
            {
                if (IpText.TryRead(words[1], out var at))
                {
                    found.Add(new(null, mac, at.ToString()));
                }
                else
                {
                    found.Add(new(words[1], mac, null));
                }
            }
            else if (words.Length >= 2 && IpText.TryRead(words[0].Split('%')[0], out var ip))
            {
                if (!System.Net.IPAddress.IsLoopback(ip) && !ip.IsIPv6Multicast && !ip.IsIPv6LinkLocal)
                {
                    // The shortest name is what people call it.
                    found.Add(new(words.Skip(1).Select(w => w.Split('.')[0]).MinBy(w => w.Length), null, ip.ToString()));
                }
            }
            else
            {
                problems.Add(
                    $"Line {n + 1}: neither an address with a name nor a hardware address with one: «{Names.Short(Names.Clean(lines[n]))}»."
                );
            }
        }

        return found;
    }

    private static List<FoundAddress> Table(string text, List<string> problems)
    {
        List<FoundAddress> found = [];
        var config = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            DetectDelimiter = true,
            DetectDelimiterValues = [",", ";", "\t"],
            BadDataFound = null,
            MissingFieldFound = null,
            PrepareHeaderForMatch = h => h.Header.Trim().ToLowerInvariant(),
        };
        using var csv = new CsvReader(new StringReader(text), config);
        if (!csv.Read() || !csv.ReadHeader())
        {
            return found;
        }

        while (csv.Read())
        {
            var name = Field(csv, "name", "host", "hostname", "host name");
            var macText = Field(csv, "mac", "hardware address", "mac address", "hwaddr");
            var addressText = Field(csv, "address", "ip", "ip address");
            var hasMac = MacText.TryRead(macText, out var mac);
            if (!IpText.TryRead(addressText, out var address) || (macText is { Length: > 0 } && !hasMac))
            {
                problems.Add(
                    $"Line {csv.Parser.Row}: no address, or no hardware address, in «{Names.Short(Names.Clean(csv.Parser.RawRecord))}»."
                );
                continue;
            }

            found.Add(new(string.IsNullOrWhiteSpace(name) ? null : Names.Clean(name), hasMac ? mac : null, address.ToString()));
        }

        return found;
    }

    private static string? Field(CsvReader csv, params IEnumerable<string> names) =>
        names.Select(n => csv.TryGetField<string>(n, out var value) ? value : null).FirstOrDefault(v => v is not null);
}
