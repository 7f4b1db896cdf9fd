namespace Yuntak.Core.Figures;

/// <summary>Where a number in a working came from.</summary>
public enum Origin
{
    /// <summary>Worked out from other figures.</summary>
    Computed,

    /// <summary>Read from a tool's output on the host.</summary>
    Read,

    /// <summary>Typed in by the person.</summary>
    Entered,

    /// <summary>A default nobody has confirmed yet; shown with a dotted underline.</summary>
    Assumed,

    /// <summary>A constant with a published source.</summary>
    Published,
}
