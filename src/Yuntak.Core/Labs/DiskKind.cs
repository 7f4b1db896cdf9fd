namespace Yuntak.Core.Labs;

/// <summary>What a disk is made of and how it is attached.</summary>
public enum DiskKind
{
    /// <summary>Spinning platters.</summary>
    Spinning,

    /// <summary>Flash on a SATA or SAS port.</summary>
    SataFlash,

    /// <summary>Flash on the PCI bus.</summary>
    NvmeFlash,

    /// <summary>Attached over USB.</summary>
    Usb,

    /// <summary>A memory card or soldered card flash.</summary>
    Card,

    /// <summary>A disk that a hypervisor or a storage network makes up.</summary>
    Virtual,
}
