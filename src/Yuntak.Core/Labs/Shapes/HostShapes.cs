using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Figures;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of a host and its processor.</summary>
public static class HostShapes
{
    private static readonly Codec<string> Text = Codecs.Text(200);
    private static readonly Codec<double> Watts = Codecs.Number(0, 100_000);

    /// <summary>The processors of a host.</summary>
    public static readonly Shape<Processor> Processor = new(
        "processor",
        new Processor("unknown", 1, 1, 1),
        Of<Processor>
            .Value(
                "architecture",
                nameof(Labs.Processor.Architecture),
                "processor family",
                Codecs.OneWord(40),
                "unknown",
                p => p.Architecture,
                (p, v) => p with { Architecture = v }
            )
            .LeftOutWhen((_, _) => false),
        Of<Processor>.Value(
            "sockets",
            nameof(Labs.Processor.Sockets),
            "sockets",
            Codecs.Whole(1, 64),
            1,
            p => p.Sockets,
            (p, v) => p with { Sockets = v }
        ),
        Of<Processor>
            .Always(
                "cores",
                nameof(Labs.Processor.Cores),
                "cores",
                Codecs.Whole(1, 4096),
                1,
                p => p.Cores,
                (p, v) => p with { Cores = v, Threads = Math.Max(v, p.Threads) }
            )
            .Explained("in all sockets"),
        Of<Processor>
            .Value(
                "threads",
                nameof(Labs.Processor.Threads),
                "threads",
                Codecs.Whole(1, 32_768),
                1,
                p => p.Threads,
                (p, v) => p with { Threads = v }
            )
            .LeftOutWhen((_, _) => false)
            .Explained("in all sockets; as many as cores when left out"),
        Of<Processor>
            .Maybe(
                "virtualisation",
                nameof(Labs.Processor.Virtualisation),
                "virtualisation",
                Codecs.Flag(onOff: true),
                p => p.Virtualisation,
                (p, v) => p with { Virtualisation = v }
            )
            .IsKnown(),
        Of<Processor>
            .MaybeText("model", nameof(Labs.Processor.Model), "processor", Text, p => p.Model, (p, v) => p with { Model = v })
            .IsKnown()
    )
    {
        Check = p =>
            p.Threads < p.Cores || p.Threads > 8 * p.Cores
                ? [new Problem("threads", $"{p.Cores} cores have {p.Cores} to {8 * p.Cores} threads; {p.Threads} were given.")]
                : [],
    };

