using Yuntak.Core.Disks;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Stations;

/// <summary>What reading a host again would change, worked out before it is accepted.</summary>
/// <param name="Before">The host as it is known.</param>
/// <param name="After">The host as it would be.</param>
/// <param name="Changes">What came, went and changed.</param>
/// <param name="Effects">What that does to pools and guests, in words.</param>
/// <param name="Verdict">The budgets and findings that change with it.</param>
public sealed record HostUpdate(Host Before, Host After, IReadOnlyList<HostChange> Changes, IReadOnlyList<string> Effects, Verdict Verdict)
{
    /// <summary>Whether anything worth a word differs.</summary>
    public bool Differs => Changes.Count > 0;

    /// <summary>Compares what was read with what is known of a host in a lab.</summary>
    public static HostUpdate Of(Assessment lab, Host host, HostReading reading)
    {
        var after = HostMerge.Applied(host, reading);
        var changed = Assessment.Of(lab.Lab.WithHost(host.Id, _ => after), lab.Today);
        return new HostUpdate(
            host,
            after,
            HostDifference.Between(host, after, reading: true),
            [.. PoolEffects(lab.Lab, host, after), .. DeviceEffects(lab.Lab, host, after), .. StickEffects(lab.Lab, host, after)],
            Verdict.Between(lab, changed)
        );
    }

    private static IEnumerable<string> PoolEffects(Lab lab, Host before, Host after)
    {
        foreach (var pool in after.Pools)
        {
            var missing = pool.DiskIds.Count - after.DisksOf(pool).Count();
            var had = before.PoolNamed(pool.Name) is { } old ? old.DiskIds.Count - before.DisksOf(old).Count() : 0;
            if (missing == had)
            {
                continue;
            }

            var guests = lab.GuestsOn(after.Id)
                .Where(g => g.Placement?.SystemPool == pool.Name || g.Placement?.BulkPool == pool.Name)
                .ToList();
            var who = guests.Count == 0 ? "" : $" On it: {string.Join(", ", guests.Select(g => g.Name))}.";
            yield return missing == 0
                ? $"{pool.Name} is whole again."
                : $"{pool.Name} misses {missing} of its {Numbers.Count(pool.DiskIds.Count, "disk")}: {pool.AfterLosing(missing)}.{who}";
        }
    }

    private static IEnumerable<string> DeviceEffects(Lab lab, Host before, Host after) =>
        from guest in lab.GuestsOn(after.Id)
        from address in guest.HandedWhole
        where before.Hardware.Function(address) is not null
        let now = after.Hardware.Function(address)
        where now is null || now.ClassCode != before.Hardware.Function(address)!.ClassCode
        select $"{guest.Name} is handed {address}, which {(now is null ? "is gone" : "is now something else")}.";

    /// <summary>A stick that was plugged in elsewhere, or pulled out, is lost to whoever has it by its port or node.</summary>
    private static IEnumerable<string> StickEffects(Lab lab, Host before, Host after) =>
        from guest in lab.GuestsOn(after.Id).SelectMany(g => lab.GuestsIn(g.Id).Prepend(g))
        from claim in guest.Claims.Where(c => c.Chosen)
        let was = before.Hardware.UsbDevices.FirstOrDefault(d => d.Port == claim.Device)
        where was is not null && after.Hardware.UsbDevices.All(d => d.Port != was.Port || d.Id != was.Id)
        let now = after.Hardware.UsbDevices.FirstOrDefault(d => d.Id is not null && d.Id == was.Id)
        select $"{guest.Name} has {was.Name ?? was.Id ?? "what was"} at USB port {was.Port}, {(now is null ? "which is gone" : $"which is at port {now.Port} now")}.";
}
