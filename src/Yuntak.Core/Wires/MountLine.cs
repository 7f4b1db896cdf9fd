using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>How a share is mounted (fstab(5)): what, which sort, with which options.</summary>
/// <param name="What">The source.</param>
/// <param name="Sort">The file system.</param>
/// <param name="Options">The options.</param>
public sealed record MountLine(string What, string Sort, string Options)
{
    /// <summary>Mounted at the first use, once the network is there; the machine starts all the same (systemd.mount(5)).</summary>
    public const string Waits = "_netdev,nofail,noauto,x-systemd.automount";

    /// <summary>How a share is mounted, by the school it is exported in.</summary>
    public static MountLine Of(HouseWires wires, NetworkShare share)
    {
        var source = ShareSums.Source(wires, share);
        var bracketed = source.Contains(':', StringComparison.Ordinal) ? $"[{source}]" : source;
        var may = share.ReadOnly ? "ro" : "rw";
        return share.Protocol == ShareProtocol.Addresses
            ? new($"{bracketed}:{share.From.Path}", "nfs", $"{may},nfsvers=4.2,{Waits}")
            : new($"//{source}/{share.Name}", "cifs", $"{may},credentials=/etc/shares/{Names.Slug(share.Name)},uid=1000,gid=1000,{Waits}");
    }

    /// <summary>Where a share is mounted: as the guest sees it when it mounts it itself, else below /mnt on the host.</summary>
    public static string PlaceOf(ShareMount mount) => mount.By == MountBy.Guest ? mount.At : Wants.GuestVolumes.HostPlace(mount);

    /// <summary>The line for a place: every blank and mark in it as a code, so that each part stays one word.</summary>
    public string At(string place) => $"{ExportsLine.Octal(What)} {ExportsLine.Octal(place)} {Sort} {Options} 0 0";
}
