using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of what belongs to a guest.</summary>
internal static class GuestPartShapes
{
    private static readonly Codec<string> Path = Codecs.Text(400);

    internal static readonly Shape<Want> Want = new(
        "want",
        new Want(""),
        Of<Want>.Always(
            "profile",
            nameof(Profiles.Want.ProfileId),
            "what it is for",
            Codecs.Text(Names.LongestName),
            "",
            w => w.ProfileId,
            (w, v) => w with { ProfileId = v }
        ),
        new NumberMap<Want>(
            "load",
            nameof(Profiles.Want.Load),
            "load",
            w => w.Load.Select(l => (l.Id, l.Value)),
            (w, v) => w with { Load = [.. v.Select(l => new LoadValue(l.Name, l.Value))] }
        ).Explained("what is left out follows the profile")
    );

    internal static readonly Shape<FolderMount> Folder = new(
        "folder",
        new FolderMount("", ""),
        Of<FolderMount>.Always(
            "host",
            nameof(FolderMount.HostPath),
            "folder outside",
            Path,
            "",
            f => f.HostPath,
            (f, v) => f with { HostPath = v }
        ),
        Of<FolderMount>.Always(
            "container",
            nameof(FolderMount.ContainerPath),
            "folder inside",
            Path,
            "",
            f => f.ContainerPath,
            (f, v) => f with { ContainerPath = v }
        ),
        Of<FolderMount>.Value(
            "read-only",
            nameof(FolderMount.ReadOnly),
            "only read",
            Codecs.Flag(),
            false,
            f => f.ReadOnly,
            (f, v) => f with { ReadOnly = v }
        )
    );

    internal static readonly Shape<DeviceClaim> Claim = new(
        "claim",
        new DeviceClaim(DeviceNeed.Other),
        Of<DeviceClaim>.Always(
            "need",
            nameof(DeviceClaim.Need),
            "needs",
            Codecs.Word(ProfileWords.Needs),
            DeviceNeed.Other,
            c => c.Need,
            (c, v) => c with { Need = v }
        ),
        Of<DeviceClaim>.Maybe("way", nameof(DeviceClaim.Way), "way", Codecs.Word(LabWords.Ways), c => c.Way, (c, v) => c with { Way = v }),
        Of<DeviceClaim>
            .MaybeText("device", nameof(DeviceClaim.Device), "device", Codecs.Text(100), c => c.Device, (c, v) => c with { Device = v })
            .Explained("the address of a function, or the path of a USB port"),
        Of<DeviceClaim>
            .Maybe("mapped", nameof(DeviceClaim.Mapped), "group mapped", Codecs.Flag(), c => c.Mapped, (c, v) => c with { Mapped = v })
            .Explained("a node in an unprivileged container: whether its group is mapped inside")
    );

    /// <summary>Where a guest is. In a file the host is named, in the model known by its id.</summary>
    internal static readonly Shape<Placement> Place = new(
        "place",
        new Placement(new HostId("")),
        Of<Placement>.Always(
            "host",
            nameof(Placement.Host),
            "host",
            Codecs.Text(100),
            "",
            p => p.Host.Value,
            (p, v) => p with { Host = new HostId(v) }
        ),
        Of<Placement>
            .MaybeText(
                "system-pool",
                nameof(Placement.SystemPool),
                "pool",
                Codecs.Text(100),
                p => p.SystemPool,
                (p, v) => p with { SystemPool = v }
            )
            .NoneIs("none"),
        Of<Placement>
            .MaybeText(
                "bulk-pool",
                nameof(Placement.BulkPool),
                "pool for bulk data",
                Codecs.Text(100),
                p => p.BulkPool,
                (p, v) => p with { BulkPool = v }
            )
            .NoneIs("none")
    );

    internal static readonly Shape<Growth> Growth = new(
        "growth",
        new Growth(),
        Of<Growth>.Value(
            "per-month",
            nameof(Labs.Growth.PerMonth),
            "grows a month",
            Codecs.Size(Prefixes.Decimal),
            default,
            g => g.PerMonth,
            (g, v) => g with { PerMonth = v }
        ),
        Of<Growth>.Value(
            "share-a-year",
            nameof(Labs.Growth.ShareAYear),
            "grows a year, as a share",
            Codecs.Number(0, 10),
            0,
            g => g.ShareAYear,
            (g, v) => g with { ShareAYear = v }
        ),
        Of<Growth>.Value(
            "give-or-take",
            nameof(Labs.Growth.GiveOrTake),
            "give or take, as a share",
            Codecs.Number(0, 1),
            0,
            g => g.GiveOrTake,
            (g, v) => g with { GiveOrTake = v }
        )
    );
}
