using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>Small blocks waste room on parity.</summary>
internal sealed class GuestDisksOnParity : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.guest-disks-on-parity",
            Severity.Note,
            Station.Disks,
            Says: "System disks of guests do not lie on a copy-on-write parity pool.",
            Because: "Guests write small blocks: each carries its own parity and padding.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.Family == PoolFamily.CopyOnWrite && pool.Pool.Layout.StripedParity() > 0 && pool.Groups.All(g => g.HasEnough)
        let guests = host.Guests.Where(g => g.Guest.Placement?.SystemPool == pool.Pool.Name).Select(g => g.Guest.Name).ToList()
        where guests.Count > 0
        let kept = PoolRoom.Efficiency(pool.Groups[0].Disks.Count, pool.Pool.Layout.ParityDisks(), GuestBlock)
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"Guest disks lie on parity in {pool.Pool.Name} on {host.Host.Name}",
            $"{string.Join(", ", guests)}. At blocks of 16 KiB {Numbers.Percent(kept)} of the disks hold data. Mirrors keep half and are quicker at it."
        );

    private const int GuestBlock = 16 * 1024;
}
