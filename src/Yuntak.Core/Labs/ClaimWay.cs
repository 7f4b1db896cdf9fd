namespace Yuntak.Core.Labs;

/// <summary>The ways to hand a device to a guest.</summary>
public enum ClaimWay
{
    /// <summary>A whole function to a machine.</summary>
    Whole,

    /// <summary>One USB device to a machine, by vendor and product id.</summary>
    UsbId,

    /// <summary>One USB device to a machine, by the path of its port.</summary>
    UsbPort,

    /// <summary>A device node of the host, shared into containers.</summary>
    Node,

    /// <summary>A virtual function of a card.</summary>
    Slice,
}
