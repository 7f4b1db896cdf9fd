using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Maps the groups that may use nodes on the host into an unprivileged container.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Devices">The devices whose nodes are handed in.</param>
internal sealed record MapGroups(GuestId Guest, HostId? Host, ValueList<HandedDevice> Devices) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "map-groups";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("devices", Devices.Select(d => d.Key))];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan) =>
        new(
            $"Map the group of the node into {plan.NameOf(Guest)}",
            [
                .. plan.Host(Host) is { } host
                    ? Devices.Select(d => new StepValue(
                        "number of the group on the host",
                        $"stat -L -c '%G %g' {ClaimLines.NodeOf(plan.MapOf(host), d.Need, d.Device)}",
                        Literal: true
                    ))
                    : [],
                new("number of the group inside", "getent group render video dialout plugdev audio", Literal: true),
                new("allow it on the host, in /etc/subgid", "root:<number on the host>:1", Literal: true),
                new("map it", "<number inside> → <number on the host>, a range of 1; the ranges around it stay as they were"),
            ],
            "Inside, ls -ln shows the node with the number the group has there; 65534 means it is not mapped.",
            "Refused to start? The ranges overlap or leave a gap: below, exactly that number, and above add up to 65536.",
            "Take the three lines out; the container starts as before, without the device."
        );

    internal override void Affect(SimHouse house, Plan plan) => house.ShutDown(Guest);

    internal override bool NeedsOff => true;
}
