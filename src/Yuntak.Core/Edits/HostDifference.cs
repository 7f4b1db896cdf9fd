using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Edits;

/// <summary>The difference between two descriptions of one host, in words; pools apart. What is measured anew each time, such as a temperature, is no difference.</summary>
public sealed class HostDifference
{
    private readonly List<HostChange> changes = [];

    private readonly bool reading;

    private HostDifference(bool reading) => this.reading = reading;

    /// <summary>Everything that differs. Disks are the same disk when their stable id is the same, whatever the kernel calls them today.</summary>
    /// <param name="before">One.</param>
    /// <param name="after">The other.</param>
    /// <param name="reading">Whether the second was read anew: then what grows by itself, such as hours run, is no difference either.</param>
    public static IReadOnlyList<HostChange> Between(Host before, Host after, bool reading = false)
    {
        var difference = new HostDifference(reading);
        difference.Description(before, after);
        difference.Disks(before, after);
        difference.Inside(before.Hardware, after.Hardware);
        return difference.changes;
    }

    private void Description(Host before, Host after)
    {
        Say("called", before.Name, after.Name);
        Say("described as", before.Description, after.Description);
        Say("cores", before.Processor.Cores, after.Processor.Cores);
        Say("threads", before.Processor.Threads, after.Processor.Threads);
        Say("sockets", before.Processor.Sockets, after.Processor.Sockets);
        Say("processor family", before.Processor.Architecture, after.Processor.Architecture);
        Say("processor", before.Processor.Model ?? "unknown", after.Processor.Model ?? "unknown");
        Say("memory", before.Memory, after.Memory);
        Say("virtualisation", Known(before.Processor.Virtualisation.OnOff()), Known(after.Processor.Virtualisation.OnOff()));
        Say("network ports", Known(before.NetworkPorts), Known(after.NetworkPorts));
        Say("battery backup", Known(before.BatteryBackup.YesNo()), Known(after.BatteryBackup.YesNo()));
        Say("starts by itself after a power cut", Known(before.PowersOn.YesNo()), Known(after.PowersOn.YesNo()));
        Say("fixed address", Known(before.AddressFixed.YesNo()), Known(after.AddressFixed.YesNo()));
        Say("watts at rest", Known(before.IdleWatts), Known(after.IdleWatts));
        Say("watts at full load", Known(before.FullWatts), Known(after.FullWatts));
    }

    private void Disks(Host before, Host after)
    {
        Each(
            before.Disks,
            after.Disks,
            d => d.Id,
            d => $"disk {d.Name}, {d.Size.ToDecimalString()} {d.Kind.Words()}",
            (was, disk) => Disk(was, disk)
        );
    }

    private void Disk(Disk was, Disk disk)
    {
        var name = $"disk {was.Name}";
        if (was.Name != disk.Name)
        {
            Add(HostChangeKind.Changed, $"{name} is now called {disk.Name}");
        }

        Say($"{name} size", was.Size.ToDecimalString(), disk.Size.ToDecimalString());
        Say($"{name} kind", was.Kind.Words(), disk.Kind.Words());
        Say($"{name} mounted at", Listed(was.MountedAt), Listed(disk.MountedAt));
        Say($"{name} holds", Listed(was.Holds), Listed(disk.Holds));
        Say($"{name} health", was.Health?.Word ?? "unknown", disk.Health?.Word ?? "unknown");
        if (was.Health is { } before && disk.Health is { } now)
        {
            Say($"{name} reallocated sectors", Known(before.ReallocatedSectors), Known(now.ReallocatedSectors));
            Say($"{name} pending sectors", Known(before.PendingSectors), Known(now.PendingSectors));
            Say($"{name} wear", Percent(before.WearPercent), Percent(now.WearPercent));
        }

        if (!reading || disk.HoursRun < was.HoursRun)
        {
            Say($"{name} hours run", Known(was.HoursRun), Known(disk.HoursRun));
        }
    }

