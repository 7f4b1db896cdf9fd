namespace Yuntak.Core.Runbooks;

/// <summary>When a piece of work is done, among the others, as long as nothing it needs comes later.</summary>
internal enum Phase
{
    /// <summary>A host joins.</summary>
    HostJoins,

    /// <summary>A host gets more.</summary>
    HostGrows,

    /// <summary>Pools are made, grown, renamed, laid out anew.</summary>
    Pools,

    /// <summary>Bridges are made, addresses reserved.</summary>
    Wires,

    /// <summary>Stores, jobs and onward copies that are planned no more are taken out of use.</summary>
    CopiesEnd,

    /// <summary>A guest goes.</summary>
    GuestGoes,

    /// <summary>A guest needs no more than before.</summary>
    GuestShrinks,

    /// <summary>A guest moves to another host.</summary>
    GuestMoves,

    /// <summary>A guest needs more than before.</summary>
    GuestGrows,

    /// <summary>A guest is built.</summary>
    GuestBuilt,

    /// <summary>Ways in from outside are opened and closed.</summary>
    WaysIn,

    /// <summary>Stores, jobs and onward copies are set up, first copies taken, drills done.</summary>
    Copies,

    /// <summary>A pool comes apart.</summary>
    PoolGoes,

    /// <summary>A host gets less.</summary>
    HostShrinks,

    /// <summary>A host goes.</summary>
    HostGoes,
}
