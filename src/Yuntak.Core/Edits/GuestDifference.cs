using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Edits;

/// <summary>The difference between two forms of one guest, in words.</summary>
internal static class GuestDifference
{
    /// <summary>Everything that differs: what is work first, then what is only said.</summary>
    public static IReadOnlyList<string> All(Lab labBefore, Guest before, Lab labAfter, Guest after)
    {
        var was = Sizing.Of(labBefore, before);
        var becomes = Sizing.Of(labAfter, after);
        return [.. Work(labBefore, before, was, labAfter, after, becomes, moved: false), .. Told(before, after, known: true)];
    }

    /// <summary>What differs and is work.</summary>
    /// <param name="labBefore">The lab of the first form.</param>
    /// <param name="before">One form.</param>
    /// <param name="was">Its size.</param>
    /// <param name="labAfter">The lab of the second form.</param>
    /// <param name="after">The other form.</param>
    /// <param name="becomes">Its size.</param>
    /// <param name="moved">Whether where it is goes without saying.</param>
    public static IReadOnlyList<string> Work(Lab labBefore, Guest before, Sizing was, Lab labAfter, Guest after, Sizing becomes, bool moved)
    {
        var telling = new Telling();
        telling.Change("virtual processors", $"{was.Vcpu}", $"{becomes.Vcpu}");
        telling.Change("memory", $"{was.Memory}", $"{becomes.Memory}");
        telling.Change("system disk", $"{was.SystemDisk}", $"{becomes.SystemDisk}");
        telling.Change("bulk data", $"{was.Bulk}", $"{becomes.Bulk}");
        if (!moved)
        {
            Place(telling, labBefore, before, labAfter, after);
        }

        return [.. Told(before, after, known: false), .. Exact(was, becomes, telling)];
    }

    /// <summary>Sizes that people read as the same may differ by a few bytes; then they are said to the byte.</summary>
    private static IEnumerable<string> Exact(Sizing was, Sizing becomes, Telling telling)
    {
        foreach (var (_, text, _) in telling.Told)
        {
            yield return text;
        }

        foreach (
            var (what, before, after) in new[]
            {
                ("memory", was.Memory, becomes.Memory),
                ("system disk", was.SystemDisk, becomes.SystemDisk),
                ("bulk data", was.Bulk, becomes.Bulk),
            }
        )
        {
            if (before != after && before.ToString() == after.ToString())
            {
                yield return $"{what} {before.Bytes:#,##0} → {after.Bytes:#,##0} bytes";
            }
        }
    }

    private static void Place(Telling telling, Lab labBefore, Guest before, Lab labAfter, Guest after)
    {
        if (before.RunsIn is null || before.RunsIn != after.RunsIn)
        {
            telling.Change("host", labBefore.HostOf(before)?.Name ?? "none", labAfter.HostOf(after)?.Name ?? "none");
            telling.Change("runs in", labBefore.Outer(before)?.Name ?? "the host", labAfter.Outer(after)?.Name ?? "the host");
        }

        if (before.Placement is { } was && after.Placement is { } becomes)
        {
            telling.Change("pool", was.SystemPool ?? "none", becomes.SystemPool ?? "none");
            telling.Change("pool for bulk data", was.BulkPool ?? "none", becomes.BulkPool ?? "none");
        }
    }

    private static IEnumerable<string> Told(Guest before, Guest after, bool known)
    {
        var telling = new Telling();
        GuestShapes.Guest.Tell(before, after, telling);
        return telling.Told.Where(t => t.Known == known).Select(t => t.Text);
    }
}
