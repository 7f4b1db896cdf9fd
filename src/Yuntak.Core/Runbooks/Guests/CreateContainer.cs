using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Creates a system container from a template.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="With">Its figures.</param>
internal sealed record CreateContainer(GuestId Guest, HostId? Host, GuestFigures With) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "create-system-container";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, .. With.Values];

    internal override Duration Takes(Plan plan) => new(3);

    internal override ActText Text(Plan plan) =>
        new(
            $"Create the system container from a template, {(With.Privileged ? "privileged" : "unprivileged")}",
            [
                new("name", Names.Slug(With.Name), Literal: true),
                new("virtual processors", With.Vcpu.ToString()),
                new("memory, at most", Plan.MemoryText(With.Memory)),
                new("system disk", $"{With.SystemDisk} in {GuestFigures.PoolWords(With.SystemPool)}"),
                new("privileged", With.Privileged ? "yes: root inside it is root on the host" : "no"),
                .. With.Nesting ? [new StepValue("nesting", "on, for the app engine in it")] : Array.Empty<StepValue>(),
                .. WireValues.Of(plan, Guest),
                new("start with the host", "not yet"),
            ],
            "It is on the host's list, off, with these figures.",
            "No template? Fetch one for the host's processor family first. No room? Look what fills the pool before you delete anything.",
            "Delete the container; nothing is in it yet."
        );

    internal override bool Writes => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        if (!house.Host(Host).Images.Contains(Guest))
        {
            throw new HostRefuses($"No such template on {house.Host(Host).Name}.");
        }

        house.Create(GuestNeeds.Of(plan.Sums, Guest));
    }
}
