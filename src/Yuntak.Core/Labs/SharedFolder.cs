using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>A folder of a pool that several guests use: one size, counted once, and one owner that backs it up.</summary>
/// <param name="Name">Its name, once in a lab.</param>
/// <param name="Host">The host whose pool it lies in.</param>
/// <param name="Pool">The name of that pool.</param>
/// <param name="Size">What is in it.</param>
/// <param name="Uses">The guests that see it.</param>
/// <param name="BackedUpBy">The guest whose backup takes it along; null while nobody's does.</param>
public sealed record SharedFolder(
    string Name,
    HostId Host,
    string Pool,
    ByteSize Size,
    ValueList<FolderUse> Uses = default,
    GuestId? BackedUpBy = null
)
{
    /// <summary>Whether it holds a guest's bulk data, so that the guest claims none beside it.</summary>
    public bool HoldsBulkOf(GuestId guest) => Uses.Any(u => u.Guest == guest && u.InPlaceOfBulk);
}