    /// <summary>A host. Memory, processor, network ports, disks and pools are work when they differ; the rest is only known of it.</summary>
    public static readonly Shape<Host> Host = new(
        "host",
        new Host(new HostId(""), "", "", new HostFacts(Processor.Blank, default), HostPlan.None),
        Of<Host>
            .Always("name", nameof(Labs.Host.Name), "called", Codecs.Name("host"), "", h => h.Name, (h, v) => h with { Name = v })
            .IsKnown(),
        new ScalarOf<Host, string>(
            "id",
            nameof(Labs.Host.Id),
            "id",
            Codecs.Text(100),
            h => (h.Id.Value.Length > 0, h.Id.Value),
            (h, v) => h with { Id = new HostId(v.Value ?? "") }
        )
            .LeftOutWhen((h, id) => id == Names.Slug(h.Name))
            .IsSilent()
            .Explained("written only when it no longer follows from the name; keep it"),
        Of<Host>
            .Value(
                "description",
                nameof(Labs.Host.Description),
                "described as",
                Text,
                "",
                h => h.Description,
                (h, v) => h with { Description = v }
            )
            .IsKnown(),
        Of<Host>
            .Value(
                "type",
                "Facts.Type",
                "kind of host",
                Codecs.Word(LabWords.HostTypes),
                HostType.Hypervisor,
                h => h.Type,
                (h, v) => h with { Type = v }
            )
            .Saying((_, h) => $"is a {h.Type.Words()}")
            .IsKnown(),
        Of<Host>
            .Maybe(
                "base-memory",
                "Facts.BaseMemory",
                "memory it keeps for itself",
                Codecs.Size(Prefixes.Binary),
                h => h.BaseMemory,
                (h, v) => h with { BaseMemory = v }
            )
            .Explained("follows its kind when left out")
            .IsKnown(),
        Of<Host>
            .Maybe(
                "system-share",
                "Facts.SystemShare",
                "share of the boot disk its system takes",
                Codecs.Size(Prefixes.Binary),
                h => h.SystemShare,
                (h, v) => h with { SystemShare = v }
            )
            .Explained("follows its kind when left out")
            .IsKnown(),
        Of<Host>
            .Maybe(
                "core-speed",
                "Facts.CoreSpeed",
                "speed of a core",
                Codecs.Number(0.01, 20),
                h => h.CoreSpeed,
                (h, v) => h with { CoreSpeed = v }
            )
            .Explained("1 is the reference core; follows its kind when left out")
            .IsKnown(),
        Of<Host>
            .Maybe(
                "encoder",
                "Facts.Encoder",
                "video encoder",
                Codecs.Word(LabWords.Encoders),
                h => h.Encoder,
                (h, v) => h with { Encoder = v }
            )
            .IsKnown(),
        Of<Host>
            .Value("stands", nameof(Labs.Host.Stands), "stands", Codecs.Flag(), false, h => h.Stands, (h, to) => h with { Stands = to })
            .IsSilent()
            .IsKnown()
            .Explained("is there already: no step installs, wipes or starts it"),
        new Part<Host, Processor>(
            "processor",
            "Facts.Processor",
            "",
            () => Processor,
            h => h.Processor,
            (h, v) => h with { Processor = v ?? Processor.Blank }
        ).IsNeeded(),
        Of<Host>.Always(
            "memory",
            "Facts.Memory",
            "memory",
            Codecs.Size(Prefixes.Binary, ByteSize.FromMiB(64)),
            default,
            h => h.Memory,
            (h, v) => h with { Memory = v }
        ),
        Of<Host>
            .Maybe(
                "network-ports",
                "Facts.NetworkPorts",
                "network ports",
                Codecs.Whole(0, 256),
                h => h.NetworkPorts,
                (h, v) => h with { NetworkPorts = v }
            )
            .IsKnown(),
        Of<Host>
            .Maybe(
                "battery-backup",
                "Facts.BatteryBackup",
                "battery backup",
                Codecs.Flag(),
                h => h.BatteryBackup,
                (h, v) => h with { BatteryBackup = v }
            )
            .IsKnown(),
        Of<Host>
            .Maybe("idle-watts", "Facts.IdleWatts", "watts at rest", Watts, h => h.IdleWatts, (h, v) => h with { IdleWatts = v })
            .IsKnown(),
        Of<Host>
            .Maybe("full-watts", "Facts.FullWatts", "watts at full load", Watts, h => h.FullWatts, (h, v) => h with { FullWatts = v })
            .IsKnown(),
        Of<Host>
            .Maybe(
                "powers-on",
                "Facts.PowersOn",
                "starts by itself after a power cut",
                Codecs.Flag(),
                h => h.PowersOn,
                (h, v) => h with { PowersOn = v }
            )
            .IsKnown(),
        Of<Host>
            .Maybe(
                "address-fixed",
                "Facts.AddressFixed",
                "fixed address",
                Codecs.Flag(),
                h => h.AddressFixed,
                (h, v) => h with { AddressFixed = v }
            )
            .IsKnown(),
        Of<Host>
            .Value(
                "read-from-tools",
                "Facts.WasRead",
                "read from its own tools",
                Codecs.Flag(),
                false,
                h => h.WasRead,
                (h, v) => h with { WasRead = v }
            )
            .IsSilent()
            .IsKnown(),
        new Parts<Host, Disk>(
            "disks",
            "Facts.Disks",
            "disk",
            () => DiskShapes.Disk,
            d => d.Id,
            h => h.Disks,
            (h, v) => h with { Disks = v }
        )
        {
            Most = 256,
            Words = d => $"disk {d.Name}, {d.Size.ToDecimalString()} {d.Kind.Words()}",
            Before = d => $"disk {d.Name}",
        },
        new Parts<Host, Pool>(
            "pools",
            "Plan.Pools",
            "pool",
            () => PoolShapes.Pool,
            p => p.Name,
            h => h.Pools,
            (h, v) => h with { Pools = v }
        )
        {
            Most = 100,
        }.IsSilent(),
        new Part<Host, HostWires>(
            "plan",
            "Plan.Wires",
            "wires",
            () => WireShapes.Wires,
            h => h.Plan.Wires,
            (h, v) => h with { Wires = v ?? HostWires.None }
        )
        {
            Otherwise = _ => HostWires.None,
        }.Explained("bridges, its own places on networks, what it answers on"),
        new Part<Host, Hardware>(
            "inside",
            "Facts.Inside",
            "",
            () => HardwareShapes.Inside,
            h => h.Inside,
            (h, v) => h.With(v ?? Hardware.None)
        )
        {
            Otherwise = _ => Hardware.None,
        }.IsKnown(),
        Of<Host>
            .Maybe("read-on", "Facts.ReadOn", "read on", Codecs.Day, h => h.ReadOn, (h, v) => h with { ReadOn = v })
            .IsSilent()
            .IsKnown(),
        HostNoteShapes.Checks,
        new Parts<Host, FactNote>(
            "notes",
            "Facts.Notes",
            "note",
            () => HostNoteShapes.Note,
            n => n.Fact,
            h => h.Notes,
            (h, v) => h with { Notes = v }
        )
            .IsSilent()
            .IsKnown(),
        HostNoteShapes.Tries
    )
    {
        Check = h =>
            h.Disks.GroupBy(d => d.Id, StringComparer.Ordinal)
                .Where(g => g.Count() > 1)
                .Select(g => new Problem("disks", $"Two disks of {h.Name} have the same id, «{g.Key}».")),
    };
}
