using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Puts other memory into a host that stands.</summary>
/// <param name="Host">The host.</param>
/// <param name="Memory">What it is to have.</param>
/// <param name="Guests">The guests on it, which do not serve meanwhile.</param>
internal sealed record FitMemory(HostId Host, ByteSize Memory, ValueList<GuestId> Guests) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "fit-memory";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("memoryBytes", Memory.Bytes)];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => Guests;

    internal override Duration Takes(Plan plan) => new(30);

    internal override ActText Text(Plan plan) =>
        new(
            $"Bring its memory to {Memory}",
            [
                new("now", (plan.AsBuilt.Host(Host) ?? plan.Host(Host)!).Memory.ToString()),
                new("then", Memory.ToString()),
                new("modules", "of the sort the board's list names, in the places its handbook says, pairs alike"),
            ],
            "/proc/meminfo shows it, and a memory test of an hour finds nothing.",
            "Less than that? A module sits loose, or its place is not counted with this processor. It has that much already? Then only the note here was old: tick it.",
            "Put the modules back as they were.",
            "Shut the host down, unplug the mains, touch its metal, and let it cool. Two people for a rack or a tower on a shelf."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan)
    {
        house.PowerOff(Host);
        host.Memory = Memory;
        host.Keeps = plan.Sums.Host(Host)!.Memory.Kept;
        house.PowerOn(Host);
    }
}
