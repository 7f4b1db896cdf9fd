using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit;

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
        var after = Applied(host, reading);
        var changed = Assessment.Of(lab.Lab.WithHost(host.Id, _ => after));
        return new HostUpdate(
            host,
            after,
            HostDifference.Between(host, after, reading: true),
            [.. PoolEffects(lab.Lab, host, after), .. DeviceEffects(lab.Lab, host, after)],
            Verdict.Between(lab, changed)
        );
    }

    /// <summary>The host with what was read. Parts that were not in the text stay as they are, and so do corrections.</summary>
    public static Host Applied(Host host, HostReading reading)
    {
        var disks = Disks(host, reading, out var renamed);
        var hardware = HardwareMerge.Of(host.Hardware, reading);
        var read = host with
        {
            Processor = Processor(host.Processor, reading),
            Memory = reading.Memory ?? host.Memory,
            Disks = disks,
            Pools = host.Pools.Change(
                p => p.DiskIds.Any(renamed.ContainsKey),
                p => p with { DiskIds = [.. p.DiskIds.Select(d => renamed.GetValueOrDefault(d, d))] }
            ),
            NetworkPorts =
                reading.Has(KitParts.Network) && hardware.Ports.Count > 0 ? hardware.Ports.Count(p => !p.Wireless) : host.NetworkPorts,
            AddressFixed = reading.AddressFixed ?? host.AddressFixed,
            BatteryBackup = hardware.Battery is not null && reading.Has(KitParts.Battery) ? true : host.BatteryBackup,
            ReadOn = reading.On ?? host.ReadOn,
            WasRead = true,
            Notes = [.. host.Notes.Where(n => n.Origin == Origin.Read && !reading.Has(n.Fact)), .. NotesOf(reading)],
        };
        return KitCorrections.Again(host, read.With(hardware));
    }

    private static IEnumerable<FactNote> NotesOf(HostReading reading) =>
        from part in reading.Parts
        where part.Read > 0 && part.Part != KitParts.Other
        let line = part.Line > 0 ? $", line {part.Line} of what was given" : ""
        select new FactNote(part.Part, Origin.Read, KitParts.ToolOf(part.Part) + line, reading.On);

    private static Processor Processor(Processor before, HostReading reading)
    {
        var processor = reading.Processor ?? before;
        var virtualisation = reading.Processor?.Virtualisation ?? (reading.VirtualisationOffered == true ? true : before.Virtualisation);
        return processor with { Virtualisation = virtualisation, Model = processor.Model ?? before.Model };
    }

    /// <summary>The disks, matched by stable id. Disks typed in by hand have none yet; each takes the id of a disk read of its kind and size.</summary>
    private static ValueList<Disk> Disks(Host host, HostReading reading, out Dictionary<string, string> renamed)
    {
        renamed = new Dictionary<string, string>(StringComparer.Ordinal);
        if (!reading.Has(KitParts.Disks))
        {
            return host.Disks.Change(
                d => reading.OtherHealth.Any(h => h.IsOf(d)),
                d => WithHealth(d, reading.OtherHealth.First(h => h.IsOf(d)))
            );
        }

        List<Disk> disks = [];
        foreach (var disk in reading.Disks)
        {
            var old = host.Disks.FirstOrDefault(d => d.Id == disk.Id);
            if (old is null && Typed(host, disk, reading, renamed) is { } typed)
            {
                renamed[typed.Id] = disk.Id;
                old = typed;
            }

            disks.Add(
                disk with
                {
                    HoursRun = disk.HoursRun ?? old?.HoursRun,
                    Health = disk.Health ?? old?.Health,
                    Controller = disk.Controller ?? old?.Controller,
                }
            );
        }

        return [.. disks];
    }

    private static Disk? Typed(Host host, Disk read, HostReading reading, Dictionary<string, string> taken) =>
        host.Disks.FirstOrDefault(d =>
            d.HasMadeUpId
            && !taken.ContainsKey(d.Id)
            && reading.Disks.All(r => r.Id != d.Id)
            && d.Kind == read.Kind
            && Math.Abs(1 - d.Size.ShareOf(read.Size)) < 0.03
        );

    private static Disk WithHealth(Disk disk, HealthReading health) =>
        disk with
        {
            Health = health.Health,
            HoursRun = health.HoursRun ?? disk.HoursRun,
        };

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
        from address in guest.Devices
        where before.Hardware.Function(address) is not null
        let now = after.Hardware.Function(address)
        where now is null || now.ClassCode != before.Hardware.Function(address)!.ClassCode
        select $"{guest.Name} is handed {address}, which {(now is null ? "is gone" : "is now something else")}.";
}
