using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;
using Yuntak.Data;
using Yuntak.Formats.Wires;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wires;

/// <summary>Who has which address, to look up and to print, with labels for cables and boxes.</summary>
public sealed class PlanModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    /// <summary>The most rows of a network on one page; the files have all.</summary>
    public const int MostRows = 300;

    public override Station? Here => Station.Wires;

    /// <summary>The wires of the draft.</summary>
    public HouseWires House => Desk.Assessment.Wires;

    /// <summary>The zones that make sense: the lab's own, and those that lead back.</summary>
    public IEnumerable<string> Zones => ZoneFile.Reverses(House).Prepend(Desk.Lab.Settings.Zone);

    /// <summary>What a holder is, in words.</summary>
    public string What(Holder who) =>
        who.Kind switch
        {
            HolderKind.Guest when Desk.Lab.Guest(new GuestId(who.Id)) is { } guest => Desk.Lab.HostOf(guest) is { } host
                ? $"guest on {host.Name}"
                : "guest, on no host",
            HolderKind.Host => "host",
            HolderKind.Box => Desk.Lab.Boxes.FirstOrDefault(b => b.Name == who.Name)?.Does is { Length: > 0 } does ? does : "box",
            _ => "",
        };

    /// <summary>What it answers on, in a few words.</summary>
    public string Ports(Holder who) =>
        string.Join(", ", House.Ports.Where(p => p.Stack == who && !p.OnlyHere).Select(p => p.Port).Distinct().Order().Take(8));
}
