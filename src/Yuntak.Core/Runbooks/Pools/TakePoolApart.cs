using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes a pool apart. What is still in it is lost with it; its disks are free afterwards, and wiped by whatever uses them next.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool.</param>
/// <param name="Disks">The stable ids of its disks.</param>
internal sealed record TakePoolApart(HostId Host, string Pool, ValueList<string> Disks) : PoolAct(Host, Pool)
{
    /// <inheritdoc/>
    public override string Type => "take-pool-apart";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("disks", Disks)];

    internal override Duration Takes(Plan plan) => new(10);

    internal override void Apply(DiskState disks) => disks.Apart(Host, Pool);

    internal override ActText Text(Plan plan) =>
        new(
            $"Take the pool {Pool} apart",
            [.. plan.Seen(Host, Disks)],
            "The host shows the disks as unused.",
            "Busy? A guest or a share still uses it.",
            "None: what was in it comes back from a backup only.",
            $"This destroys everything in {Pool}. Copy what you need first."
        );

    internal override bool GoesBack => false;

    internal override void Affect(SimHouse house, Plan plan) => house.TakeApart(Host, Pool);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => !h.Host(Host).Pools.ContainsKey(Pool))];
}
