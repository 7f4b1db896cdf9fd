using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Keeps what a guest is after its updates and before its devices, to clone from and to go back to.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
internal sealed record TakeTemplate(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "take-template";

    internal override Duration Takes(Plan plan) => new(4);

    internal override ActText Text(Plan plan) =>
        new(
            "Shut it down, take a template of it and start it again",
            [
                new("name", $"{Names.Slug(plan.NameOf(Guest))}-clean", Literal: true),
                new("why now", "it is up to date and has no devices yet: what has devices cannot be cloned"),
                new("who is made from it", "gets a new name, address, hardware address, machine id and keys of its own for remote log-in"),
                new("new machine id", "rm -f /etc/machine-id && systemd-machine-id-setup", Literal: true),
                new("new keys", "rm -f /etc/ssh/ssh_host_* && ssh-keygen -A", Literal: true),
            ],
            "The host lists it beside the guest.",
            "No room? A snapshot does as well, as long as it is deleted within the week.",
            "Delete it."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.ShutDown(Guest);
        house.Start(Guest);
    }
}
