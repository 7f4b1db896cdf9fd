using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes a bridge of a host away.</summary>
/// <param name="Host">The host.</param>
/// <param name="Bridge">What it is called.</param>
internal sealed record RemoveBridge(HostId Host, string Bridge) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "remove-bridge";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("bridge", Bridge)];

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            $"Take the bridge {Bridge} away",
            [new("see what hangs on it", $"ip -br link show master {Bridge}", Literal: true)],
            $"Nothing hung on it, and {plan.NameOf(Host)} answers from another machine.",
            "Something hangs on it? Then it is still in use: leave it, and correct the plan.",
            "Make it again.",
            $"Look first whether {plan.NameOf(Host)} is looked after through it. If so, leave it and plan it again."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan)
    {
        if (house.Guests.FirstOrDefault(g => g.Host == Host && g.State != GuestState.Off && g.Bridges.Contains(Bridge)) is { } user)
        {
            throw new HostRefuses($"{Bridge} is in use: {user.Figures.Name} hangs on it.");
        }

        host.Bridges = host.Bridges.Remove(Bridge);
    }
}
