using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes a guest off its host for good.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host it stands on.</param>
/// <param name="Stays">Whether it stays in the lab, asked for.</param>
internal sealed record RetireGuest(GuestId Guest, HostId? Host, bool Stays) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "retire-guest";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("stays", Stays)];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override Duration Takes(Plan plan) => new(5);

    internal override void Apply(DiskState disks) => disks.Gone(Guest);

    internal override ActText Text(Plan plan) =>
        new(
            Stays ? "Shut it down and take it off the host" : "Shut it down and delete it",
            [new("guest", plan.AsBuilt.Guest(Guest)?.Name ?? plan.NameOf(Guest))],
            "The host no longer lists it, and its room is free.",
            "Refused? Something still uses one of its disks.",
            "Bring the last backup back.",
            "Deleting takes its disks along. Make sure the backup of the step before is there and complete."
        );

    internal override bool GoesBack => false;

    internal override bool NeedsOff => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.ShutDown(Guest);
        house.Delete(Guest);
    }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.GuestIf(Guest) is null)];
}
