using System.Collections.Immutable;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>A simulated host.</summary>
internal sealed class SimHost
{
    /// <summary>What it is known by.</summary>
    public required HostId Id { get; init; }

    /// <summary>What it is called.</summary>
    public required string Name { get; set; }

    /// <summary>Its processor.</summary>
    public required Processor Processor { get; set; }

    /// <summary>Its memory.</summary>
    public ByteSize Memory { get; set; }

    /// <summary>What it keeps of its memory for itself whatever happens: its own system and the floor of its read cache.</summary>
    public ByteSize Keeps { get; set; }

    /// <summary>What its running guests take of its memory.</summary>
    public ByteSize Taken { get; set; }

    /// <summary>Whether it has power and runs.</summary>
    public bool On { get; set; } = true;

    /// <summary>Its pools by name.</summary>
    public ImmutableDictionary<string, SimPool> Pools { get; set; } = ImmutableDictionary<string, SimPool>.Empty;

    /// <summary>Disks that hold what nobody has said may go, and those it starts from.</summary>
    public ImmutableHashSet<string> Kept { get; set; } = [];

    /// <summary>Its bridges by name.</summary>
    public ImmutableDictionary<string, PlannedBridge> Bridges { get; set; } = ImmutableDictionary<string, PlannedBridge>.Empty;

    /// <summary>Its disks by stable id.</summary>
    public ImmutableHashSet<string> Disks { get; set; } = [];

    /// <summary>Steps of its own that hold: firmware set, system installed, engine in.</summary>
    public ImmutableHashSet<string> Settled { get; set; } = [];

    /// <summary>The guests whose install medium, disk or template lies on it.</summary>
    public ImmutableHashSet<GuestId> Images { get; set; } = [];

    /// <summary>Devices that something on the host itself holds on to.</summary>
    public ImmutableHashSet<string> Busy { get; set; } = [];

    /// <summary>Whether the page that makes its first administrator has closed, or somebody else was first.</summary>
    public bool SetUpClosed { get; set; }

    /// <summary>Whether a container engine answers on it.</summary>
    public bool Engine { get; set; }

    /// <summary>Memory no running guest takes.</summary>
    public ByteSize FreeMemory => Memory - Keeps - Taken;

    /// <summary>The same, to go ahead on without changing this.</summary>
    public SimHost Copy()
    {
        var copy = (SimHost)MemberwiseClone();
        copy.Pools = Pools.ToImmutableDictionary(p => p.Key, p => p.Value.Copy());
        return copy;
    }
}
