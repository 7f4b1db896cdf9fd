using System.Text.Json;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>findmnt -J</c>, as a tree or a list, with sizes or without. The kernel's own file systems are passed over.</summary>
internal static class MountReader
{
    private const int Deepest = 32;

    private static readonly HashSet<string> Kernels = new(StringComparer.Ordinal)
    {
        "autofs",
        "binfmt_misc",
        "bpf",
        "cgroup",
        "cgroup2",
        "configfs",
        "debugfs",
        "devpts",
        "devtmpfs",
        "efivarfs",
        "fusectl",
        "hugetlbfs",
        "mqueue",
        "nsfs",
        "overlay",
        "proc",
        "pstore",
        "ramfs",
        "rpc_pipefs",
        "securityfs",
        "selinuxfs",
        "squashfs",
        "sysfs",
        "tmpfs",
        "tracefs",
    };

    /// <summary>Whether an object is such an answer.</summary>
    public static bool Is(JsonElement root) => root.TryGetProperty("filesystems", out _);

    public static void Read(JsonElement root, int line, string? problem, IntakeDraft draft)
    {
        var read = 0;
        foreach (var row in Rows(root.Rows("filesystems"), 0))
        {
            var (target, source, format) = (row.Text("target"), row.Text("source"), row.Text("fstype") ?? "");
            if (target is null || source is null || Kernels.Contains(format) || source.StartsWith("/dev/loop", StringComparison.Ordinal))
            {
                continue;
            }

            var mount = new Mount(
                target,
                source,
                format,
                row.Text("options") is { } options ? Cut(options, 1_000) : null,
                Bytes(row, "size"),
                Bytes(row, "used"),
                row.Text("uuid")
            );
            if (target.Length <= 400 && source.Length <= 400 && draft.Found.Mounts.Add(mount))
            {
                read++;
            }
        }

        draft.Log.Add(KitParts.Mounts, read, line, problem is null ? [] : [problem]);
    }

    private static ByteSize? Bytes(JsonElement row, string name) => row.Size(name, out _);

    private static string Cut(string text, int most) => text.Length > most ? text[..most] : text;

    private static IEnumerable<JsonElement> Rows(IEnumerable<JsonElement> level, int depth)
    {
        foreach (var row in level)
        {
            yield return row;
            if (depth < Deepest)
            {
                foreach (var child in Rows(row.Rows("children"), depth + 1))
                {
                    yield return child;
                }
            }
        }
    }
}
