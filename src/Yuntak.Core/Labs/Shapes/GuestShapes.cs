using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shape of a guest.</summary>
public static class GuestShapes
{
    /// <summary>The least memory a guest is given.</summary>
    public static readonly ByteSize LeastMemory = ByteSize.FromMiB(16);

    /// <summary>A guest. Figures beside the advice are silent here: their words say what comes of them.</summary>
    public static readonly Shape<Guest> Guest = new(
        "guest",
        new Guest(new GuestId(""), "", GuestKind.Machine, [], SizeOverrides.None),
        Of<Guest>.Always("name", nameof(Labs.Guest.Name), "called", Codecs.Name("guest"), "", g => g.Name, (g, v) => g with { Name = v }),
        new ScalarOf<Guest, string>(
            "id",
            nameof(Labs.Guest.Id),
            "id",
            Codecs.Text(100),
            g => (g.Id.Value.Length > 0, g.Id.Value),
            (g, v) => g with { Id = new GuestId(v.Value ?? "") }
        )
            .LeftOutWhen((g, id) => id == Names.Slug(g.Name))
            .IsSilent()
            .Explained("written only when it no longer follows from the name; keep it"),
        Of<Guest>.Always(
            "kind",
            nameof(Labs.Guest.Kind),
            "packaged as",
            Codecs.Word(ProfileWords.Kinds),
            GuestKind.Machine,
            g => g.Kind,
            (g, v) => g with { Kind = v }
        ),
        new Parts<Guest, Want>(
            "wants",
            nameof(Labs.Guest.Wants),
            "want",
            () => GuestPartShapes.Want,
            w => w.ProfileId,
            g => g.Wants,
            (g, v) => g with { Wants = v }
        )
        {
            Most = 50,
            Always = true,
        }
            .Saying((_, _) => "load changed")
            .IsKnown()
            .IsNeeded(),
        Of<Guest>
            .Value(
                "importance",
                nameof(Labs.Guest.Importance),
                "how much it matters",
                Codecs.Word(LabWords.Importances),
                Importance.Should,
                g => g.Importance,
                (g, v) => g with { Importance = v }
            )
            .Saying((_, g) => g.Importance.Words())
            .IsKnown(),
        Of<Guest>
            .Value("stands", nameof(Labs.Guest.Stands), "stands", Codecs.Flag(), false, g => g.Stands, (g, to) => g with { Stands = to })
            .IsSilent()
            .IsKnown()
            .Explained("runs already"),
        Of<Guest>
            .Maybe(
                "vcpu",
                "Overrides.Vcpu",
                "virtual processors",
                Codecs.Whole(1, 4096),
                g => g.Overrides.Vcpu,
                (g, v) => g with { Overrides = g.Overrides with { Vcpu = v } }
            )
            .IsSilent()
            .Explained("stands beside the advice, like the three sizes; leave out to follow it"),
        Of<Guest>
            .Maybe(
                "memory",
                "Overrides.Memory",
                "memory",
                Codecs.Size(Prefixes.Binary, LeastMemory),
                g => g.Overrides.Memory,
                (g, v) => g with { Overrides = g.Overrides with { Memory = v } }
            )
            .IsSilent(),
        Of<Guest>
            .Maybe(
                "may-shrink-to",
                nameof(Labs.Guest.MayShrinkTo),
                "may shrink to",
                Codecs.Size(Prefixes.Binary, LeastMemory),
                g => g.MayShrinkTo,
                (g, v) => g with { MayShrinkTo = v }
            )
            .NoneIs("no")
            .Explained("machines only"),
        Of<Guest>
            .Maybe(
                "system-disk",
                "Overrides.SystemDisk",
                "system disk",
                Codecs.Size(Prefixes.Binary),
                g => g.Overrides.SystemDisk,
                (g, v) => g with { Overrides = g.Overrides with { SystemDisk = v } }
            )
            .IsSilent(),
        Of<Guest>
            .Maybe(
                "bulk",
                "Overrides.Bulk",
                "bulk data",
                Codecs.Size(Prefixes.Binary),
                g => g.Overrides.Bulk,
                (g, v) => g with { Overrides = g.Overrides with { Bulk = v } }
            )
            .IsSilent(),
        Of<Guest>
            .MaybeText("image", nameof(Labs.Guest.Image), "image", Codecs.OneWord(400), g => g.Image, (g, v) => g with { Image = v })
            .NoneIs("none")
            .Explained("app stacks only, like folders"),
        new Parts<Guest, FolderMount>(
            "folders",
            nameof(Labs.Guest.Folders),
            "folder",
            () => GuestPartShapes.Folder,
            f => f.HostPath + " " + f.ContainerPath,
            g => g.Folders,
            (g, v) => g with { Folders = v }
        )
        {
            Most = 100,
        }.Saying((_, _) => "data folders changed"),
        new Part<Guest, Placement>(
            "on",
            nameof(Labs.Guest.Placement),
            "place",
            () => GuestPartShapes.Place,
            g => g.Placement,
            (g, v) => g with { Placement = v }
        )
            .IsSilent()
            .Explained("left out: asked for, not placed"),
        new ScalarOf<Guest, string>(
            "runs-in",
            nameof(Labs.Guest.RunsIn),
            "runs in",
            Codecs.Text(100),
            g => g.RunsIn is { } id ? (true, id.Value) : (false, ""),
            (g, v) => g with { RunsIn = v is { Has: true, Value.Length: > 0 } ? new GuestId(v.Value) : null }
        )
            .IsSilent()
            .Explained("app stacks only, in place of «on»: the name of the guest whose engine runs it"),
        Of<Guest>
            .Value(
                "privileged",
                nameof(Labs.Guest.Privileged),
                "root inside is root on the host",
                Codecs.Flag(),
                false,
                g => g.Privileged,
                (g, v) => g with { Privileged = v }
            )
            .Explained("system containers only"),
        Of<Guest>
            .MaybeText(
                "made-for",
                nameof(Labs.Guest.MadeFor),
                "processor family of its image",
                Codecs.OneWord(40),
                g => g.MadeFor,
                (g, v) => g with { MadeFor = v }
            )
            .Saying((_, _) => "what is known of its image changed")
            .IsKnown(),
        Of<Guest>
            .Maybe(
                "health-check-minutes",
                nameof(Labs.Guest.HealthCheckMinutes),
                "minutes its health check waits",
                Codecs.Whole(1, 1_440),
                g => g.HealthCheckMinutes,
                (g, v) => g with { HealthCheckMinutes = v }
            )
            .Saying((was, g) => was.MadeFor == g.MadeFor ? "what is known of its image changed" : null)
            .IsKnown()
            .Explained("left out means it has none"),
        new Part<Guest, Growth>(
            "growth",
            nameof(Labs.Guest.Growth),
            "growth",
            () => GuestPartShapes.Growth,
            g => g.Growth,
            (g, v) => g with { Growth = v }
        )
            .Saying((_, g) => (g.Growth ?? new Growth()).Words())
            .IsKnown()
            .Explained("of its bulk data"),
        new ListOf<Guest, int>(
            "ports",
            nameof(Labs.Guest.Ports),
            "ports it answers on",
            Codecs.Whole(1, 65_535),
            g => g.Ports,
            (g, v) => g with { Ports = v }
        )
        {
            Most = 50,
            None = "none said",
        }.Explained("TCP; left out, only those a published standard names are known"),
        new ListOf<Guest, string>(
            "networks",
            nameof(Labs.Guest.Networks),
            "networks of its engine",
            Codecs.Text(100),
            g => g.Networks,
            (g, v) => g with { Networks = v }
        )
        {
            Most = 50,
            None = "none",
        }
            .IsKnown()
            .Explained("app stacks only"),
        new ListOf<Guest, string>(
            "variables",
            nameof(Labs.Guest.Variables),
            "environment variables",
            Codecs.Text(200),
            g => g.Variables,
            (g, v) => g with { Variables = v }
        )
        {
            Most = 500,
            None = "none",
        }
            .IsKnown()
            .Explained("app stacks only: names, never values"),
        new ListOf<Guest, string>(
            "nodes",
            nameof(Labs.Guest.Nodes),
            "device nodes mapped in",
            Codecs.Text(400),
            g => g.Nodes,
            (g, v) => g with { Nodes = v }
        )
        {
            Most = 50,
            None = "none",
        }
            .IsKnown()
            .Explained("app stacks only"),
        Of<Guest>
            .MaybeText(
                "restart",
                nameof(Labs.Guest.Restart),
                "started again",
                Codecs.OneWord(40),
                g => g.Restart,
                (g, v) => g with { Restart = v }
            )
            .IsKnown()
            .Explained("app stacks only; «unless-stopped» when left out"),
        GuestWireShapes.Interfaces,
        GuestWireShapes.Listens,
        GuestWireShapes.Mounts,
        GuestWireShapes.Aliases,
        GuestWireShapes.Number,
        GuestWireShapes.Autostart,
        GuestPlaceShapes.Pinned,
        GuestPlaceShapes.Survives,
        GuestPlaceShapes.Apart,
        GuestPlaceShapes.Together,
        GuestPlaceShapes.MayBe,
        GuestDeviceShapes.Claims,
        GuestDeviceShapes.GoesWithout,
        GuestDeviceShapes.MovesRunning,
        GuestDeviceShapes.BackedUpWithMemory,
        GuestDeviceShapes.Devices,
        Of<Guest>
            .Value(
                "life",
                nameof(Labs.Guest.Life),
                "life",
                Codecs.Word(LabWords.Stages),
                LifeStage.InService,
                g => g.Life,
                (g, v) => g with { Life = v }
            )
            .IsSilent()
            .Explained("as built only: how far it has come")
    );
}
