using Yuntak.Core.Base;

namespace Yuntak.Core.Disks;

/// <summary>The words for how disks are offered.</summary>
public static class DiskWords
{
    /// <summary>How disks are offered.</summary>
    public static readonly WordTable<DiskCondition> Conditions = new(
        (DiskCondition.New, "new", "new"),
        (DiskCondition.Recertified, "recertified", "recertified"),
        (DiskCondition.Refurbished, "refurbished", "refurbished")
    );

    /// <summary>How a disk is offered, in words.</summary>
    public static string Words(this DiskCondition condition) => Conditions.Display(condition);
}
