using System.Text.Json;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>lsblk -J</c>: nested or flat, sizes and flags as numbers or text, <c>mountpoints</c> or <c>mountpoint</c>, missing columns.</summary>
internal static class DiskReader
{
    public static void Read(JsonElement root, int line, string? problem, IntakeDraft draft)
    {
        List<string> problems = problem is null ? [] : [problem];
        List<JsonElement> rows = [];
        Dictionary<string, List<string>> parents = new(StringComparer.Ordinal);
        Flatten(root.Rows("blockdevices"), rows, parent: null, depth: 0, parents);
        var tops = rows.Select(r => r.Text("name"))
            .OfType<string>()
            .Distinct(StringComparer.Ordinal)
            .ToDictionary(n => n, n => TopsOf(n, parents), StringComparer.Ordinal);
        AddDevices(rows, tops, parents, draft.Found);
        var mounts = Mounts(rows, tops);
        var contents = Contents(rows, tops);
        List<Disk> disks = [];
        var anyRounded = false;
        foreach (var row in rows.Where(IsDisk))
        {
            var name = row.Text("name") ?? row.Text("kname") ?? "?";
            var size = row.Size("size", out var rounded);
            if (size is null)
            {
                problems.Add($"disks: {name} has no size that can be read, so it was left out");
                continue;
            }

            if (size.Value == ByteSize.Zero || disks.Any(d => d.Name == name))
            {
                // An empty card reader, a compressed memory disk without a size, or the same disk listed again by a second path.
                continue;
            }

            if (disks.Count == IntakeLimits.MostDisks)
            {
                problems.Add($"disks: more than {IntakeLimits.MostDisks}; the rest were left out");
                break;
            }

            anyRounded |= rounded;
            var disk = DiskOf(row, name, size.Value, mounts.GetValueOrDefault(name) ?? [], contents.GetValueOrDefault(name) ?? [], disks);
            disks.Add(disk);
            if (row.Text("serial") is { } serial)
            {
                draft.DiskAliases[disk.Id] = SerialId(row.Text("model"), serial);
            }
        }

        if (anyRounded)
        {
            problems.Add("disks: sizes are rounded; run lsblk with -b for exact ones");
        }

        if (disks.Count == 0 && problems.Count == 0)
        {
            problems.Add("disks: no row of type «disk»");
        }

        draft.AddDisks(disks);
        draft.Log.Add(KitParts.Disks, disks.Count, line, problems);
    }

    private static void Flatten(
        IEnumerable<JsonElement> level,
        List<JsonElement> rows,
        string? parent,
        int depth,
        Dictionary<string, List<string>> parents
    )
    {
        foreach (var row in level)
        {
            rows.Add(row);
            var name = row.Text("name");
            if (name is not null && (row.Text("pkname") ?? parent) is { } known)
            {
                // A mirror or array is listed below each of its disks.
                var of = parents.TryGetValue(name, out var before) ? before : parents[name] = [];
                if (!of.Contains(known) && of.Count < 256)
                {
                    of.Add(known);
                }
            }

            if (depth < 16)
            {
                Flatten(row.Rows("children"), rows, name, depth + 1, parents);
            }
        }
    }

    /// <summary>The disks a device lies on, by name: itself, for a disk. One that is listed below several lies on all of them.</summary>
    private static ValueList<string> TopsOf(string name, Dictionary<string, List<string>> parents)
    {
        HashSet<string> tops = new(StringComparer.Ordinal);
        HashSet<string> seen = new(StringComparer.Ordinal);
        Queue<string> ahead = new([name]);
        while (ahead.TryDequeue(out var at) && seen.Count < 1_000)
        {
            if (!seen.Add(at))
            {
                continue;
            }

            if (parents.TryGetValue(at, out var above))
            {
                above.ForEach(ahead.Enqueue);
            }
            else
            {
                tops.Add(at);
            }
        }

        return [.. tops];
    }

    private static void AddDevices(
        List<JsonElement> rows,
        Dictionary<string, ValueList<string>> tops,
        Dictionary<string, List<string>> parents,
        FoundDraft found
    )
    {
        foreach (var row in rows)
        {
            if (row.Text("name") is { } name)
            {
                found.AddDevice(
                    new BlockDevice(
                        name,
                        row.Text("path"),
                        row.Text("type"),
                        row.Text("fstype"),
                        row.Text("label"),
                        row.Text("uuid"),
                        tops[name],
                        [.. parents.GetValueOrDefault(name) ?? []]
                    )
                );
            }
        }
    }

