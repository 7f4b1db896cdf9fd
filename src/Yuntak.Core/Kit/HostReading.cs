using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit;

/// <summary>What a host's own tools said about it. Whatever was not in the text is null or empty.</summary>
/// <param name="Processor">Its processors.</param>
/// <param name="Memory">Memory the kernel can use.</param>
/// <param name="Disks">Its disks.</param>
/// <param name="Parts">What became of each part of the text.</param>
public sealed record HostReading(Processor? Processor, ByteSize? Memory, IReadOnlyList<Disk> Disks, IReadOnlyList<PartReading> Parts)
{
    /// <summary>Whether anything at all was read.</summary>
    public bool HasAnything => Processor is not null || Memory is not null || Disks.Count > 0;

    /// <summary>All problems, in the order of the text.</summary>
    public IEnumerable<string> Problems => Parts.SelectMany(p => p.Problems);

    /// <summary>What was read, in one sentence.</summary>
    public string Words()
    {
        List<string> words = [];
        if (Processor is { } p)
        {
            words.Add($"{Numbers.Count(p.Cores, "core")}, {Numbers.Count(p.Threads, "thread")} ({p.Architecture})");
        }

        if (Memory is { } memory)
        {
            words.Add($"{memory} of memory");
        }

        if (Disks.Count > 0)
        {
            words.Add(Numbers.Count(Disks.Count, "disk"));
        }

        return words.Count == 0 ? "nothing that describes a host" : string.Join(", ", words);
    }
}
