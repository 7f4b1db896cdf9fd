using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>A place for a memory module.</summary>
/// <param name="Name">As printed on the board.</param>
/// <param name="Size">The module in it; null when the place is free.</param>
public sealed record MemorySlot(string Name, ByteSize? Size);
