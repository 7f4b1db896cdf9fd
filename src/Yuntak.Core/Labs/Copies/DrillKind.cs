namespace Yuntak.Core.Labs;

/// <summary>What a drill brings back.</summary>
public enum DrillKind
{
    /// <summary>A whole guest.</summary>
    Guest,

    /// <summary>One file.</summary>
    File,

    /// <summary>The settings of a host, or a bare machine.</summary>
    Host,

    /// <summary>The whole house, in order of importance.</summary>
    House,

    /// <summary>The lab itself from its own file.</summary>
    Lab,
}
