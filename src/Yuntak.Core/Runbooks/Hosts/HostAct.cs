using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Runbooks;

/// <summary>Something done on a host that asks for no more than the host itself.</summary>
/// <param name="Host">The host.</param>
internal abstract record HostAct(HostId Host) : Act
{
    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("host", Host.Value)];

    internal override HostId? On => Host;

    /// <inheritdoc/>
    internal override void Do(SimHouse house, Plan plan)
    {
        if (house.HostIf(Host) is null && plan.Draft.Host(Host) is { } joins)
        {
            var bare = HouseMaker.Bare(plan.Sums, joins);
            bare.Bridges = bare.Bridges.AddRange(BridgeWork.ReadAsPlanned(joins).Select(b => KeyValuePair.Create(b.Name, b)));
            house.Join(bare);
        }

        var host = house.Host(Host);
        Affect(house, host, plan);
        host.Settled = host.Settled.Add(Mark);
    }

    /// <summary>What it does to the host.</summary>
    /// <exception cref="HostRefuses">The host refuses.</exception>
    internal abstract void Affect(SimHouse house, SimHost host, Plan plan);

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [
            new Proof("", h => h.Host(Host).Settled.Contains(Mark)),
            .. AtAddress is { } address
                ?
                [
                    new Proof(
                        $"From another machine, arping -c 3 {address} shows one hardware address only.",
                        h => !h.TakenAddresses.Contains(address)
                    ),
                ]
                : Array.Empty<Proof>(),
        ];
}
