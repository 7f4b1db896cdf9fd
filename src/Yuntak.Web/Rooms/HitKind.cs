using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Web.Rooms;

/// <summary>What a search can find, in the order it is shown.</summary>
public enum HitKind
{
    /// <summary>A thing of the lab: a host, a guest.</summary>
    Thing,

    /// <summary>Something that stands out.</summary>
    Finding,

    /// <summary>Something that can be asked for.</summary>
    Ask,

    /// <summary>A station.</summary>
    Station,

    /// <summary>What sums are made of.</summary>
    Source,

    /// <summary>A page.</summary>
    Page,
}
