using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Stops before something would be lost, and says what is there and what would clear the way. It cannot be ticked off; it goes when its reason goes.</summary>
/// <param name="Host">The host it is about.</param>
/// <param name="What">What cannot go on.</param>
/// <param name="Why">Why, with what is on the disks.</param>
/// <param name="Instead">What would clear the way.</param>
/// <param name="Unsaid">Disks that would be wiped with what is on them, and of which nobody has said that it may go.</param>
/// <param name="Guest">The guest it is about; null for none.</param>
internal sealed record Halt(
    HostId? Host,
    string What,
    string Why,
    string Instead,
    ValueList<string> Unsaid = default,
    GuestId? Guest = null
) : Act
{
    /// <inheritdoc/>
    public override string Type => "stop";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [Value("host", Host?.Value), Value("what", What), Value("why", Why), Value("instead", Instead)];

    /// <inheritdoc/>
    public override bool CanBeDone => false;

    internal override HostId? On => Host;

    internal override Duration Takes(Plan plan) => new(1);

    internal override ActText Text(Plan plan) =>
        new(
            $"Stop: {What}",
            [new("what clears the way", Instead)],
            "This stop is gone from the runbook, and the steps are here in its place.",
            "Still here? Look at what it says once more; nothing is wiped while it stands.",
            "None needed: nothing was done.",
            Why
        );

    internal override void Do(SimHouse house, Plan plan) => throw new HostRefuses($"{What}. {Why}");

    internal override IEnumerable<Proof> Proofs(Plan plan) => [];
}
