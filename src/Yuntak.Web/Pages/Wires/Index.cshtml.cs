using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Wires;
using Yuntak.Data;
using Yuntak.Formats.Wires;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wires;

/// <summary>Networks as rails, with who hangs from them, and what is open beside the picture: a guest, a network, a host or a box.</summary>
public sealed class IndexModel(DeskService desks, LabStore store) : ReachPageModel(desks, store)
{
    public override Station? Here => Station.Wires;

    /// <summary>The guest that is open.</summary>
    public Guest? OpenGuest { get; private set; }

    /// <summary>The network that is open.</summary>
    public NetworkSums? OpenNetwork { get; private set; }

    /// <summary>The host that is open.</summary>
    public Host? OpenHost { get; private set; }

    /// <summary>The box that is open.</summary>
    public Box? OpenBox { get; private set; }

    /// <summary>The wires of the draft.</summary>
    public HouseWires House => Desk.Assessment.Wires;

    /// <summary>The guests that are on a host.</summary>
    public IEnumerable<Guest> Placed => Desk.Lab.Guests.Where(g => Desk.Lab.HostOf(g) is not null);

    /// <summary>Whether wires of what stands differ from the draft, so that it may be said that they are so already.</summary>
    public bool Differs =>
        Desk.AsBuilt.Lab.Guests.Any(b =>
            Desk.Lab.Guest(b.Id) is { } d && (d.Interfaces != b.Interfaces || d.Listens != b.Listens || d.Mounts != b.Mounts)
        ) || (Desk.AsBuilt.Lab.Guests.Count > 0 && House.Reservations.Except(Desk.AsBuilt.Lab.Reserved).Any());

    public IActionResult OnGet(string? guest, string? network, string? host, string? box)
    {
        OpenGuest = guest is null ? null : Desk.Lab.Guest(new GuestId(guest));
        OpenNetwork = House.Network(network);
        OpenHost = host is null ? null : Desk.Lab.Host(new HostId(host));
        OpenBox = Desk.Lab.Boxes.FirstOrDefault(b => b.Name == box);
        return Page();
    }

    /// <summary>Plans a network.</summary>
    public Task<IActionResult> OnPostNetworkAsync() =>
        ChangeAsync(lab => WireEdits.AddNetwork(Form.Into(WireShapes.Network, WireShapes.Network.Blank))(lab), "/Wires");

    /// <summary>Changes a network.</summary>
    public Task<IActionResult> OnPostChangeNetworkAsync(string was, bool? numbered) =>
        ChangeAsync(
            lab => WireEdits.ChangeNetwork(was, n => Form.Into(WireShapes.Network, n) with { Numbered = numbered == true })(lab),
            $"/Wires?network={Uri.EscapeDataString(Form["name"].Length > 0 ? Form["name"].Trim() : was)}"
        );

    /// <summary>Takes a network out.</summary>
    public Task<IActionResult> OnPostRemoveNetworkAsync(string was) => ChangeAsync(WireEdits.RemoveNetwork(was), "/Wires");

    /// <summary>Plans the networks that were read.</summary>
    public Task<IActionResult> OnPostReadNetworksAsync() => ChangeAsync(WireEdits.TakeReadNetworks(), "/Wires");

    /// <summary>Puts every guest that has no place yet on a network.</summary>
    public Task<IActionResult> OnPostJoinAllAsync(string network) => ChangeAsync(LegEdits.JoinAll(network), Network(network));

    /// <summary>Gives every guest on a network an address that stays.</summary>
    public Task<IActionResult> OnPostAddressAllAsync(string network) => ChangeAsync(LegEdits.AddressAll(network), Network(network));

    /// <summary>Puts a guest on a network.</summary>
    public Task<IActionResult> OnPostJoinAsync(string guest, string network, string? address) =>
        ChangeAsync(LegEdits.Join(new GuestId(guest), network, string.IsNullOrWhiteSpace(address) ? null : address), Guest(guest));

    /// <summary>Moves a guest to another rail, or along a ruler; what dragging sends.</summary>
    public Task<IActionResult> OnPostDragAsync(string guest, string? from, string to, string? address) =>
        ChangeAsync(
            lab =>
                !string.IsNullOrEmpty(address) ? LegEdits.Address(new GuestId(guest), to, address)(lab)
                : string.IsNullOrEmpty(from) ? LegEdits.Join(new GuestId(guest), to)(lab)
                : LegEdits.Move(new GuestId(guest), from, to)(lab),
            Guest(guest)
        );

    /// <summary>Changes a guest's place on a network.</summary>
    public Task<IActionResult> OnPostLegAsync(string guest, string network) =>
        ChangeAsync(
            lab => LegEdits.ChangeLeg(new GuestId(guest), network, l => Form.Into(WireShapes.Leg, l, ["network"]))(lab),
            Guest(guest)
        );

    /// <summary>Gives a guest the next free address.</summary>
    public Task<IActionResult> OnPostNextAsync(string guest, string network) =>
        ChangeAsync(LegEdits.NextAddress(new GuestId(guest), network), Guest(guest));

    /// <summary>Takes a guest off a network.</summary>
    public Task<IActionResult> OnPostLeaveAsync(string guest, string network) =>
        ChangeAsync(LegEdits.Leave(new GuestId(guest), network), Guest(guest));

