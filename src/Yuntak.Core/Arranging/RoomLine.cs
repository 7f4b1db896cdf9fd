namespace Yuntak.Core.Arranging;

/// <summary>What a line of a host measures.</summary>
internal enum RoomLine
{
    /// <summary>Memory, in bytes: the hard line is the memory with the read cache at its floor, the comfortable one 90 % with the cache that is wanted.</summary>
    Memory,

    /// <summary>Memory promised, in bytes; only comfortable or not.</summary>
    Promised,

    /// <summary>Cores at an hour, in billionths of a core.</summary>
    Cores,

    /// <summary>Virtual processors; only comfortable or not.</summary>
    Vcpu,

    /// <summary>Room of a pool, in bytes.</summary>
    Pool,

    /// <summary>Room promised of a thin pool, in bytes; only comfortable or not.</summary>
    PoolPromised,
}
