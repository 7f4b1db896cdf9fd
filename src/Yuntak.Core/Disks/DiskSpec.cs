using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>A disk as far as sums need it: its size and what it is made of.</summary>
/// <param name="Size">Its size.</param>
/// <param name="Kind">What it is made of.</param>
public sealed record DiskSpec(ByteSize Size, DiskKind Kind = DiskKind.Spinning)
{
    /// <summary>A disk of a host.</summary>
    public static DiskSpec Of(Disk disk) => new(disk.Size, disk.Kind);

    /// <summary>Whether it is flash with its own port.</summary>
    public bool IsFlash => Kind is DiskKind.SataFlash or DiskKind.NvmeFlash;

    /// <summary>
    /// What it reads or writes in a row where nobody measured, in bytes a second: an HDD 180 MB/s on the mean over the whole disk, a SATA SSD 500 (its link ends below
    /// 600), an NVMe SSD 2,500; common practice.
    /// </summary>
    public double SequentialRate =>
        Kind switch
        {
            DiskKind.NvmeFlash => 2_500e6,
            DiskKind.SataFlash => 500e6,
            DiskKind.Usb or DiskKind.Card => 100e6,
            DiskKind.Spinning or DiskKind.Virtual => 180e6,
        };

    /// <summary>What a rebuild gets of it while little else goes on, in bytes a second: 180 MB/s for an HDD, 450 for a SATA SSD, 1,500 for an NVMe SSD; common practice.</summary>
    public double RebuildRate =>
        Kind switch
        {
            DiskKind.NvmeFlash => 1_500e6,
            DiskKind.SataFlash => 450e6,
            DiskKind.Usb or DiskKind.Card => 60e6,
            DiskKind.Spinning or DiskKind.Virtual => 180e6,
        };

    /// <summary>Hours to rebuild it.</summary>
    public double RebuildHours => Size.Bytes / RebuildRate / SecondsPerHour;

    /// <summary>Hours to read it through in a scrub or parity check: size ÷ (0.7 × what it reads in a row).</summary>
    public double ScrubHours => Size.Bytes / (ScrubShare * SequentialRate) / SecondsPerHour;

    /// <summary>Seconds in an hour.</summary>
    internal const double SecondsPerHour = 3600;

    /// <summary>The share of what a disk does in a row that a scrub reads at; common practice.</summary>
    internal const double ScrubShare = 0.7;
}
