using System.Collections.Immutable;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>A pool of a simulated host.</summary>
internal sealed class SimPool
{
    /// <summary>What it is called.</summary>
    public required string Name { get; set; }

    /// <summary>The pool as it was made: layout, family, groups, encryption.</summary>
    public required Pool Made { get; set; }

    /// <summary>The stable ids of its disks.</summary>
    public required ImmutableHashSet<string> Disks { get; set; }

    /// <summary>What goes into it.</summary>
    public ByteSize Room { get; set; }

    /// <summary>What lies in it beside the volumes of guests.</summary>
    public ByteSize Other { get; set; }

    /// <summary>What lies in it in all.</summary>
    public ByteSize Used { get; set; }

    /// <summary>Whether everything in it has been copied elsewhere.</summary>
    public bool CopiedAway { get; set; }

    /// <summary>Steps that were done to it.</summary>
    public ImmutableHashSet<string> Settled { get; set; } = [];

    /// <summary>What is free; never below nothing.</summary>
    public ByteSize Free => ByteSize.Max(ByteSize.Zero, Room - Used);

    /// <summary>The same, to go ahead on without changing this.</summary>
    public SimPool Copy() => (SimPool)MemberwiseClone();
}
