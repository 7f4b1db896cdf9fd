using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shape of a whole lab.</summary>
public static class LabShapes
{
    /// <summary>The most hosts a lab holds. A household has a dozen at most; this keeps slips and floods out.</summary>
    public const int MostHosts = 100;

    /// <summary>The most guests a lab holds.</summary>
    public const int MostGuests = 1_000;

    /// <summary>The most shared folders a lab holds.</summary>
    public const int MostFolders = 200;

    /// <summary>The most networks, and the most other places.</summary>
    public const int MostNetworks = 200;

    /// <summary>The most things outside the lab.</summary>
    public const int MostBoxes = 5_000;

    /// <summary>The most hosts that could be bought.</summary>
    public const int MostOffers = 20;

    /// <summary>The most ways in.</summary>
    public const int MostForwards = 500;

    /// <summary>The assumptions.</summary>
    public static Shape<LabSettings> Settings => SettingsShapes.Settings;

    /// <summary>A lab.</summary>
    public static readonly Shape<Lab> Lab = new(
        "lab",
        Labs.Lab.Empty(""),
        Of<Lab>
            .Always("name", nameof(Labs.Lab.Name), "the lab's name", Codecs.Name("lab"), "", l => l.Name, (l, v) => l with { Name = v })
            .Saying((_, l) => $"the lab is called {l.Name}")
            .IsKnown(),
        new Part<Lab, LabSettings>(
            "settings",
            nameof(Labs.Lab.Settings),
            "the assumptions",
            () => Settings,
            l => l.Settings == LabSettings.Default ? null : l.Settings,
            (l, v) => l with { Settings = v ?? LabSettings.Default }
        )
            .Saying((_, _) => "assumptions changed")
            .IsKnown(),
        new Parts<Lab, Profile>(
            "profiles",
            nameof(Labs.Lab.Profiles),
            "own profile",
            () => ProfileShapes.Profile,
            p => p.Id,
            l => l.Profiles,
            (l, v) => l with { Profiles = v }
        )
        {
            Most = ProfileChecks.MostProfiles,
            Called = p => p.Name,
        }.IsKnown(),
        new Parts<Lab, Host>(
            "hosts",
            nameof(Labs.Lab.Hosts),
            "host",
            () => HostShapes.Host,
            h => h.Id.Value,
            l => l.Hosts,
            (l, v) => l with { Hosts = v }
        )
        {
            Most = MostHosts,
            Always = true,
            Called = h => h.Name,
        }.IsNeeded(),
        new Parts<Lab, Guest>(
            "guests",
            nameof(Labs.Lab.Guests),
            "guest",
            () => GuestShapes.Guest,
            g => g.Id.Value,
            l => l.Guests,
            (l, v) => l with { Guests = v }
        )
        {
            Most = MostGuests,
            Always = true,
            Called = g => g.Name,
        }.IsNeeded(),
        new Parts<Lab, SharedFolder>(
            "folders",
            nameof(Labs.Lab.Folders),
            "shared folder",
            () => FolderShapes.Folder,
            f => f.Name,
            l => l.Folders,
            (l, v) => l with { Folders = v }
        )
        {
            Most = MostFolders,
            Called = f => f.Name,
        }.IsKnown(),
        new Parts<Lab, Network>(
            "networks",
            nameof(Labs.Lab.Networks),
            "network",
            () => WireShapes.Network,
            n => n.Name,
            l => l.Networks,
            (l, v) => l with { Networks = v }
        )
        {
            Most = MostNetworks,
        }.IsKnown(),
        new Parts<Lab, Box>(
            "boxes",
            nameof(Labs.Lab.Boxes),
            "box",
            () => ReachShapes.Box,
            b => b.Name,
            l => l.Boxes,
            (l, v) => l with { Boxes = v }
        )
        {
            Most = MostBoxes,
        }.IsKnown(),
        new Parts<Lab, RemoteSite>(
            "sites",
            nameof(Labs.Lab.Sites),
            "other place",
            () => ReachShapes.Site,
            s => s.Name,
            l => l.Sites,
            (l, v) => l with { Sites = v }
        )
        {
            Most = MostNetworks,
        }.IsKnown(),
        new Parts<Lab, Forward>(
            "forwards",
            nameof(Labs.Lab.Forwards),
            "forward",
            () => ReachShapes.Forward,
            f => f.Key,
            l => l.Forwards,
            (l, v) => l with { Forwards = v }
        )
        {
            Most = MostForwards,
        },
        new Parts<Lab, NetworkShare>(
            "shares",
            nameof(Labs.Lab.Shares),
            "share",
            () => ReachShapes.Share,
            s => s.Name,
            l => l.Shares,
            (l, v) => l with { Shares = v }
        )
        {
            Most = MostFolders,
        },
        new Parts<Lab, HostOffer>(
            "offers",
            nameof(Labs.Lab.Offers),
            "offer",
            () => OfferShapes.Offer,
            o => o.Name,
            l => l.Offers,
            (l, v) => l with { Offers = v }
        )
        {
            Most = MostOffers,
        }
            .IsKnown()
            .Explained("hosts that could be bought"),
        new Parts<Lab, Reservation>(
            "reserved",
            nameof(Labs.Lab.Reserved),
            "reservation",
            () => ReachShapes.Reservation,
            r => r.Address,
            l => l.Reserved,
            (l, v) => l with { Reserved = v }
        )
        {
            Most = 100_000,
        }
            .IsSilent()
            .Explained("as built only: kept where addresses are handed out"),
        KeepingShapes.Stores,
        KeepingShapes.Jobs,
        KeepingShapes.Onward,
        KeepingShapes.Drills,
        KeepingShapes.Copies,
        RunbookShapes.Notes,
        RunbookShapes.Times,
        new ListOf<Lab, string>(
            "ticks",
            nameof(Labs.Lab.Ticks),
            "the ticks",
            Codecs.Text(400),
            l => l.Ticks,
            (l, v) => l with { Ticks = v }
        )
        {
            Most = 20_000,
        }
            .IsSilent()
            .Explained("as built only: runbook steps done whose change is not finished")
    );
}
