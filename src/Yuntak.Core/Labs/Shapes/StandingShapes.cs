using Yuntak.Core.Base;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of what a host was found doing: mounts, pools, listeners, what runs.</summary>
internal static class StandingShapes
{
    private static readonly Codec<string> Text = Codecs.Text(400);
    private static readonly Codec<ByteSize> Size = Codecs.Size(Prefixes.Binary);

    internal static readonly Shape<Mount> Mount = new(
        "mount",
        new Mount("", "", ""),
        Of<Mount>.Always("at", nameof(Labs.Mount.Target), "mounted at", Text, "", m => m.Target, (m, v) => m with { Target = v }),
        Of<Mount>.Always("from", nameof(Labs.Mount.Source), "from", Text, "", m => m.Source, (m, v) => m with { Source = v }),
        Of<Mount>.Always(
            "file-system",
            nameof(Labs.Mount.FileSystem),
            "file system",
            Codecs.Text(60),
            "",
            m => m.FileSystem,
            (m, v) => m with { FileSystem = v }
        ),
        Of<Mount>.MaybeText(
            "options",
            nameof(Labs.Mount.Options),
            "options",
            Codecs.Text(1_000),
            m => m.Options,
            (m, v) => m with { Options = v }
        ),
        Of<Mount>.Maybe("size", nameof(Labs.Mount.Size), "size", Size, m => m.Size, (m, v) => m with { Size = v }),
        Of<Mount>.Maybe("used", nameof(Labs.Mount.Used), "used", Size, m => m.Used, (m, v) => m with { Used = v }),
        Of<Mount>.MaybeText("uuid", nameof(Labs.Mount.Uuid), "UUID", Codecs.Text(100), m => m.Uuid, (m, v) => m with { Uuid = v })
    );

    internal static readonly Shape<FoundPool> Found = new(
        "pool found",
        new FoundPool("", PoolLayout.Single, PoolFamily.BlockArray, []),
        Of<FoundPool>.Always("name", nameof(FoundPool.Name), "name", Codecs.Text(200), "", p => p.Name, (p, v) => p with { Name = v }),
        Of<FoundPool>.Always(
            "layout",
            nameof(FoundPool.Layout),
            "layout",
            Codecs.Word(LabWords.Layouts),
            PoolLayout.Single,
            p => p.Layout,
            (p, v) => p with { Layout = v }
        ),
        Of<FoundPool>.Always(
            "family",
            nameof(FoundPool.Family),
            "family",
            Codecs.Word(LabWords.Families),
            PoolFamily.BlockArray,
            p => p.Family,
            (p, v) => p with { Family = v }
        ),
        new ListOf<FoundPool, string>("disks", nameof(FoundPool.DiskIds), "disks", Text, p => p.DiskIds, (p, v) => p with { DiskIds = v })
        {
            Most = 240,
        },
        Of<FoundPool>.MaybeText(
            "mounted-at",
            nameof(FoundPool.MountedAt),
            "mounted at",
            Text,
            p => p.MountedAt,
            (p, v) => p with { MountedAt = v }
        ),
        Of<FoundPool>.Maybe("size", nameof(FoundPool.Size), "size", Size, p => p.Size, (p, v) => p with { Size = v }),
        Of<FoundPool>.Maybe("used", nameof(FoundPool.Used), "used", Size, p => p.Used, (p, v) => p with { Used = v }),
        Of<FoundPool>.MaybeText("unsure", nameof(FoundPool.Unsure), "not sure", Text, p => p.Unsure, (p, v) => p with { Unsure = v }),
        Of<FoundPool>.Value(
            "missing",
            nameof(FoundPool.Missing),
            "disks missing",
            Codecs.Whole(0, 240),
            0,
            p => p.Missing,
            (p, v) => p with { Missing = v }
        )
    );

    internal static readonly Shape<Listener> Listener = new(
        "listener",
        new Listener("tcp", "*", 0),
        Of<Listener>.Always(
            "protocol",
            nameof(Labs.Listener.Protocol),
            "protocol",
            Codecs.OneWord(20),
            "tcp",
            l => l.Protocol,
            (l, v) => l with { Protocol = v }
        ),
        Of<Listener>.Always(
            "address",
            nameof(Labs.Listener.Address),
            "address",
            Codecs.OneWord(100),
            "*",
            l => l.Address,
            (l, v) => l with { Address = v }
        ),
        Of<Listener>.Always(
            "port",
            nameof(Labs.Listener.Port),
            "port",
            Codecs.Whole(0, 65_535),
            0,
            l => l.Port,
            (l, v) => l with { Port = v }
        )
    );

    internal static readonly Shape<Running> Running = new(
        "what runs",
        new Running("", "", default),
        Of<Running>.Always("group", nameof(Labs.Running.Group), "control group", Text, "", r => r.Group, (r, v) => r with { Group = v }),
        Of<Running>.Always("name", nameof(Labs.Running.Name), "name", Codecs.Text(200), "", r => r.Name, (r, v) => r with { Name = v }),
        Of<Running>.Always("memory", nameof(Labs.Running.Memory), "memory", Size, default, r => r.Memory, (r, v) => r with { Memory = v }),
        Of<Running>.Maybe("peak", nameof(Labs.Running.Peak), "most memory", Size, r => r.Peak, (r, v) => r with { Peak = v }),
        Of<Running>.Maybe(
            "processor-seconds",
            nameof(Labs.Running.ProcessorSeconds),
            "processor time, s",
            Codecs.Number(0, 1e12),
            r => r.ProcessorSeconds,
            (r, v) => r with { ProcessorSeconds = v }
        ),
        Of<Running>.Maybe(
            "kind",
            nameof(Labs.Running.Kind),
            "looks like",
            Codecs.Word(ProfileWords.Kinds),
            r => r.Kind,
            (r, v) => r with { Kind = v }
        )
    );
}
