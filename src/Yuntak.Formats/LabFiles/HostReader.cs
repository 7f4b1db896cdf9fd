using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.LabFiles;

/// <summary>Builds a host from its part of a lab file.</summary>
internal static class HostReader
{
    public static Host Read(NodeReader node)
    {
        var host = new Host(
            new HostId("new"),
            node.Text("name", needed: true) ?? "?",
            node.Text("description") ?? "",
            Processor(node.Map("processor", needed: true)),
            node.Size("memory", Prefixes.Binary, needed: true) ?? ByteSize.FromGiB(1),
            [.. node.Maps("disks").Select(Disk)],
            default,
            node.Whole("network-ports", 0, 256),
            node.Flag("battery-backup"),
            node.Number("idle-watts", 0, 100_000),
            node.Number("full-watts", 0, 100_000),
            node.Flag("read-from-tools") ?? false,
            PowersOn: node.Flag("powers-on"),
            AddressFixed: node.Flag("address-fixed"),
            ReadOn: node.Day("read-on"),
            Checks: [.. node.Maps("checks").Select(HardwareReader.Check).OfType<ReadinessCheck>()],
            Notes: [.. node.Maps("notes").Select(HardwareReader.Note)]
        );
        host = node.Map("inside") is { } inside ? host.With(HardwareReader.Read(inside)) : host;
        foreach (var map in node.Maps("pools"))
        {
            host = WithPool(host, map);
        }

        return host;
    }

    private static Processor Processor(NodeReader? map)
    {
        if (map is null)
        {
            return new Processor("unknown", 1, 1, 1);
        }

        var cores = map.Whole("cores", 1, 4096, needed: true) ?? 1;
        var processor = new Processor(
            map.Text("architecture") ?? "unknown",
            map.Whole("sockets", 1, 64) ?? 1,
            cores,
            map.Whole("threads", 1, 32_768) ?? cores,
            map.Flag("virtualisation"),
            map.Text("model")
        );
        map.Done();
        return processor;
    }

    private static Disk Disk(NodeReader map)
    {
        var id = map.Text("id", needed: true) ?? "?";
        var disk = new Disk(
            id,
            map.Text("name") ?? id,
            map.Size("size", Prefixes.Decimal, needed: true) ?? ByteSize.Zero,
            map.Word("kind", LabFileNames.Disks, DiskKind.Spinning, needed: true),
            [.. map.Texts("mounted-at")],
            map.Text("model"),
            map.Number("hours", 0, 10_000_000),
            map.Flag("removable") ?? false,
            map.Map("health") is { } health ? HardwareReader.Health(health) : null,
            [.. map.Texts("holds")],
            map.Text("controller"),
            map.Whole("sector", 512, 1 << 20)
        );
        map.Done();
        return disk;
    }

    private static Host WithPool(Host host, NodeReader map)
    {
        var pool = new Pool(
            map.Text("name", needed: true) ?? "?",
            map.Word("layout", LabFileNames.Layouts, PoolLayout.Single, needed: true),
            map.Word("family", LabFileNames.Families, PoolFamily.BlockArray),
            [.. map.Texts("disks", needed: true)],
            map.Size("already-used", Prefixes.Binary) ?? ByteSize.Zero,
            map.Whole("groups", 1, 60) ?? 1,
            [.. map.Words("takes", LabFileNames.Contents)],
            map.Flag("encrypted"),
            [.. map.Texts("key-in")],
            map.Whole("scrub-days", 0, 3660),
            map.Flag("thin") ?? false,
            map.Number("compression", 1, 20) ?? 1
        );
        var missing = map.Texts("missing");
        map.Done();
        try
        {
            // Disks that are said to be missing stand in for a moment, so that everything else about the pool is checked all the same.
            var whole = host with
            {
                Disks =
                [
                    .. host.Disks,
                    .. missing.Where(m => host.Disks.All(d => d.Id != m)).Select(m => new Disk(m, m, default, DiskKind.Spinning)),
                ],
            };
            var lab = HostEdits.AddPool(host.Id, pool)(new Lab("check", LabSettings.Default, [whole], [])).Lab;
            return host with { Pools = lab.Hosts[0].Pools };
        }
        catch (EditRefused refused)
        {
            map.Problem("disks", refused.Message);
            return host;
        }
    }
}
