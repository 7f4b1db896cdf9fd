using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using static Yuntak.Core.Kit.FactText;

namespace Yuntak.Core.Kit;

/// <summary>Everything known of a host, fact by fact: its value, where it came from, and how it is corrected.</summary>
public static class KitFacts
{
    /// <summary>All facts of a host.</summary>
    public static IEnumerable<KitFact> Of(Host host) =>
        [
            .. OfProcessor(host),
            .. OfKind(host),
            .. OfMemory(host),
            .. host.Disks.SelectMany(OfDisk),
            .. host.Hardware.Functions.SelectMany(HardwareFacts.OfFunction),
            .. host.Hardware.UsbBuses.SelectMany(HardwareFacts.OfBus),
            .. host.Hardware.UsbDevices.SelectMany(d => HardwareFacts.OfUsb(host, d)),
            .. host.Hardware.Ports.SelectMany(HardwareFacts.OfPort),
            .. OfPower(host),
            .. OfFirmware(host),
            .. HardwareFacts.OfMeasurements(host.Hardware),
        ];

    /// <summary>The facts of one thing in a host, such as one disk; empty when it has none of that name.</summary>
    public static IReadOnlyList<KitFact> Of(Host host, string thing) => [.. Of(host).Where(f => f.Thing == thing)];

    /// <summary>The fact of that key, if the host has it.</summary>
    public static KitFact? Find(Host host, string key) => Of(host).FirstOrDefault(f => f.Key == key);

    /// <summary>Where a fact came from: a correction of its own, else the part it belongs to, else how the host was taken on.</summary>
    public static FactNote OriginOf(Host host, KitFact fact)
    {
        var part = fact.Thing.Split('/', 2)[0];
        return host.Notes.FirstOrDefault(n => n.Fact == fact.Key)
            ?? host.Notes.FirstOrDefault(n => n.Fact == PartOf(fact.Field, part))
            ?? host.Notes.FirstOrDefault(n => n.Fact == part)
            ?? (
                host.WasRead
                    ? new FactNote(fact.Key, Origin.Read, KitParts.ToolOf(part), host.ReadOn)
                    : new FactNote(fact.Key, Origin.Entered, "typed in by hand")
            );
    }

    private static string PartOf(string field, string part) =>
        field switch
        {
            "hours" or "wear" or "sectors" => KitParts.Health,
            "speed" => KitParts.CoreSpeed,
            _ => part,
        };

    /// <summary>The note left by a correction, which remembers what the tools had said; without one, null.</summary>
    public static FactNote? CorrectionOf(Host host, string key) =>
        host.Notes.FirstOrDefault(n => n.Fact == key && n.Origin == Origin.Entered);

    private static IEnumerable<KitFact> OfProcessor(Host host)
    {
        const string Thing = KitParts.Processor;
        var p = host.Processor;
        yield return new(Thing, "model", "model", p.Model, (h, t) => h with { Processor = h.Processor with { Model = Words(t) } });
        yield return new(Thing, "architecture", "family", p.Architecture);
        yield return new(
            Thing,
            "sockets",
            "sockets",
            $"{p.Sockets}",
            (h, t) => h with { Processor = h.Processor with { Sockets = Whole(t, "sockets", 1, 64) } }
        );
        yield return new(
            Thing,
            "cores",
            "cores, all sockets",
            $"{p.Cores}",
            (h, t) => h with { Processor = h.Processor with { Cores = Whole(t, "cores", 1, 4096) } }
        );
        yield return new(
            Thing,
            "threads",
            "threads, all sockets",
            $"{p.Threads}",
            (h, t) => h with { Processor = h.Processor with { Threads = Whole(t, "threads", 1, 32_768) } }
        );
        yield return new(
            Thing,
            "virtualisation",
            "virtualisation",
            p.Virtualisation.YesNo(),
            (h, t) => h with { Processor = h.Processor with { Virtualisation = Answer(t) } },
            Choices: YesNo,
            Switch: true
        );
        yield return new(
            Thing,
            "isolation",
            "isolation",
            host.Hardware.Isolation.YesNo(),
            (h, t) => h.With(h.Hardware with { Isolation = Answer(t) }),
            Choices: YesNo,
            Switch: true
        );
    }

    private static IEnumerable<KitFact> OfKind(Host host)
    {
        const string Thing = KitParts.Processor;
        yield return new(
            Thing,
            "speed",
            "speed of a core, 1 for the reference",
            host.CoreSpeed?.ToString("0.###"),
            (h, t) => h with { CoreSpeed = Number(t, "speed of a core") },
            $"{host.Kind.CoreSpeed:0.##}, assumed of its kind"
        );
        yield return new(
            Thing,
            "encoder",
            "video encoder",
            host.Encoder?.Words(),
            (h, t) =>
                h with
                {
                    Encoder =
                        LabWords.Encoders.Values.Where(e => e.Words() == t).Cast<EncoderClass?>().FirstOrDefault()
                        ?? throw Refused("video encoder", t),
                },
            Choices: [.. LabWords.Encoders.Values.Select(e => e.Words())]
        );
    }

