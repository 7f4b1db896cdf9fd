namespace Yuntak.Core.Labs;

/// <summary>What sort of video encoder a host has, for when nobody measured it.</summary>
public enum EncoderClass
{
    /// <summary>None.</summary>
    None,

    /// <summary>Recent graphics built into the processor.</summary>
    RecentGraphics,

    /// <summary>Older graphics built into the processor.</summary>
    OlderGraphics,

    /// <summary>A graphics card.</summary>
    Card,
}
