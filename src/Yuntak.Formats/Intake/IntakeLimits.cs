using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>How much is read at most. What is beyond is left out with a word about it; what came before is kept.</summary>
public static class IntakeLimits
{
    /// <summary>The longest text: 32 MiB. The outputs of a host with a hundred disks stay under two.</summary>
    public static readonly ByteSize LongestText = ByteSize.FromMiB(32);

    /// <summary>The longest part of a text, in characters: one tool's output. The rest of it is passed over.</summary>
    public const int LongestPart = 6 * 1024 * 1024;

    /// <summary>The most disks taken from one text.</summary>
    public const int MostDisks = 512;

    /// <summary>The most cards, USB devices, network ports, sensors and the like, of each sort.</summary>
    public const int MostThings = 4_096;
}
