using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes the install medium out of a host and restarts it.</summary>
/// <param name="Host">The host.</param>
/// <param name="BootFrom">The stable id of the disk it starts from; null while nobody knows.</param>
internal sealed record TakeMediumOut(HostId Host, string? BootFrom) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "take-medium-out";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("bootFrom", BootFrom)];

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            "Take the install medium out and restart",
            [
                new("first in the boot order", BootDisk.Named(plan, Host, BootFrom)),
                new("install medium", "unplugged, and not in the boot order"),
            ],
            "It comes up by itself, without keyboard or picture, within a few minutes.",
            "The installer again? The medium is still plugged in or still first.",
            "Plug the medium in and install again."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
