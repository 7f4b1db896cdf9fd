using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A disk on USB is no part of a pool that lives from all its disks.</summary>
internal sealed class UsbInParity : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.usb-in-parity",
            Severity.Mind,
            Station.Disks,
            Says: "No disk attached over USB is in a pool with parity or mirrors.",
            Because: "A loose plug looks like a failed disk, and a hub takes several at once.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.Survives() > 0
        let usb = pool.Disks.Where(d => d.Kind == DiskKind.Usb).ToList()
        where usb.Count > 0
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} has {(usb.Count == 1 ? "a disk" : "disks")} on USB",
            $"{string.Join(", ", usb.Select(d => d.Name))}. USB disks are good for backups that are taken away, not for a pool."
        );
}
