using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>
/// What ext4 with the defaults of its own tools leaves of a block device: bitmaps and inode tables in every group, copies of the superblock and of the group
/// descriptors with room to grow, a journal, and 5 % reserved for root. From the ext4 disk layout in the kernel's documentation and mke2fs.conf(5); checked
/// against mkfs.ext4 itself.
/// </summary>
/// <param name="Device">The block device.</param>
/// <param name="Metadata">What the file system keeps for itself.</param>
/// <param name="Reserved">Reserved for root: 5 %.</param>
public sealed record Ext4Room(ByteSize Device, ByteSize Metadata, ByteSize Reserved)
{
    private const long Block = 4096;
    private const long BlocksPerGroup = 32_768;
    private const long DescriptorsPerBlock = Block / 64;
    private const long MostReservedDescriptorBlocks = 1024;
    private const double RootShare = 0.05;
    private const int InodeBytes = 256;
    private static readonly ByteSize Big = ByteSize.FromGiB(4096);
    private static readonly ByteSize Huge = ByteSize.FromGiB(16_384);

    /// <summary>What is left for files.</summary>
    public ByteSize ForFiles => ByteSize.Max(ByteSize.Zero, Device - Metadata - Reserved);

    /// <summary>The room of a device; from 512 MiB on, below which the tools choose other defaults.</summary>
    public static Ext4Room Of(ByteSize device)
    {
        var blocks = device.Bytes / Block;
        var groups = CeilingOf(blocks, BlocksPerGroup);
        var perInode =
            device >= Huge ? 65_536L
            : device >= Big ? 32_768L
            : 16_384L;
        var inodeBlocks = device.Bytes / perInode * InodeBytes / Block;
        var descriptors = CeilingOf(groups, DescriptorsPerBlock);
        var grown = CeilingOf(CeilingOf(Math.Min(uint.MaxValue, blocks * 1024), BlocksPerGroup), DescriptorsPerBlock) - descriptors;
        var growth = Math.Clamp(grown, 0, MostReservedDescriptorBlocks);
        var copies = Copies(groups);
        var metadata = (2 * groups) + inodeBlocks + (copies * (1 + descriptors + growth)) + JournalBlocks(blocks);
        return new Ext4Room(device, new ByteSize(metadata * Block), device * RootShare);
    }

    /// <summary>The journal mke2fs gives a file system of so many blocks.</summary>
    private static long JournalBlocks(long blocks) =>
        blocks switch
        {
            < 256 * 1024 => 4_096,
            < 512 * 1024 => 8_192,
            < 4_096 * 1024 => 16_384,
            < 8_192 * 1024 => 32_768,
            < 16_384 * 1024 => 65_536,
            < 32_768 * 1024 => 131_072,
            _ => 262_144,
        };

    /// <summary>Groups that hold a copy of the superblock: 0, 1 and the powers of 3, 5 and 7.</summary>
    private static long Copies(long groups)
    {
        var copies = Math.Min(2, groups);
        foreach (var root in new long[] { 3, 5, 7 })
        {
            for (var power = root; power < groups; power *= root)
            {
                copies++;
            }
        }

        return copies;
    }

    private static long CeilingOf(long a, long b) => (a + b - 1) / b;
}
