using Yuntak.Core.Addresses;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Wires;

/// <summary>Where shares lie, who may, and who mounts them.</summary>
public static class ShareSums
{
    /// <summary>The host a share's data is on; null for a box.</summary>
    public static Host? HostOf(Lab lab, NetworkShare share) =>
        share.From.Host is { } host ? lab.Host(host)
        : share.From.Guest is { } id && lab.Guest(id) is { } guest ? lab.HostOf(guest)
        : null;

    /// <summary>What exports a share, in a word.</summary>
    public static string ExporterName(Lab lab, NetworkShare share) =>
        share.From.Box
        ?? (share.From.Host is { } host ? lab.Host(host)?.Name ?? host.Value : null)
        ?? (share.From.Guest is { } guest ? lab.Guest(guest)?.Name ?? guest.Value : "");

    /// <summary>Who exports a share; null when it is gone.</summary>
    public static Holder? Exporter(Lab lab, NetworkShare share) =>
        share.From.Box is { } box && lab.Boxes.FirstOrDefault(b => b.Name == box) is { } found ? Holder.Of(found)
        : share.From.Host is { } host && lab.Host(host) is { } there ? Holder.Of(there)
        : share.From.Guest is { } guest && lab.Guest(guest) is { } known ? Holder.Of(known)
        : null;

    /// <summary>The address or, while that is not known, the name a share is mounted from.</summary>
    public static string Source(HouseWires wires, NetworkShare share) =>
        wires.AddressOf(ExporterStack(wires.Lab, share))?.ToString() ?? Base.Names.Slug(ExporterName(wires.Lab, share));

    /// <summary>Who mounts: the guest itself, or the host or guest whose engine or hypervisor runs it.</summary>
    public static Holder? Mounter(Lab lab, Guest guest, ShareMount mount) =>
        mount.By == MountBy.Guest ? Holder.Of(guest)
        : lab.Outer(guest) is { } outer ? Holder.Of(outer)
        : lab.HostOf(guest) is { } host ? Holder.Of(host)
        : null;

    /// <summary>Whether a guest may mount network folders itself: a machine, and a container that is not kept from it.</summary>
    public static bool MayMount(Guest guest) =>
        guest.Kind == GuestKind.Machine || guest is { Kind: GuestKind.SystemContainer, Privileged: true };

    /// <summary>Whether somebody may use a share: by address when an entry is its address, a prefix around it or its name; by account everybody who has one.</summary>
    public static bool Allows(HouseWires wires, NetworkShare share, Holder who) =>
        share.Protocol == ShareProtocol.Accounts
        || share.Allow.Any(a =>
            string.Equals(a, who.Name, StringComparison.OrdinalIgnoreCase)
            || a == Base.Names.Slug(who.Name)
            || wires.Networks.SelectMany(n => n.Held).Any(h => h.Who == who && h.Address is { } ip && Matches(a, ip))
        );

    /// <summary>The entries of who may, with names as the addresses they stand for.</summary>
    public static IEnumerable<string> Clients(HouseWires wires, NetworkShare share) =>
        share.Allow.Select(a =>
            IpText.TryRead(a, out _) || Prefix.TryRead(a, out _) ? a
            : wires.Lab.Guests.FirstOrDefault(g => g.Name == a) is { } guest && wires.AddressOf(guest) is { } at ? at.ToString()
            : wires.Lab.Hosts.FirstOrDefault(h => h.Name == a) is { } host && wires.AddressOf(Holder.Of(host)) is { } there
                ? there.ToString()
            : a
        );

    /// <summary>The guests that mount a share, with how.</summary>
    public static IEnumerable<(Guest Guest, ShareMount Mount)> Users(Lab lab, NetworkShare share) =>
        lab.Guests.SelectMany(g => g.Mounts.Where(m => m.Share == share.Name).Select(m => (g, m)));

    private static bool Matches(string entry, System.Net.IPAddress address) =>
        (IpText.TryRead(entry, out var one) && one.Equals(address)) || (Prefix.TryRead(entry, out var prefix) && prefix.Contains(address));

    private static Holder? ExporterStack(Lab lab, NetworkShare share) =>
        share.From.Guest is { } id && lab.Guest(id) is { } guest ? PortsOf.StackOf(lab, guest) : Exporter(lab, share);
}
