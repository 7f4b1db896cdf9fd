using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices;

/// <summary>Whether two claims can both be met. The one place that knows: verdicts, findings and the assignment ask it.</summary>
internal static class ClaimClash
{
    /// <summary>A claim with its device and way.</summary>
    /// <param name="Guest">The guest that has it, or would.</param>
    /// <param name="Way">The way.</param>
    /// <param name="Device">The device.</param>
    public readonly record struct Hold(Guest Guest, ClaimWay Way, string Device);

    /// <summary>Why one claim cannot be met beside another; null when both can.</summary>
    /// <param name="map">The map of their host.</param>
    /// <param name="mine">The claim that is looked at.</param>
    /// <param name="other">The claim it is held against.</param>
    public static (string Reason, ClaimTrouble Trouble)? Between(DeviceMap map, Hold mine, Hold other)
    {
        var whole =
            (mine.Way == ClaimWay.Whole && map.GoesAlong(mine.Device, other.Device))
            || (other.Way == ClaimWay.Whole && map.GoesAlong(other.Device, mine.Device));
        if (mine.Guest.Id == other.Guest.Id)
        {
            return (mine.Way, other.Way) == (ClaimWay.Slice, ClaimWay.Slice) ? null
                : mine.Device == other.Device ? ($"{mine.Guest.Name} has {map.NameOf(mine.Device)} already", ClaimTrouble.Other)
                // Two cards of one group, or two sticks of one controller, go to the same machine together.
                : whole && (mine.Way, other.Way) != (ClaimWay.Whole, ClaimWay.Whole)
                    ? (
                        $"{map.NameOf(mine.Device)} goes along with {other.Device} and comes to {mine.Guest.Name} anyway",
                        ClaimTrouble.Other
                    )
                : null;
        }

        // What a machine has is shared on inside it.
        if (Inside(mine, other) || Inside(other, mine))
        {
            return null;
        }

        if (whole)
        {
            return (mine.Way, other.Way) switch
            {
                (ClaimWay.Whole, ClaimWay.Whole) => (
                    $"{other.Guest.Name} has {map.NameOf(other.Device)} whole, and with it all of its group",
                    ClaimTrouble.TakenWhole
                ),
                (ClaimWay.Whole, ClaimWay.Node) => (
                    $"{other.Guest.Name} shares {map.NameOf(other.Device)}, and the host would lose it",
                    ClaimTrouble.Shared
                ),
                (ClaimWay.Node, ClaimWay.Whole) => (
                    $"{other.Guest.Name} has {map.NameOf(other.Device)} whole, so the host has no node of it",
                    ClaimTrouble.Shared
                ),
                (ClaimWay.Whole, _) => ($"{other.Guest.Name} has {map.NameOf(other.Device)}, which would go along", ClaimTrouble.Taken),
                _ => (
                    $"{other.Guest.Name} has {map.NameOf(other.Device)} whole, and what hangs on it or shares its group",
                    ClaimTrouble.Taken
                ),
            };
        }

        return
            mine.Device == other.Device
            && !(mine.Way == other.Way && mine.Way is ClaimWay.Node or ClaimWay.Slice)
            && (IsUsb(mine.Way) || IsUsb(other.Way))
            ? ($"{other.Guest.Name} has {map.NameOf(other.Device)}", ClaimTrouble.Taken)
            : null;
    }

    private static bool IsUsb(ClaimWay way) => way is ClaimWay.UsbId or ClaimWay.UsbPort;

    /// <summary>Whether a stack shares on inside a machine what that machine has.</summary>
    private static bool Inside(Hold stack, Hold outer) =>
        stack.Way == ClaimWay.Node && stack.Guest.RunsIn == outer.Guest.Id && outer.Guest.Kind == GuestKind.Machine;
}
