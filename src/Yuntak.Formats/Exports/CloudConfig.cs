using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Wires;

namespace Yuntak.Formats.Exports;

/// <summary>
/// What a new guest sets up by itself at its first start, as a cloud-config document: name, everyday user, remote log-in by key only, updates, addresses that are set
/// inside, shares it mounts itself. Two things in it only the person knows and are marked: the user's name and the key.
/// </summary>
public static class CloudConfig
{
    /// <summary>The name that stands where the person's own goes.</summary>
    public const string User = "your-name";

    private static readonly JsonSerializerOptions Plain = new() { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    /// <summary>The document.</summary>
    /// <param name="sums">The lab.</param>
    /// <param name="guest">A machine or system container of it.</param>
    /// <exception cref="Refused">It is an app stack, which has no system of its own.</exception>
    public static string Of(Sums sums, Guest guest)
    {
        if (guest.Kind == GuestKind.AppStack)
        {
            throw new Refused($"{guest.Name} is an app stack: it has no system of its own to set up. Its file is the Compose file.");
        }

        var yaml = new StringBuilder();
        void Line(string line) => yaml.Append(line).Append('\n');
        Line("#cloud-config");
        Line("# The first start of a guest. Put your own name and your own public key where they are marked; the rest is as planned.");
        Line($"hostname: {Quoted(Names.Slug(guest.Name))}");
        Line($"fqdn: {Quoted($"{Names.Slug(guest.Name)}.{sums.Lab.Settings.Zone}")}");
        Line("manage_etc_hosts: true");
        Line("users:");
        Line($"  - name: {User}  # the everyday user: a name of your own");
        Line("    groups: [sudo]");
        Line("    shell: /bin/bash");
        Line("    lock_passwd: true");
        Line("    sudo: \"ALL=(ALL) NOPASSWD:ALL\"");
        Line("    ssh_authorized_keys:");
        Line("      - ssh-ed25519 REPLACE-WITH-YOUR-PUBLIC-KEY");
        Line("disable_root: true");
        Line("ssh_pwauth: false");
        Line("package_update: true");
        Line("package_upgrade: true");
        Line("package_reboot_if_required: true");
        Mounts(sums, guest, Line);
        Networks(sums, guest, Line);
        return yaml.ToString();
    }

    private static void Mounts(Sums sums, Guest guest, Action<string> line)
    {
        var mounts = guest.Mounts.Where(m => m.By == MountBy.Guest && sums.Lab.Shares.Any(s => s.Name == m.Share)).ToList();
        if (mounts.Count == 0)
        {
            return;
        }

        var shares = mounts.ConvertAll(m => MountLine.Of(sums.Wires, sums.Lab.Shares.First(s => s.Name == m.Share)));
        line("packages:  # what mounts them");
        foreach (var package in shares.Select(s => s.Sort == "cifs" ? "cifs-utils" : "nfs-common").Distinct())
        {
            line($"  - {package}");
        }

        line("mounts:");
        foreach (var mount in mounts)
        {
            var how = MountLine.Of(sums.Wires, sums.Lab.Shares.First(s => s.Name == mount.Share));
            line($"  - [{Quoted(how.What)}, {Quoted(mount.At)}, {how.Sort}, {Quoted(how.Options)}, \"0\", \"0\"]");
        }
    }

    /// <summary>Addresses that are set inside, each by its hardware address (systemd.network(5)); what is reserved is handed out and needs nothing here.</summary>
    private static void Networks(Sums sums, Guest guest, Action<string> line)
    {
        var own = guest
            .Interfaces.Select(l => (Leg: l, Network: sums.Lab.Network(l.Network)))
            .Where(l =>
                l.Leg.Address is not null && l.Network is { Addresses: AddressSchool.Fixed } && Prefix.Read(l.Network.Prefix) is not null
            )
            .ToList();
        if (own.Count == 0)
        {
            return;
        }

        line("write_files:");
        foreach (var (leg, network) in own)
        {
            line($"  - path: /etc/systemd/network/10-{Names.Slug(leg.Network)}.network");
            line("    permissions: \"0644\"");
            line("    content: |");
            line("      [Match]");
            line($"      MACAddress={Macs.Of(guest, leg)}");
            line("      [Network]");
            line($"      Address={leg.Address}/{Prefix.Read(network!.Prefix)!.Length}");
            if (network.Gateway is { } gateway && gateway != leg.Address)
            {
                line($"      Gateway={gateway}");
            }

            foreach (var server in NameServers(sums, guest, network))
            {
                line($"      DNS={server}");
            }
        }

        line("runcmd:");
        line("  - [systemctl, enable, --now, systemd-networkd]");
    }

    /// <summary>Who names are asked of: the lab's name servers that are reached from there, else the gateway, which passes questions on in most homes.</summary>
    private static IEnumerable<string> NameServers(Sums sums, Guest guest, Network network)
    {
        var prefix = Prefix.Read(network.Prefix)!;
        var servers = sums
            .Lab.Guests.Where(g => g.Id != guest.Id && sums.Guest(g.Id).Follows("name-server"))
            .SelectMany(g => sums.Wires.Networks.SelectMany(n => n.Held.Where(h => h.Who == Holder.Of(g) && h.Address is not null)))
            .Select(h => h.Address!)
            .Distinct()
            // One on the same network is reached without the router.
            .OrderByDescending(a => prefix.Contains(a))
            .Select(a => a.ToString())
            .ToList();
        return servers.Count > 0 ? servers.Take(2)
            : network.Gateway is { } gateway ? [gateway]
            : [];
    }

    /// <summary>A text in double quotes: what JSON writes is read the same by YAML.</summary>
    private static string Quoted(string text) => JsonSerializer.Serialize(text, Plain);
}
