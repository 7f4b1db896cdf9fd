using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>An array of the kernel.</summary>
/// <param name="Device">Its name: «md0».</param>
/// <param name="Layout">How its disks share the data.</param>
/// <param name="Parts">The devices in it, by name.</param>
/// <param name="Missing">How many of them are missing.</param>
internal sealed record FoundArray(string Device, PoolLayout Layout, ValueList<string> Parts, int Missing)
{
    /// <summary>The layout the kernel calls so; null for anything else.</summary>
    public static PoolLayout? LayoutOf(string? level) =>
        level switch
        {
            "raid0" or "linear" or "stripe" => PoolLayout.Stripe,
            "raid1" or "mirror" => PoolLayout.Mirror,
            "raid10" => PoolLayout.StripedMirrors,
            "raid4" => PoolLayout.Dedicated1,
            "raid5" or "raid5_ls" => PoolLayout.Parity1,
            "raid6" or "raid6_zr" => PoolLayout.Parity2,
            _ => null,
        };
}
