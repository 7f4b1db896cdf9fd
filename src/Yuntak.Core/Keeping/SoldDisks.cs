using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>The sizes that disks are sold in.</summary>
internal static class SoldDisks
{
    private static readonly double[] Terabytes = [1, 2, 4, 6, 8, 12, 16, 20, 24];

    /// <summary>The smallest that holds an amount; null where one disk does not.</summary>
    public static ByteSize? Holding(ByteSize amount) =>
        Terabytes.Where(t => t * 1e12 >= amount.Bytes).Select(t => (ByteSize?)ByteSize.FromTB(t)).FirstOrDefault();
}
