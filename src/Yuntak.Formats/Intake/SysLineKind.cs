using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>What a path below /sys tells.</summary>
internal enum SysLineKind
{
    /// <summary>A function is in an isolation group.</summary>
    Group,

    /// <summary>The ways a function can be reset.</summary>
    Reset,

    /// <summary>How many slices a function can be cut into.</summary>
    Slices,

    /// <summary>What the kernel was started with.</summary>
    Switches,

    /// <summary>The console is shown on a function.</summary>
    Console,

    /// <summary>A function is in a slot.</summary>
    Slot,

    /// <summary>A USB device or bus hangs on a controller.</summary>
    UsbPath,

    /// <summary>A property of a USB device or bus.</summary>
    UsbValue,

    /// <summary>A network port hangs on a function.</summary>
    NetPath,

    /// <summary>A property of a network port.</summary>
    NetValue,

    /// <summary>A disk hangs on a function.</summary>
    BlockPath,

    /// <summary>A property of the firmware or board.</summary>
    Firmware,

    /// <summary>The kernel offers virtualisation.</summary>
    Virtualisation,

    /// <summary>A value of a control group.</summary>
    ControlGroup,
}
