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
    public readonly record struct Hold(Guest Guest, ClaimWay Way, string Device)
    {
        /// <summary>What a way of meeting a claim comes to.</summary>
        public static Hold Of(ClaimVerdict way) => new(way.Guest, way.Way!.Value, way.Device!);
    }

    /// <summary>Whether two claims cannot both be met. Asked for very many pairs, so it makes no words.</summary>
    public static bool IsThere(DeviceMap map, Hold mine, Hold other) => SortOf(map, mine, other) is not null;

    /// <summary>The same of two ways of meeting claims.</summary>
    public static bool IsThere(DeviceMap map, ClaimVerdict mine, ClaimVerdict other) => IsThere(map, Hold.Of(mine), Hold.Of(other));

    /// <summary>Why one claim cannot be met beside another; null when both can.</summary>
    /// <param name="map">The map of their host.</param>
    /// <param name="mine">The claim that is looked at.</param>
    /// <param name="other">The claim it is held against.</param>
    public static (string Reason, ClaimTrouble Trouble)? Between(DeviceMap map, Hold mine, Hold other)
    {
        if (SortOf(map, mine, other) is not { } sort)
        {
            return null;
        }

        var (name, its) = (other.Guest.Name, map.NameOf(other.Device));
        return sort switch
        {
            Sort.Twice => ($"{name} has {its} already", ClaimTrouble.Other),
            Sort.ComesAnyway => (
                $"{map.NameOf(mine.Device)} goes along with {other.Device} and comes to {name} anyway",
                ClaimTrouble.Other
            ),
            Sort.Device => ($"{name} has {its}", ClaimTrouble.Taken),
            Sort.Whole => (mine.Way, other.Way) switch
            {
                (ClaimWay.Whole, ClaimWay.Whole) => ($"{name} has {its} whole, and with it all of its group", ClaimTrouble.TakenWhole),
                (ClaimWay.Whole, ClaimWay.Node) => ($"{name} shares {its}, and the host would lose it", ClaimTrouble.Shared),
                (ClaimWay.Node, ClaimWay.Whole) => ($"{name} has {its} whole, so the host has no node of it", ClaimTrouble.Shared),
                (ClaimWay.Whole, _) => ($"{name} has {its}, which would go along", ClaimTrouble.Taken),
                _ => ($"{name} has {its} whole, and what hangs on it or shares its group", ClaimTrouble.Taken),
            },
        };
    }

    private static Sort? SortOf(DeviceMap map, Hold mine, Hold other)
    {
        var whole =
            (mine.Way == ClaimWay.Whole && map.GoesAlong(mine.Device, other.Device))
            || (other.Way == ClaimWay.Whole && map.GoesAlong(other.Device, mine.Device));
        if (mine.Guest.Id == other.Guest.Id)
        {
            return (mine.Way, other.Way) == (ClaimWay.Slice, ClaimWay.Slice) ? null
                : mine.Device == other.Device ? Sort.Twice
                // Two cards of one group, or two sticks of one controller, go to the same machine together.
                : whole && (mine.Way, other.Way) != (ClaimWay.Whole, ClaimWay.Whole) ? Sort.ComesAnyway
                : null;
        }

        // What a machine has is shared on inside it.
        if (Inside(mine, other) || Inside(other, mine))
        {
            return null;
        }

        return whole ? Sort.Whole
            : mine.Device == other.Device && (IsUsb(mine.Way) || IsUsb(other.Way)) ? Sort.Device
            : null;
    }

    /// <summary>The sorts of clashes.</summary>
    private enum Sort
    {
        /// <summary>One guest claims one device twice.</summary>
        Twice,

        /// <summary>It goes along with what the guest has already.</summary>
        ComesAnyway,

        /// <summary>One of them takes a controller or group the other has something of.</summary>
        Whole,

        /// <summary>Both want the same USB device.</summary>
        Device,
    }

    private static bool IsUsb(ClaimWay way) => way is ClaimWay.UsbId or ClaimWay.UsbPort;

    /// <summary>Whether a stack shares on inside a machine what that machine has.</summary>
    private static bool Inside(Hold stack, Hold outer) =>
        stack.Way == ClaimWay.Node && stack.Guest.RunsIn == outer.Guest.Id && outer.Guest.Kind == GuestKind.Machine;
}
