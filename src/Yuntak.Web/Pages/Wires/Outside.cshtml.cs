using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Wants;
using Yuntak.Core.Wires;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wires;

/// <summary>The ways to let somebody in from outside, side by side, for one guest.</summary>
public sealed class OutsideModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private const int Web = 443;

    public override Station? Here => Station.Wires;

    /// <summary>The guest that is to be reached.</summary>
    public Guest? To { get; private set; }

    /// <summary>The tunnel that is there, if there is one.</summary>
    public Sizing? Tunnel => Desk.Assessment.Guests.FirstOrDefault(s => s.Follows("remote-access") && Desk.Lab.HostOf(s.Guest) is not null);

    /// <summary>The reverse proxy that is there, if there is one.</summary>
    public Sizing? Proxy => Desk.Assessment.Guests.FirstOrDefault(s => s.Follows("reverse-proxy") && Desk.Lab.HostOf(s.Guest) is not null);

    /// <summary>The guests that could be reached.</summary>
    public IEnumerable<Guest> Placed => Desk.Lab.Guests.Where(g => Desk.Lab.HostOf(g) is not null);

    /// <summary>The port it answers on that people mean: the first that is no page for looking after it.</summary>
    public int? Port =>
        To is null
            ? null
            : PortsOf
                .Said(Desk.Assessment.Guest(To.Id))
                .Where(l => !l.Page && l.Protocol == WireProtocol.Tcp)
                .Select(l => (int?)l.Port)
                .FirstOrDefault();

    /// <summary>The ways it is reached now.</summary>
    public IEnumerable<WayIn> Now => Desk.Assessment.Wires.WaysIn.Where(w => w.Who.Id == To?.Id);

    public IActionResult OnGet(string? guest)
    {
        To = guest is null ? null : Desk.Lab.Guest(new GuestId(guest));
        return Page();
    }

    /// <summary>Lets it be reached through the reverse proxy.</summary>
    public Task<IActionResult> OnPostProxyAsync(string guest, string? name, int? port) =>
        ChangeAsync(
            lab =>
            {
                // Without one the guest itself would stand open to everybody.
                var proxy = Proxy?.Guest.Id ?? throw new Refused("No reverse proxy is on a host any more. Nothing was opened.");
                return ReachEdits.Open(
                    new Forward(
                        Web,
                        new GuestId(guest),
                        port,
                        Through: proxy,
                        Name: string.IsNullOrWhiteSpace(name) ? null : name.Trim().ToLowerInvariant(),
                        Certificate: CertificateKind.Public
                    )
                )(lab);
            },
            $"/Wires/Outside?guest={Uri.EscapeDataString(guest)}"
        );

    /// <summary>Opens the port of a tunnel.</summary>
    public Task<IActionResult> OnPostTunnelAsync(int port) =>
        ChangeAsync(
            lab =>
            {
                var tunnel = Tunnel?.Guest.Id ?? throw new Refused("No tunnel is on a host any more. Nothing was opened.");
                return ReachEdits.Open(new Forward(port, tunnel, Protocol: WireProtocol.Udp))(lab);
            },
            "/Wires/Outside"
        );
}
