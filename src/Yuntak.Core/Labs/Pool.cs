using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>Disks joined into one place to keep data. A pool is known by its name within its host, since the same name on two hosts is useful.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Layout">How the disks share the data.</param>
/// <param name="Family">Block array or copy-on-write.</param>
/// <param name="DiskIds">The stable ids of its disks.</param>
/// <param name="AlreadyUsed">What lies in it besides the guests' volumes.</param>
public sealed record Pool(string Name, PoolLayout Layout, PoolFamily Family, ValueList<string> DiskIds, ByteSize AlreadyUsed = default);
