using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Writes the stick a store runs from. Nothing is installed onto its disks.</summary>
/// <param name="Host">The host.</param>
internal sealed record WriteStick(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "write-stick";

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan)
    {
        return new(
            "Write the stick, and keep a copy of it",
            [
                new("image", "the store's system, for the processor family of this host"),
                new("check before writing", "sha256sum IMAGE, compared with the sum its makers publish"),
                new(
                    "write, on another computer",
                    "any graphical writer, or dd if=IMAGE of=/dev/disk/by-id/THE-STICK bs=4M conv=fsync status=progress"
                ),
                new("copy", "of the finished stick, in a drawer and on another host: without the stick nothing starts"),
            ],
            "The sum is the same, and the stick starts.",
            "Does not start? Look at the boot page of the firmware, and try another port.",
            "None needed; keep the stick.",
            "This wipes the stick: name it by its stable id under /dev/disk/by-id, never by a letter that may have moved."
        );
    }

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
