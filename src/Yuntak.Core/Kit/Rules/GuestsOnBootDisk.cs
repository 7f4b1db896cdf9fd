using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>The boot disk belongs to the host alone.</summary>
internal sealed class GuestsOnBootDisk : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.guests-on-boot-disk",
            Severity.Mind,
            Station.Kit,
            Says: "No guest keeps its volumes on a disk the host starts from; where that is the only disk, it is good to know.",
            Because: "Installing the host anew wipes its boot disk, and the guests with it; until then both fight for the same disk.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.OnBootDisk
        let guests = host.Guests.Where(g => Uses(g.Guest, pool.Pool.Name)).Select(g => g.Guest).ToList()
        where guests.Count > 0
        let other = host.Pools.FirstOrDefault(p => !p.OnBootDisk && p.Spare >= pool.Claimed.Value - pool.Pool.AlreadyUsed)
        // With one disk there is no other way, and on a good disk with copies elsewhere it is a fine one.
        let severity = host.Host.HasOtherDisks ? Severity.Mind : Severity.Note
        select (Info with { Severity = severity }).On(
            Subject.Of(host.Host, pool.Pool),
            $"Guests share {host.Host.Name}'s boot disk",
            $"{pool.Pool.Name} is on the disk {host.Host.Name} starts from, and holds {string.Join(", ", guests.Select(g => g.Name))}. "
                + "Installing the host anew would take them along"
                + (severity == Severity.Note ? ": with one disk there is no other way, so keep copies elsewhere." : "."),
            () => other is null ? [] : guests.Select(g => Move(g, pool.Pool.Name, other.Pool.Name)),
            pool.Claimed
        );

    private static bool Uses(Guest guest, string pool) => guest.Placement?.SystemPool == pool || guest.Placement?.BulkPool == pool;

    private static Fix Move(Guest guest, string from, string to) =>
        new(
            $"Move {guest.Name}'s disks to {to}",
            GuestEdits.UsePools(
                guest.Id,
                guest.Placement!.SystemPool == from ? to : guest.Placement.SystemPool,
                guest.Placement.BulkPool == from ? to : guest.Placement.BulkPool
            )
        );
}
