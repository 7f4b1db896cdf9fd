using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>A thing of a host that is open beside the drawings.</summary>
/// <param name="Host">The host.</param>
/// <param name="Thing">The thing: «memory», «disks/wwn-0x1».</param>
/// <param name="Facts">What is known of it.</param>
/// <param name="Tried">The fact somebody just tried to correct, in vain.</param>
/// <param name="Typed">What was typed then.</param>
public sealed record OpenThing(Host Host, string Thing, IReadOnlyList<KitFact> Facts, string? Tried = null, string? Typed = null)
{
    /// <summary>The card, when it is one.</summary>
    public PciFunction? Card =>
        Thing.StartsWith(KitParts.Cards + "/", StringComparison.Ordinal)
            ? Host.Hardware.Function(Thing[(KitParts.Cards.Length + 1)..])
            : null;

    /// <summary>What it is called.</summary>
    public string Title
    {
        get
        {
            var (part, name) = Thing.Split('/', 2) is [var p, var n] ? (p, n) : (Thing, "");
            return part switch
            {
                KitParts.Disks => "disk " + (Host.Disks.FirstOrDefault(d => d.Id == name)?.Name ?? name),
                KitParts.Cards => $"{PciClasses.KindOf(Card?.ClassCode ?? "")} at {name}",
                KitParts.Usb => name.Contains('-', StringComparison.Ordinal) ? $"USB port {name}" : $"USB bus {name}",
                KitParts.Network => $"network port {name}",
                _ => part,
            };
        }
    }

    /// <summary>What is plugged into it, when it is a USB bus or a USB controller.</summary>
    public IReadOnlyList<UsbDevice> Devices
    {
        get
        {
            var buses = Host.Hardware.UsbBuses.Where(b =>
                Thing == $"{KitParts.Usb}/{b.Number}" || (Card is { } card && b.Controller == card.Address)
            );
            var starts = buses.Select(b => $"{b.Number}-").ToList();
            return [.. Host.Hardware.UsbDevices.Where(d => starts.Any(s => d.Port.StartsWith(s, StringComparison.Ordinal)))];
        }
    }

    /// <summary>The other functions that move together with the card, since they share its isolation group; bridges stay.</summary>
    public IEnumerable<PciFunction> Companions =>
        Card is { Group: { } group } card
            ? Host.Hardware.Functions.Where(f =>
                f.Group == group && f.Address != card.Address && PciClasses.KindOf(f.ClassCode) != "bridge"
            )
            : [];
}