    // The name «page» is also one of the route, so it is asked of the form only.
    /// <summary>Says one port more that a guest answers on, or says it otherwise.</summary>
    public Task<IActionResult> OnPostListenAsync(string guest, [FromForm(Name = "page")] bool? page) =>
        ChangeAsync(
            lab =>
            {
                var listen = Form.Into(WireShapes.Listen, WireShapes.Listen.Blank, ["page"]) with { Page = page == true };
                return ReachEdits.Listens(
                    new GuestId(guest),
                    all =>
                        [.. all.Where(l => l.Port != listen.Port || l.Protocol != listen.Protocol || l.Address != listen.Address), listen]
                )(lab);
            },
            Guest(guest)
        );

    /// <summary>A guest no longer answers on a port.</summary>
    public Task<IActionResult> OnPostSilentAsync(string guest, int port, string protocol, string? address) =>
        ChangeAsync(
            lab =>
                ReachEdits.Listens(
                    new GuestId(guest),
                    all => all.Without(l => l.Port == port && l.Protocol.Word() == protocol && (l.Address ?? "") == (address ?? ""))
                )(lab),
            Guest(guest)
        );

    /// <summary>Says what a host answers on itself.</summary>
    public Task<IActionResult> OnPostHostListenAsync(string host, [FromForm(Name = "page")] bool? page) =>
        ChangeAsync(
            lab =>
            {
                var listen = Form.Into(WireShapes.Listen, WireShapes.Listen.Blank, ["page"]) with { Page = page == true };
                return ReachEdits.HostListens(
                    new HostId(host),
                    all => [.. all.Where(l => l.Port != listen.Port || l.Protocol != listen.Protocol), listen]
                )(lab);
            },
            Host(host)
        );

    /// <summary>A host no longer answers on a port, as far as was said.</summary>
    public Task<IActionResult> OnPostHostSilentAsync(string host, int port, string protocol) =>
        ChangeAsync(
            lab => ReachEdits.HostListens(new HostId(host), all => all.Without(l => l.Port == port && l.Protocol.Word() == protocol))(lab),
            Host(host)
        );

    /// <summary>Gives a host a place of its own on a network.</summary>
    public Task<IActionResult> OnPostHostLegAsync(string host) =>
        ChangeAsync(lab => WireEdits.HostLeg(new HostId(host), Form.Into(WireShapes.Leg, WireShapes.Leg.Blank))(lab), Host(host));

    /// <summary>Plans a bridge.</summary>
    public Task<IActionResult> OnPostBridgeAsync(string host, bool? aware, string[]? carries) =>
        ChangeAsync(
            lab =>
                WireEdits.Bridge(
                    new HostId(host),
                    Form.Into(WireShapes.Bridge, WireShapes.Bridge.Blank, ["aware"]) with
                    {
                        Aware = aware == true,
                        Networks = [.. carries ?? []],
                    }
                )(lab),
            Host(host)
        );

    /// <summary>Takes a planned bridge out.</summary>
    public Task<IActionResult> OnPostNoBridgeAsync(string host, string name) =>
        ChangeAsync(WireEdits.RemoveBridge(new HostId(host), name), Host(host));

    /// <summary>Names a guest otherwise on the network, and numbers it.</summary>
    public Task<IActionResult> OnPostNamesAsync(string guest, string? further) =>
        ChangeAsync(
            lab =>
                GuestEdits.Change(
                    new GuestId(guest),
                    g =>
                        Form.Into(
                            GuestShapes.Guest,
                            g,
                            but: [.. GuestShapes.Guest.Fields.Select(f => f.Name).Where(n => n is not ("number" or "autostart"))]
                        ) with
                        {
                            Aliases = [.. Words(further).Select(a => a.ToLowerInvariant())],
                        }
                )(lab),
            Guest(guest)
        );

    /// <summary>Names the zone.</summary>
    public Task<IActionResult> OnPostZoneAsync() =>
        ChangeAsync(
            lab =>
            {
                var settings = Form.Into(
                    LabShapes.Settings,
                    lab.Settings,
                    [.. LabShapes.Settings.Fields.Select(f => f.Name).Where(n => n != "zone")]
                );
                return new Changed(lab with { Settings = settings }, $"names end in {settings.Zone}");
            },
            "/Wires/Plan"
        );

    /// <summary>Takes a list of addresses over.</summary>
    public Task<IActionResult> OnPostListAsync(string? text, IFormFile? file) =>
        ChangeAsync(
            lab =>
            {
                var reading = AddressIntake.Read(HandedIn.List(file, text, mebibytes: 1));
                if (reading.Found.Count == 0)
                {
                    throw new Refused(
                        reading.Problems.Count == 0
                            ? "There is nothing in it: a hosts file, ethers lines, or a table with a header belongs here."
                            : $"Nothing in it was understood. {reading.Problems[0]}"
                    );
                }

                var changed = AddressEdits.Take(reading.Found)(lab);
                return reading.Problems.Count == 0
                    ? changed
                    : changed with
                    {
                        Sentence =
                            $"{changed.Sentence}; {Core.Units.Numbers.Count(reading.Problems.Count, "line")} not understood: {reading.Problems[0]}",
                    };
            },
            "/Wires/Plan"
        );

    /// <summary>Says that wires of what stands are as planned already.</summary>
    public Task<IActionResult> OnPostStandsAsync() => StandAsync(draft => Standing.TakeWires(draft), "/Wires");
}
