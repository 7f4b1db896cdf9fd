using System.CommandLine;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Formats.Wires;

namespace Yuntak.Cli;

/// <summary>What <c>export</c> writes of networks: <c>--hosts</c>, <c>--ethers</c>, <c>--reservations</c>, <c>--zone NAME</c>, <c>--fstab GUEST</c>, <c>--units GUEST</c>, <c>--exports HOST</c>.</summary>
internal sealed class WiresExport
{
    private readonly Option<bool> hosts = new("--hosts") { Description = "Names as a hosts file." };
    private readonly Option<bool> ethers = new("--ethers") { Description = "Reservations as ethers lines." };
    private readonly Option<bool> reservations = new("--reservations") { Description = "Reservations as a table (CSV)." };
    private readonly Option<string?> zone = new("--zone") { Description = "Lines of this zone, forward or reverse." };
    private readonly Option<string?> fstab = new("--fstab") { Description = "Lines of fstab for the shares of this guest." };
    private readonly Option<string?> units = new("--units") { Description = "Mount units for the shares of this guest." };
    private readonly Option<string?> exports = new("--exports") { Description = "What this host, guest or box exports by address." };

    public void AddTo(Command command)
    {
        foreach (var option in new Option[] { hosts, ethers, reservations, zone, fstab, units, exports })
        {
            command.Add(option);
        }
    }

    public bool IsAsked(ParseResult parsed) =>
        parsed.GetValue(hosts)
        || parsed.GetValue(ethers)
        || parsed.GetValue(reservations)
        || new[] { zone, fstab, units, exports }.Any(o => parsed.GetValue(o) is not null);

    public int Run(ParseResult parsed, string path, bool json)
    {
        if (Shared.ReadLab(path, json) is not { } lab)
        {
            return Shared.CouldNotRead;
        }

        var wires = Sums.Of(lab).Wires;
        if (parsed.GetValue(zone) is { } asked)
        {
            try
            {
                Console.Write(ZoneFile.Of(wires, asked));
                return 0;
            }
            catch (Refused e)
            {
                Shared.Refuse([e.Message], json);
                return Shared.CouldNotRead;
            }
        }

        if ((parsed.GetValue(fstab) ?? parsed.GetValue(units)) is { } name)
        {
            if (lab.Guests.FirstOrDefault(g => g.Name == name) is not { } guest)
            {
                Shared.Refuse([$"{path} has no guest called «{Names.Short(name)}»."], json);
                return Shared.CouldNotRead;
            }

            Console.Write(
                parsed.GetValue(fstab) is not null
                    ? MountLines.Fstab(wires, guest)
                    : string.Concat(MountLines.Units(wires, guest).Select(u => $"# {u.Name}\n{u.Text}\n"))
            );
            return 0;
        }

        if (parsed.GetValue(exports) is { } exporter)
        {
            if (lab.Hosts.All(h => h.Name != exporter) && lab.Guests.All(g => g.Name != exporter) && lab.Boxes.All(b => b.Name != exporter))
            {
                Shared.Refuse([$"{path} has no host, guest or box called «{Names.Short(exporter)}»."], json);
                return Shared.CouldNotRead;
            }

            Console.Write(ExportsFile.Of(wires, exporter));
            return 0;
        }

        Console.Write(
            parsed.GetValue(hosts) ? HostsFile.Of(wires)
            : parsed.GetValue(ethers) ? ReservationFiles.Ethers(wires)
            : ReservationFiles.Csv(wires)
        );
        return 0;
    }
}
