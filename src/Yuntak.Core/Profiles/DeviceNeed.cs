namespace Yuntak.Core.Profiles;

/// <summary>What sort of device a guest needs.</summary>
public enum DeviceNeed
{
    /// <summary>A radio stick.</summary>
    RadioStick,

    /// <summary>A graphics chip whose encoder converts video.</summary>
    VideoEncoder,

    /// <summary>An AI accelerator.</summary>
    AiAccelerator,

    /// <summary>A controller with all its disks.</summary>
    DiskController,

    /// <summary>A network port of its own.</summary>
    NetworkPort,

    /// <summary>A serial adapter.</summary>
    SerialAdapter,

    /// <summary>A sound card.</summary>
    Sound,

    /// <summary>Any other device, which is named.</summary>
    Other,
}
