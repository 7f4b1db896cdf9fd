using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>One guest's part of its host's memory.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Sizing">Its size.</param>
public sealed record MemoryShare(Guest Guest, Sizing Sizing)
{
    /// <summary>What is counted as in use: a machine's memory (or what it may shrink to), a container's expected use, and the overhead.</summary>
    public ByteSize Committed { get; } = Needed(Guest, Sizing) + Sizing.Overhead.Value;

    /// <summary>What it may take at most: the memory given, and the overhead.</summary>
    public ByteSize Promised { get; } = ByteSize.Max(Sizing.Memory, Needed(Guest, Sizing)) + Sizing.Overhead.Value;

    private static ByteSize Needed(Guest guest, Sizing sizing) =>
        guest.Kind == GuestKind.Machine
            ? ByteSize.Min(guest.MayShrinkTo ?? sizing.Memory, sizing.Memory)
            : ByteSize.Min(sizing.ExpectedMemory, sizing.Memory);
}