    private static IEnumerable<KitFact> OfMemory(Host host)
    {
        const string Thing = KitParts.Memory;
        yield return new(
            Thing,
            "total",
            "memory the kernel can use",
            host.Memory.ToExactString(),
            (h, t) => h with { Memory = Size(t, "memory", Prefixes.Binary) },
            "16 GiB"
        );
        foreach (var slot in host.Hardware.MemorySlots)
        {
            yield return new(Thing, $"slot {slot.Name}", $"slot {slot.Name}", slot.Size?.ToString() ?? "free");
        }
    }

    private static IEnumerable<KitFact> OfDisk(Disk disk)
    {
        var thing = $"{KitParts.Disks}/{disk.Id}";
        Func<Host, string, Host> Change(Func<Disk, string, Disk> change) =>
            (h, t) => h with { Disks = h.Disks.Change(d => d.Id == disk.Id, d => change(d, t)) };
        yield return new(thing, "id", "stable id", disk.Id);
        yield return new(thing, "name", "seen as", disk.Name);
        yield return new(thing, "model", "model", disk.Model, Change((d, t) => d with { Model = Words(t) }));
        yield return new(
            thing,
            "size",
            "size",
            disk.Size.ToExactString(),
            Change((d, t) => d with { Size = Size(t, "size", Prefixes.Decimal) }),
            "8 TB"
        );
        yield return new(
            thing,
            "kind",
            "kind",
            disk.Kind.Words(),
            Change(
                (d, t) =>
                    d with
                    {
                        Kind =
                            Enum.GetValues<DiskKind>().Where(k => k.Words() == t).Cast<DiskKind?>().FirstOrDefault()
                            ?? throw Refused("kind", t),
                    }
            ),
            Choices: [.. Enum.GetValues<DiskKind>().Select(k => k.Words())]
        );
        yield return new(thing, "mounted", "mounted at", Listed(disk.MountedAt));
        // What a disk holds stops the runbook from wiping it: somebody who has looked, and needs it no more, says so here. A later reading counts more.
        yield return new(
            thing,
            "holds",
            "holds",
            Listed(disk.Holds),
            Change((d, t) => d with { Holds = [.. t.Split(',').Select(Names.Clean).Where(w => w.Length > 0)] }),
            "nothing, when it may be wiped",
            Switch: true
        );
        yield return new(
            thing,
            "hours",
            "hours run",
            disk.HoursRun?.ToString("0"),
            Change((d, t) => d with { HoursRun = Number(t, "hours run") })
        );
        yield return new(
            thing,
            "wear",
            "wear, %",
            disk.Health?.WearPercent?.ToString("0.#"),
            Change((d, t) => d with { Health = (d.Health ?? new DiskHealth()) with { WearPercent = Number(t, "wear") } })
        );
        yield return new(
            thing,
            "sectors",
            "sectors reallocated, pending",
            disk.Health is { } h ? $"{h.ReallocatedSectors?.ToString() ?? "?"}, {h.PendingSectors?.ToString() ?? "?"}" : null
        );
        yield return new(thing, "health", "health", disk.Health?.Word);
        yield return new(thing, "sector", "physical sector, bytes", disk.Sector?.ToString());
        yield return new(thing, "controller", "hangs on", disk.Controller);
    }

    private static IEnumerable<KitFact> OfPower(Host host)
    {
        const string Thing = "power";
        yield return new(
            Thing,
            "idle",
            "watts at rest",
            host.IdleWatts?.ToString("0.#"),
            (h, t) => h with { IdleWatts = Number(t, "watts at rest") }
        );
        yield return new(
            Thing,
            "full",
            "watts at full load",
            host.FullWatts?.ToString("0.#"),
            (h, t) => h with { FullWatts = Number(t, "watts at full load") }
        );
        yield return new(
            Thing,
            "battery",
            "battery backup linked",
            host.BatteryBackup.YesNo(),
            (h, t) => h with { BatteryBackup = Answer(t) },
            Choices: YesNo
        );
        if (host.Hardware.Battery is { } battery)
        {
            yield return new(KitParts.Battery, "charge", "battery charge, %", battery.ChargePercent?.ToString("0.#"));
            yield return new(KitParts.Battery, "load", "battery load, %", battery.LoadPercent?.ToString("0.#"));
            yield return new(KitParts.Battery, "runtime", "minutes it lasts at that load", battery.RuntimeMinutes?.ToString("0.#"));
            yield return new(KitParts.Battery, "watts", "watts it can give", battery.Watts?.ToString("0.#"));
        }
    }

    private static IEnumerable<KitFact> OfFirmware(Host host)
    {
        if (host.Hardware.Firmware is { } firmware)
        {
            yield return new(
                KitParts.Firmware,
                "date",
                "firmware of",
                firmware.Date?.ToString("O"),
                (h, t) => h.With(h.Hardware with { Firmware = (h.Hardware.Firmware ?? new Firmware()) with { Date = Day(t) } }),
                "2025-03-14"
            );
            yield return new(KitParts.Firmware, "version", "firmware version", firmware.Version);
            yield return new(KitParts.Firmware, "board", "board", firmware.Board);
        }
    }
}
