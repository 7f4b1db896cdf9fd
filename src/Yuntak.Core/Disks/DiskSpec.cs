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

    /// <summary>What it reads or writes in a row, in bytes a second; common practice.</summary>
    public double SequentialRate => RebuildRate / RebuildShare;

    /// <summary>What a rebuild gets of it, in bytes a second: 60 % of what it does in a row, 180 MB/s for spinning, 450 for SATA flash, 1,500 for NVMe; common practice.</summary>
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

    /// <summary>The share of what a disk does in a row that a rebuild gets beside ordinary work; common practice.</summary>
    public const double RebuildShare = 0.6;

    /// <summary>Seconds in an hour.</summary>
    internal const double SecondsPerHour = 3600;

    /// <summary>The share of what a disk does in a row that a scrub reads at; common practice.</summary>
    internal const double ScrubShare = 0.7;
}
