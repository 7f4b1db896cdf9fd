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
    /// <summary>Whether its memory is pinned: a device handed over whole may reach all of it at any time, so none can be given back.</summary>
    public bool IsPinned => Pinned(Guest);

    /// <summary>What is counted as in use: a machine's memory (or what it may shrink to, unless it is pinned), a container's expected use, and the overhead.</summary>
    public ByteSize Committed { get; } = Needed(Guest, Sizing) + Sizing.Overhead.Value;

    /// <summary>What it may take at most: the ceiling it may reach, and the overhead.</summary>
    public ByteSize Promised { get; } = ByteSize.Max(Sizing.Ceiling, Needed(Guest, Sizing)) + Sizing.Overhead.Value;

    private static bool Pinned(Guest guest) => guest.Kind == GuestKind.Machine && guest.IsPinned;

    private static ByteSize Needed(Guest guest, Sizing sizing) =>
        guest.Kind == GuestKind.Machine
            ? ByteSize.Min(Pinned(guest) ? sizing.Memory : guest.MayShrinkTo ?? sizing.Memory, sizing.Memory)
            : ByteSize.Min(sizing.ExpectedMemory, sizing.Memory);
}
