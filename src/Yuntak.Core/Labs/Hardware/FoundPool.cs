using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>Disks that were found joined, or mounted by themselves, when the host was read.</summary>
/// <param name="Name">What it is called there.</param>
/// <param name="Layout">How its disks share the data, as far as the tools say.</param>
/// <param name="Family">Block array or copy-on-write.</param>
/// <param name="DiskIds">The stable ids of its disks.</param>
/// <param name="MountedAt">Where it is mounted, if it is.</param>
/// <param name="Size">Its room, when that was read.</param>
/// <param name="Used">What is in it, when that was read.</param>
/// <param name="Unsure">What the tools did not say and was guessed; null when nothing was.</param>
/// <param name="Missing">How many of its disks were missing.</param>
public sealed record FoundPool(
    string Name,
    PoolLayout Layout,
    PoolFamily Family,
    ValueList<string> DiskIds,
    string? MountedAt = null,
    ByteSize? Size = null,
    ByteSize? Used = null,
    string? Unsure = null,
    int Missing = 0
);
