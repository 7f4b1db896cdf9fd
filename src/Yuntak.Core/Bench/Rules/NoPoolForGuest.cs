using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Bench.Rules;

/// <summary>A placed guest has somewhere to keep its disks.</summary>
internal sealed class NoPoolForGuest : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.no-pool-for-guest",
            Severity.Stop,
            Station.Bench,
            Says: "Every guest on a host has a pool for its disks.",
            Because: "Without one there is nowhere to install it.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from guest in host.Guests
        let placement = guest.Guest.Placement
        let homeless = host.Pool(placement.SystemPool) is null
        let bulkless = guest.Bulk.Bytes > 0
            && !lab.Lab.AllFolders.Any(f => f.HoldsBulkOf(guest.Guest.Id))
            && host.Pool(placement.BulkPool) is null
            && !HasDisksOfItsOwn(host.Host, guest.Guest)
        where homeless || bulkless
        // An amount that is only advised is asked after; one that was said has to lie somewhere.
        let severity = homeless || guest.Guest.Overrides.Bulk is not null ? Severity.Stop : Severity.Mind
        select (Info with { Severity = severity }).On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} has nowhere to keep its {(homeless ? "disk" : "bulk data")}",
            host.Pools.Count == 0
                ? $"{host.Host.Name} has no pool. Make one at Kit, from disks the host does not start from."
                : $"{(homeless ? guest.SystemDisk.ToString() : guest.Bulk.ToDecimalString())} wanted, and no pool of {host.Host.Name} is named for it.",
            () =>
                host.Pools.Count == 0
                    ? []
                    :
                    [
                        new Fix(
                            "Choose pools for it",
                            l =>
                            {
                                var chosen = VolumePlacement.Choose(l, guest.Guest, host.Host);
                                return GuestEdits.UsePools(guest.Guest.Id, chosen.SystemPool, chosen.BulkPool)(l);
                            }
                        ),
                    ]
        );

    /// <summary>The class of disk controllers (PCI Code and ID Assignment Specification).</summary>
    private const string MassStorage = "01";

    /// <summary>Whether a disk controller is handed over whole: what hangs on it is where its bulk data lie.</summary>
    private static bool HasDisksOfItsOwn(Labs.Host host, Labs.Guest guest) =>
        guest.HandedWhole.Any(d => host.Hardware.Function(d)?.ClassCode.StartsWith(MassStorage, StringComparison.Ordinal) == true);
}
