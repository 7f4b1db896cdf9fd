namespace Yuntak.Core.Labs;

/// <summary>A volume of a guest.</summary>
public enum VolumePart
{
    /// <summary>The disk it starts from.</summary>
    System,

    /// <summary>Its bulk data.</summary>
    Bulk,
}