    /// <summary>The id of a disk known by its model and serial number.</summary>
    public static string SerialId(string? model, string serial) =>
        Names.Clean(
            string.Join(
                '_',
                new[] { model is null ? null : Names.Clean(model.Replace('_', ' ')).Replace(' ', '_'), Names.Clean(serial) }.Where(t =>
                    t is { Length: > 0 }
                )
            )
        );

    /// <summary>The mount points of every disk and of all that lies on it.</summary>
    private static Dictionary<string, List<string>> Mounts(List<JsonElement> rows, Dictionary<string, ValueList<string>> tops) =>
        Gathered(
            rows,
            tops,
            row =>
                row.Rows("mountpoints")
                    .Select(m => m.ValueKind == JsonValueKind.String ? m.Readable() : null)
                    .Append(row.Text("mountpoint"))
        );

    /// <summary>The file systems and the like on every disk.</summary>
    private static Dictionary<string, List<string>> Contents(List<JsonElement> rows, Dictionary<string, ValueList<string>> tops) =>
        Gathered(rows, tops, row => [row.Text("fstype")]);

    private static Dictionary<string, List<string>> Gathered(
        List<JsonElement> rows,
        Dictionary<string, ValueList<string>> tops,
        Func<JsonElement, IEnumerable<string?>> what
    )
    {
        Dictionary<string, List<string>> gathered = new(StringComparer.Ordinal);
        foreach (var row in rows)
        {
            var items = what(row).Select(Names.Clean).Where(i => i.Length > 0).ToList();
            foreach (var top in items.Count == 0 ? [] : tops.GetValueOrDefault(row.Text("name") ?? ""))
            {
                var at = gathered.TryGetValue(top, out var known) ? known : gathered[top] = [];
                at.AddRange(items.Where(i => !at.Contains(i)).Take(64 - at.Count));
            }
        }

        return gathered;
    }

    private static bool IsDisk(JsonElement row)
    {
        var name = row.Text("name") ?? "";
        var type = row.Text("type");
        // Without a type column, whole disks are told by what they are not: parts of others, loops, memory, optical drives.
        return (type is "disk" || (type is null && row.Text("pkname") is null))
            && !name.StartsWith("zram", StringComparison.Ordinal)
            && !name.StartsWith("loop", StringComparison.Ordinal)
            && !name.StartsWith("sr", StringComparison.Ordinal)
            && !name.StartsWith("ram", StringComparison.Ordinal)
            && !name.StartsWith("nbd", StringComparison.Ordinal)
            && !name.Contains("boot", StringComparison.Ordinal);
    }

    private static Disk DiskOf(JsonElement row, string name, ByteSize size, List<string> mounts, List<string> contents, List<Disk> before)
    {
        var model = row.Text("model") is { } m ? Names.Clean(m.Replace('_', ' ')) : null;
        var serial = row.Text("serial") is { } s ? Names.Clean(s) : null;
        var id =
            row.Text("wwn") is { } wwn ? (wwn.StartsWith("0x", StringComparison.Ordinal) ? "wwn-" + wwn : wwn)
            : serial is not null ? SerialId(model, serial)
            : name;
        id = Names.Clean(id);
        if (before.Any(d => d.Id == id))
        {
            // Cheap adapters give every disk the same id; the kernel name keeps them apart.
            id = $"{id}-{name}";
        }

        return new Disk(
            id,
            Names.Clean(name),
            size,
            KindOf(row, name),
            [.. mounts],
            model,
            null,
            row.Flag("rm") ?? row.Flag("hotplug") ?? false,
            Holds: [.. contents],
            Sector: row.Number("phy-sec") is { } sector and >= 512 and <= 1 << 20 ? (int)sector : null
        );
    }

    private static DiskKind KindOf(JsonElement row, string name)
    {
        var transport = row.Text("tran")?.ToLowerInvariant();
        if (transport == "usb")
        {
            return DiskKind.Usb;
        }

        if (transport is "mmc" or "sd" || name.StartsWith("mmcblk", StringComparison.Ordinal))
        {
            return DiskKind.Card;
        }

        if (transport == "nvme" || name.StartsWith("nvme", StringComparison.Ordinal))
        {
            return DiskKind.NvmeFlash;
        }

        if (transport == "virtio" || name.StartsWith("vd", StringComparison.Ordinal) || name.StartsWith("xvd", StringComparison.Ordinal))
        {
            return DiskKind.Virtual;
        }

        return row.Flag("rota") == false ? DiskKind.SataFlash : DiskKind.Spinning;
    }
}
