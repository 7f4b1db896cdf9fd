using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Writes the install medium of a host.</summary>
/// <param name="Host">The host.</param>
internal sealed record WriteMedium(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "write-medium";

    internal override Duration Takes(Plan plan) => new(15);

    internal override ActText Text(Plan plan) =>
        new(
            "Write the install medium",
            [
                new(
                    "image",
                    plan.Host(Host)?.Type == HostType.Server
                        ? "the general system you have chosen, for the processor family of this host"
                        : "the hypervisor or system you have chosen, for the processor family of this host"
                ),
                new("check before writing", "sha256sum IMAGE, compared with the sum its makers publish"),
                new("write, on another computer", "any graphical writer, or this:"),
                new("write", "dd if=IMAGE of=/dev/disk/by-id/THE-STICK bs=4M conv=fsync status=progress", Literal: true),
            ],
            "The sum is the same, and the stick starts.",
            "The sum differs? Fetch the image again. Does not start? Look at the boot page of the firmware.",
            "None needed; keep the stick.",
            "This wipes the stick: name it by its stable id under /dev/disk/by-id, never by a letter that may have moved."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
