namespace Yuntak.Core.Units;

/// <summary>How fast data goes. Decimal, as links and disks are sold.</summary>
/// <param name="BitsPerSecond">Bits in a second.</param>
public readonly record struct DataRate(double BitsPerSecond)
{
    /// <summary>Bytes in a second.</summary>
    public double BytesPerSecond => BitsPerSecond / 8;

    /// <summary>From megabits in a second, as links are sold.</summary>
    public static DataRate FromMbps(double mbps) => new(mbps * 1e6);

    /// <summary>From bytes in a second, as disks are measured.</summary>
    public static DataRate FromBytes(double bytesPerSecond) => new(bytesPerSecond * 8);

    /// <summary>As links are spoken of: «2.5 Gbit/s».</summary>
    public override string ToString() =>
        BitsPerSecond >= 1e9 ? $"{Numbers.Short(BitsPerSecond / 1e9)}{Numbers.ThinSpace}Gbit/s"
        : BitsPerSecond >= 1e6 ? $"{Numbers.Short(BitsPerSecond / 1e6)}{Numbers.ThinSpace}Mbit/s"
        : $"{Numbers.Short(BitsPerSecond / 1e3)}{Numbers.ThinSpace}kbit/s";

    /// <summary>As disks are spoken of: «113 MB/s».</summary>
    public string ToBytesString() =>
        BytesPerSecond >= 1e9 ? $"{Numbers.Short(BytesPerSecond / 1e9)}{Numbers.ThinSpace}GB/s"
        : BytesPerSecond >= 1e6 ? $"{Numbers.Short(BytesPerSecond / 1e6)}{Numbers.ThinSpace}MB/s"
        : $"{Numbers.Short(BytesPerSecond / 1e3)}{Numbers.ThinSpace}kB/s";
}
