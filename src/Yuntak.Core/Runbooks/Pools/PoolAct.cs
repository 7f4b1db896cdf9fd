using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Something done with a pool of a host.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool's name.</param>
internal abstract record PoolAct(HostId Host, string Pool) : Act
{
    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("host", Host.Value), Value("pool", Pool)];

    internal override HostId? On => Host;

    /// <inheritdoc/>
    internal override void Do(SimHouse house, Plan plan)
    {
        Affect(house, plan);
        if (house.Host(Host).Pools.GetValueOrDefault(Now) is { } pool)
        {
            pool.Settled = pool.Settled.Add(Mark);
        }
    }

    /// <summary>What it does to the pool.</summary>
    /// <exception cref="HostRefuses">The host refuses.</exception>
    internal abstract void Affect(SimHouse house, Plan plan);

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [new Proof("", h => h.Host(Host).Pools.GetValueOrDefault(Now)?.Settled.Contains(Mark) == true)];

    /// <summary>What the pool is called afterwards.</summary>
    private protected virtual string Now => Pool;

    /// <summary>The room the planned pool has, and what lies in it beside the volumes of guests.</summary>
    private protected (ByteSize Room, ByteSize Other) RoomOf(Plan plan) =>
        plan.Sums.Host(Host)?.Pool(Pool) is { } budget ? (budget.Room.Usable, budget.BesideGuests) : default;
}
