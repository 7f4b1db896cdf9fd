namespace Yuntak.Formats.Intake;

/// <summary>What a stretch of text looks like.</summary>
internal enum RawKind
{
    /// <summary>A JSON object or array.</summary>
    Json,

    /// <summary>Lines «name: value» as in /proc/meminfo.</summary>
    Meminfo,

    /// <summary>Lines «name: value» as lscpu prints them without -J.</summary>
    PlainLscpu,

    /// <summary>Records of lspci, one property a line.</summary>
    LspciRecords,

    /// <summary>lspci for people, with indented lines below each function.</summary>
    PlainLspci,

    /// <summary>The list of lsusb.</summary>
    UsbList,

    /// <summary>The tree of lsusb.</summary>
    UsbTree,

    /// <summary>Paths below /sys, with or without a value.</summary>
    SysPaths,

    /// <summary>Lines «key: value» of a battery backup's daemon.</summary>
    Battery,

    /// <summary>Tables of dmidecode.</summary>
    Dmi,

    /// <summary>The kernel's arrays, as in /proc/mdstat.</summary>
    Mdstat,

    /// <summary>Lines of ss.</summary>
    Listeners,

    /// <summary>The script's own measure of a core.</summary>
    CoreSpeed,

    /// <summary>A header of the script's bundle.</summary>
    Header,

    /// <summary>A line of the script that says why something was not run.</summary>
    NotRun,

    /// <summary>Anything else.</summary>
    Other,
}
