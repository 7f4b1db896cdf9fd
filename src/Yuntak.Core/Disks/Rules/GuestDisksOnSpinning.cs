using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>Guest disks lie on flash.</summary>
internal sealed class GuestDisksOnSpinning : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.guest-disks-on-spinning",
            Severity.Mind,
            Station.Disks,
            Says: "System disks of machines do not lie on spinning disks alone.",
            Because: "A machine reads and writes small blocks all the time, and the heads spend theirs moving.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Disks.Count > 0 && pool.Disks.All(d => d.Kind == DiskKind.Spinning)
        let machines = host.Guests.Where(g => g.Guest.Kind == GuestKind.Machine && g.Guest.Placement?.SystemPool == pool.Pool.Name).ToList()
        where machines.Count > 0
        let flash = host.Pools.FirstOrDefault(p => p.IsFlash && !p.OnBootDisk)
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"Guest disks lie on spinning disks in {pool.Pool.Name} on {host.Host.Name}",
            $"{string.Join(", ", machines.Select(m => m.Guest.Name))}; {(flash is null ? $"{host.Host.Name} has no pool of flash for them, and everything they do waits for the heads. A pair of small flash disks changes that most" : $"{flash.Pool.Name} on the same host is flash")}.",
            () =>
                (flash is null ? [] : machines)
                    .Where(m =>
                        machines.Aggregate(ByteSize.Zero, (sum, other) => sum + other.SystemDisk + other.Scratch.Value) <= flash!.Spare
                    )
                    .Take(1)
                    .Select(_ => new Fix(
                        $"Move their disks to {flash!.Pool.Name}",
                        l => new Changed(
                            machines.Aggregate(
                                l,
                                (now, m) => GuestEdits.UsePools(m.Guest.Id, flash.Pool.Name, m.Guest.Placement!.BulkPool)(now).Lab
                            ),
                            $"{string.Join(", ", machines.Select(m => m.Guest.Name))}: system disks moved to {flash.Pool.Name}"
                        )
                    ))
        );
}
