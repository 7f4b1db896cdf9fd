using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Makes a ready-made disk the system disk of a machine that is off, in place of installing one.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Disk">What its system disk is to have.</param>
internal sealed record ImportImage(GuestId Guest, HostId? Host, ByteSize Disk) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "import-image";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("diskBytes", Disk.Bytes)];

    internal override Duration Takes(Plan plan) =>
        new Duration(5)
        + plan.CopyTime(Disk, (Host, plan.Guest(Guest)?.Placement?.SystemPool), (Host, plan.Guest(Guest)?.Placement?.SystemPool));

    internal override ActText Text(Plan plan) =>
        new(
            "Import the ready-made disk as its system disk",
            [
                new("import", "the file that was fetched, unpacked, in place of the empty system disk"),
                new("enlarge to", $"{Disk}, while the machine is off; the system inside takes the room at its next start"),
                new("firmware of the machine", "the newer sort, with secure start off unless its maker says otherwise"),
                new("boot file", "where the firmware looks for it without an entry of its own: the removable path, EFI/BOOT"),
                new("boot order", "1. system disk"),
                new("state", "off; suspended is not off"),
            ],
            $"The machine shows one disk of {Disk}, first in the boot order, and no medium.",
            "Boot prompt in place of a system? The other sort of firmware, or the disk on the other sort of controller.",
            "Take the disk out and delete it; nothing is on it yet."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        var guest = house.OffGuest(Guest);
        if (!house.Host(Host).Images.Contains(Guest))
        {
            throw new HostRefuses($"No such file: the disk of {guest.Figures.Name} was not fetched.");
        }

        guest.Installed = true;
    }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), new Proof("", h => h.Guest(Guest).Installed)];
}
