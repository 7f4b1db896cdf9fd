using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes the install medium out of a machine and puts its disk first.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
internal sealed record DetachMedium(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "detach-medium";

    internal override Duration Takes(Plan plan) => new(2);

    internal override ActText Text(Plan plan) =>
        new(
            "Shut it down, take the medium out and put the disk first",
            [new("boot order", "1. system disk"), new("state", "off; suspended is not off")],
            "The drive is empty and the disk is first.",
            "If it will not shut down, use its own shut-down command at the console.",
            "Attach the medium again."
        );

    internal override bool NeedsOff => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.ShutDown(Guest);
        var guest = house.OffGuest(Guest);
        (guest.MediumIn, guest.MediumFirst) = (false, false);
    }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), new Proof("", h => !h.Guest(Guest).MediumIn)];
}