    private void Inside(Hardware before, Hardware after)
    {
        Say("isolation", Known(before.Isolation.OnOff()), Known(after.Isolation.OnOff()));
        Say("firmware of", before.Firmware?.Date?.ToString("O") ?? "unknown", after.Firmware?.Date?.ToString("O") ?? "unknown");
        Each(
            before.MemorySlots,
            after.MemorySlots,
            s => s.Name,
            s => $"memory slot {s.Name}",
            (was, slot) => Say($"memory slot {slot.Name}", was.Size?.ToString() ?? "free", slot.Size?.ToString() ?? "free")
        );
        Each(
            before.Functions,
            after.Functions,
            f => f.Address,
            Words,
            (was, f) =>
            {
                if (was.ClassCode.Length > 0 && (was.ClassCode, was.Ids) != (f.ClassCode, f.Ids))
                {
                    Add(HostChangeKind.Changed, $"at {f.Address}: {Words(was)} → {Words(f)}");
                    return;
                }

                Say($"{f.Address} isolation group", Known(was.Group), Known(f.Group));
                Say($"{f.Address} driver", was.Driver ?? "none", f.Driver ?? "none");
                Say($"{f.Address} reset", was.Reset ?? "unknown", f.Reset ?? "unknown");
                Say($"{f.Address} slot", was.Slot ?? "none", f.Slot ?? "none");
                Say($"{f.Address} shows the console", was.ConsoleGraphics, f.ConsoleGraphics);
            }
        );
        Each(
            before.UsbDevices,
            after.UsbDevices,
            d => d.Port + d.Id,
            d => $"USB {d.Name ?? d.Id ?? "device"} at port {d.Port}",
            (was, d) =>
            {
                Say($"USB port {d.Port} holds", was.Name ?? "unknown", d.Name ?? "unknown");
                Say($"USB port {d.Port} links the battery backup", was.BatteryLink, d.BatteryLink);
            }
        );
        Each(
            before.UsbBuses,
            after.UsbBuses,
            b => b.Number.ToString(),
            b => $"USB bus {b.Number}",
            (was, b) => Say($"USB bus {b.Number} belongs to", was.Controller ?? "unknown", b.Controller ?? "unknown")
        );
        Each(
            before.Ports,
            after.Ports,
            p => p.Name,
            p => $"network port {p.Name}",
            (was, p) =>
            {
                Say($"network port {p.Name} hardware address", was.Mac ?? "unknown", p.Mac ?? "unknown");
                Say($"network port {p.Name} speed", Rate(was.SpeedMbps), Rate(p.SpeedMbps));
                Say($"network port {p.Name} addresses", Listed(was.Addresses), Listed(p.Addresses));
                Say($"network port {p.Name} is for looking after the host", was.Management, p.Management);
            }
        );
        Each(
            before.Bridges,
            after.Bridges,
            b => b.Name,
            b => $"bridge {b.Name}",
            (was, b) => Say($"bridge {b.Name} joins", Listed(was.Ports), Listed(b.Ports))
        );
    }

    private void Each<T>(ValueList<T> before, ValueList<T> after, Func<T, string> key, Func<T, string> words, Action<T, T> compare)
    {
        var had = before.ToLookup(key, StringComparer.Ordinal);
        var has = after.Select(key).ToHashSet(StringComparer.Ordinal);
        foreach (var item in after)
        {
            if (!had.Contains(key(item)))
            {
                Add(HostChangeKind.Came, $"{words(item)} added");
            }
            else if (!EqualityComparer<T>.Default.Equals(had[key(item)].First(), item))
            {
                compare(had[key(item)].First(), item);
            }
        }

        foreach (var item in before.Where(i => !has.Contains(key(i))))
        {
            Add(HostChangeKind.Went, $"{words(item)} gone");
        }
    }

    private void Say<T>(string what, T before, T after)
        where T : notnull
    {
        if (!EqualityComparer<T>.Default.Equals(before, after))
        {
            Add(HostChangeKind.Changed, $"{what} {Arrow.Between(Text(before), Text(after))}");
        }
    }

    private static string Text<T>(T value)
        where T : notnull => value is bool known ? known.YesNo() : value.ToString() ?? "";

    private void Add(HostChangeKind kind, string text) => changes.Add(new HostChange(kind, text));

    private static string Words(PciFunction f) => $"{PciClasses.KindOf(f.ClassCode)} {(f.Name is null ? "" : f.Name + " ")}at {f.Address}";

    private static string Listed(ValueList<string> items) =>
        items.Count == 0 ? "nothing" : string.Join(", ", items.Order(StringComparer.Ordinal));

    private static string Rate(int? mbps) => mbps is { } known ? DataRate.FromMbps(known).ToString() : "unknown";

    private static string Percent(double? percent) => percent is { } known ? Numbers.Percent(known / 100) : "unknown";

    private static string Known(string? words) => words ?? "unknown";

    private static string Known<T>(T? value)
        where T : struct => value?.ToString() ?? "unknown";
}
