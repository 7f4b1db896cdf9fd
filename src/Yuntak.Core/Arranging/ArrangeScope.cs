namespace Yuntak.Core.Arranging;

/// <summary>Which guests may be moved.</summary>
public enum ArrangeScope
{
    /// <summary>Every guest that is not pinned.</summary>
    Everything,

    /// <summary>Those that are on one host.</summary>
    OneHost,

    /// <summary>Those without a host only.</summary>
    Unplaced,
}
