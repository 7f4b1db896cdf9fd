using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Attaches the install medium to a machine and puts it first in the boot order.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
internal sealed record AttachMedium(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "attach-medium";

    internal override Duration Takes(Plan plan) => new(2);

    internal override ActText Text(Plan plan) =>
        new(
            "Attach the install medium and put it first in the boot order",
            [new("boot order", "1. install medium, 2. system disk")],
            "The medium shows in the machine's drive.",
            "Compare the medium's checksum with the publisher's; fetch it again if it differs.",
            "Take the medium out."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        var guest = house.OffGuest(Guest);
        if (!house.Host(Host).Images.Contains(Guest))
        {
            throw new HostRefuses($"No such medium on {house.Host(Host).Name}.");
        }

        (guest.MediumIn, guest.MediumFirst) = (true, true);
    }
}
