namespace Yuntak.Core.Findings;

/// <summary>The stations of the work, in its order. A station is listed here once it works.</summary>
public enum Station
{
    /// <summary>Taking stock of hosts.</summary>
    Kit,

    /// <summary>What is asked for, and its size.</summary>
    Wants,

    /// <summary>Pools: room, risk, cost and growth.</summary>
    Disks,

    /// <summary>Who has which hardware.</summary>
    Devices,

    /// <summary>Networks, addresses, ports, shares, and what the outside reaches.</summary>
    Wires,

    /// <summary>Putting guests on hosts.</summary>
    Bench,

    /// <summary>The ordered steps.</summary>
    Runbook,

    /// <summary>Copies that come back.</summary>
    Keeping,
}
