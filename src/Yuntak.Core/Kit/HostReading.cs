using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit;

/// <summary>What a host's own tools said about it. Whatever was not in the text is null or empty.</summary>
/// <param name="Processor">Its processors.</param>
/// <param name="Memory">Memory the kernel can use.</param>
/// <param name="Disks">Its disks, with their health where it was in the text.</param>
/// <param name="Parts">What became of each part of the text.</param>
public sealed record HostReading(Processor? Processor, ByteSize? Memory, IReadOnlyList<Disk> Disks, IReadOnlyList<PartReading> Parts)
{
    /// <summary>Everything else that was read.</summary>
    public Hardware Hardware { get; init; } = Hardware.None;

    /// <summary>Health of disks that are not among <see cref="Disks"/>, as when only that part was given.</summary>
    public IReadOnlyList<HealthReading> OtherHealth { get; init; } = [];

    /// <summary>Whether the kernel offers virtualisation; null when nobody looked.</summary>
    public bool? VirtualisationOffered { get; init; }

    /// <summary>Whether the addresses are set for good in the host; null when they are handed out or were not read.</summary>
    public bool? AddressFixed { get; init; }

    /// <summary>The speed of a core, with 1 for the reference core; null when it was not measured.</summary>
    public double? CoreSpeed { get; init; }

    /// <summary>What the host calls itself.</summary>
    public string? HostName { get; init; }

    /// <summary>The day it was read.</summary>
    public DateOnly? On { get; init; }

    /// <summary>Whether anything at all was read.</summary>
    public bool HasAnything =>
        Processor is not null
        || Memory is not null
        || Disks.Count > 0
        || Hardware != Hardware.None
        || OtherHealth.Count > 0
        || CoreSpeed is not null;

    /// <summary>All problems, in the order of the text.</summary>
    public IEnumerable<string> Problems => Parts.SelectMany(p => p.Problems);

    /// <summary>Whether a part was in the text and something was read from it.</summary>
    public bool Has(string part) => Parts.Any(p => p.Part == part && p.Read > 0);

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

        Say(words, Disks.Count, "disk");
        Say(words, Hardware.Functions.Count, "card or chip on the bus", "cards and chips on the bus");
        Say(words, Hardware.UsbDevices.Count, "USB device");
        Say(words, Hardware.Ports.Count, "network port");
        Say(words, Hardware.Found.Count, "pool that stands", "pools that stand");
        Say(words, Hardware.Runs.Count(r => r.Kind is not null), "guest that runs", "guests that run");
        if (words.Count == 0 && HasAnything)
        {
            words.Add(string.Join(", ", Parts.Where(part => part.Read > 0).Select(part => part.Part)));
        }

        return words.Count == 0 ? "nothing that describes a host" : string.Join(", ", words);
    }

    private static void Say(List<string> words, int count, string one, string? many = null)
    {
        if (count > 0)
        {
            words.Add(Numbers.Count(count, one, many));
        }
    }
}
