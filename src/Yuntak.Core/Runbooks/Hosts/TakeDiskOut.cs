using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes a disk that belongs to no pool out of a host. What is on it stays on it.</summary>
/// <param name="Host">The host.</param>
/// <param name="Disk">Its stable id.</param>
internal sealed record TakeDiskOut(HostId Host, string Disk) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "take-disk-out";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("disk", Disk)];

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan) =>
        new(
            "Take a disk out",
            [.. plan.Seen(Host, [Disk]), new("find it by", "the serial number on its label, held against the id; never by kernel name")],
            "The host starts without it, and everything on it answers.",
            "Something is missing? Put it back: it was needed.",
            "Put it back.",
            $"On it: {plan.Named(Host, Disk)}. It may hold private data: keep it or wipe it before it leaves the house. Unplug the mains before you open the host."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan)
    {
        if (host.Pools.Values.FirstOrDefault(p => p.Disks.Contains(Disk)) is { } pool)
        {
            throw new HostRefuses($"{Disk} is busy: it is in the pool {pool.Name}.");
        }

        host.Disks = host.Disks.Remove(Disk);
    }
}
