using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>The sizes that disks are sold in.</summary>
public static class SoldDisks
{
    private static readonly int[] Together = [1, 2, 4];

    private static readonly double[] Terabytes = [1, 2, 4, 6, 8, 12, 16, 20, 24];

    /// <summary>The smallest that holds an amount; null where one disk does not.</summary>
    public static ByteSize? Holding(ByteSize amount) =>
        Terabytes.Where(t => t * 1e12 >= amount.Bytes).Select(t => (ByteSize?)ByteSize.FromTB(t)).FirstOrDefault();

    /// <summary>Sizes worth comparing for an amount: one disk that holds all of it, two, and four; the largest that is sold where one does not.</summary>
    public static IEnumerable<ByteSize> Worth(ByteSize amount) =>
        Together.Select(disks => Holding(amount / disks) ?? ByteSize.FromTB(Terabytes[^1])).Distinct();
}
