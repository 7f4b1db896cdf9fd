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

    /// <summary>A part of a host: a disk, a card, what is plugged in.</summary>
    Part,

    /// <summary>A step that is to be done.</summary>
    Step,

    /// <summary>Something that can be asked for.</summary>
    Ask,

    /// <summary>A station.</summary>
    Station,

    /// <summary>What sums are made of.</summary>
    Source,

    /// <summary>A rule of the book.</summary>
    Rule,

    /// <summary>A page.</summary>
    Page,
}
