using Yuntak.Core.Base;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit;

/// <summary>Lays what was read of a host over what is known of it.</summary>
internal static class HostMerge
{
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
            CoreSpeed = reading.CoreSpeed ?? host.CoreSpeed,
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
                    // Said of what was on it then; what has come since was not meant.
                    MayBeWiped = old is not null && old.Holds == disk.Holds && old.MountedAt == disk.MountedAt ? old.MayBeWiped : null,
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
            && Math.Abs(1 - d.Size.ShareOf(read.Size).Value) < 0.03
        );

    private static Disk WithHealth(Disk disk, HealthReading health) =>
        disk with
        {
            Health = health.Health,
            HoursRun = health.HoursRun ?? disk.HoursRun,
        };
}
