using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>What is asked of an arrangement.</summary>
public sealed record ArrangeAsk
{
    /// <summary>How long is searched unless somebody says otherwise, in seconds.</summary>
    public const double UsualSeconds = 5;

    /// <summary>The longest that can be asked for, in seconds.</summary>
    public const double MostSeconds = 120;

    /// <summary>Which guests may be moved.</summary>
    public ArrangeScope Scope { get; init; }

    /// <summary>The host whose guests may be moved, where the scope is one host.</summary>
    public HostId? Of { get; init; }

    /// <summary>A host that is to be emptied, to service or to sell it; null for none.</summary>
    public HostId? Empty { get; init; }

    /// <summary>Whether the emptied host is away rather than emptied: only its guests move, and pinned ones go where they can.</summary>
    internal bool Away { get; init; }

    /// <summary>Whether of a host that is away only the guests count that are to keep running.</summary>
    internal bool OnlySurvivors { get; init; }

    /// <summary>Whether every guest that must run is to keep running with any one host away; else only those marked so.</summary>
    public bool SurviveOne { get; init; }

    /// <summary>What is preferred in the end.</summary>
    public Prefer Prefer { get; init; }

    /// <summary>Whether the offers of the lab may be bought, as few and cheap as can be.</summary>
    public bool WithOffers { get; init; }

    /// <summary>The only offer that may be bought; null for all of them.</summary>
    public string? Offer { get; init; }

    /// <summary>How long is searched, in seconds.</summary>
    public double Seconds { get; init; } = UsualSeconds;

    /// <summary>Where the search begins; the same for the same answer.</summary>
    public int Seed { get; init; } = 1;
}
