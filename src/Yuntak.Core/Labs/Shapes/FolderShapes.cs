using Yuntak.Core.Base;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shape of a folder that several guests use. Hosts and guests are named by id in it, as in the model.</summary>
internal static class FolderShapes
{
    private static readonly Codec<string> Id = Codecs.Text(100);

    private static readonly Shape<FolderUse> Use = new(
        "use",
        new FolderUse(new GuestId(""), ""),
        Of<FolderUse>.Always(
            "guest",
            nameof(FolderUse.Guest),
            "guest",
            Id,
            "",
            u => u.Guest.Value,
            (u, v) => u with { Guest = new GuestId(v) }
        ),
        Of<FolderUse>.Always("path", nameof(FolderUse.Path), "seen at", Codecs.Text(400), "", u => u.Path, (u, v) => u with { Path = v }),
        Of<FolderUse>.Value(
            "writes",
            nameof(FolderUse.Writes),
            "may write",
            Codecs.Flag(),
            false,
            u => u.Writes,
            (u, v) => u with { Writes = v }
        ),
        Of<FolderUse>
            .Value(
                "in-place-of-bulk",
                nameof(FolderUse.InPlaceOfBulk),
                "in place of bulk data",
                Codecs.Flag(),
                true,
                u => u.InPlaceOfBulk,
                (u, v) => u with { InPlaceOfBulk = v }
            )
            .Explained("the guest claims no bulk data beside it")
    );

    /// <summary>A folder.</summary>
    internal static readonly Shape<SharedFolder> Folder = new(
        "shared folder",
        new SharedFolder("", new HostId(""), "", default),
        Of<SharedFolder>.Always(
            "name",
            nameof(SharedFolder.Name),
            "name",
            Codecs.Name("folder"),
            "",
            f => f.Name,
            (f, v) => f with { Name = v }
        ),
        Of<SharedFolder>.Always(
            "host",
            nameof(SharedFolder.Host),
            "host",
            Id,
            "",
            f => f.Host.Value,
            (f, v) => f with { Host = new HostId(v) }
        ),
        Of<SharedFolder>.Always(
            "pool",
            nameof(SharedFolder.Pool),
            "pool",
            Codecs.Text(200),
            "",
            f => f.Pool,
            (f, v) => f with { Pool = v }
        ),
        Of<SharedFolder>.Always(
            "size",
            nameof(SharedFolder.Size),
            "size",
            Codecs.Size(Prefixes.Decimal),
            default,
            f => f.Size,
            (f, v) => f with { Size = v }
        ),
        new Parts<SharedFolder, FolderUse>(
            "uses",
            nameof(SharedFolder.Uses),
            "use",
            () => Use,
            u => u.Guest.Value,
            f => f.Uses,
            (f, v) => f with { Uses = v }
        )
        {
            Most = 200,
        },
        Of<SharedFolder>.MaybeText(
            "backed-up-by",
            nameof(SharedFolder.BackedUpBy),
            "backed up by",
            Id,
            f => f.BackedUpBy?.Value,
            (f, v) => f with { BackedUpBy = v is null ? null : new GuestId(v) }
        )
    );
}
