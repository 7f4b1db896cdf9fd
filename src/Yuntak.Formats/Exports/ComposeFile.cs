using System.Globalization;
using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Core.Wires;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Formats.Exports;

/// <summary>Writes app stacks as Compose files after the open Compose specification.</summary>
public static class ComposeFile
{
    /// <summary>Where what Yuntak plans stands beside a service: the specification leaves names that begin with «x-» to others.</summary>
    public const string Extension = "x-yuntak";

    /// <summary>When an engine starts a container again, unless somebody says otherwise.</summary>
    public const string UsualRestart = "unless-stopped";

    /// <summary>The file of one app stack.</summary>
    /// <param name="guest">The app stack.</param>
    /// <param name="book">The profiles of its lab.</param>
    /// <param name="lab">The lab, which says where its pools are mounted; without it they are taken to be below their names.</param>
    public static string Of(Guest guest, ProfileBook book, Lab? lab = null) => Of(guest.Name, [guest], book, lab);

    /// <summary>One file with a service for each app stack.</summary>
    /// <param name="project">The project's name.</param>
    /// <param name="stacks">The app stacks; others are passed over.</param>
    /// <param name="book">The profiles of their lab.</param>
    /// <param name="lab">The lab, which says where its pools are mounted; without it they are taken to be below their names.</param>
    public static string Of(string project, IEnumerable<Guest> stacks, ProfileBook book, Lab? lab = null) =>
        YamlTreeWriter.Write(Tree(project, [.. stacks], book, lab));

    /// <summary>The name of the variable that names an image nobody has chosen yet.</summary>
    public static string ImageVariable(string guestName) => Prefix(guestName) + "_IMAGE";

    /// <summary>What the variables of a service begin with: a letter or an underscore (Compose specification, interpolation).</summary>
    internal static string Prefix(string guestName)
    {
        var name = Names.Slug(guestName).Replace('-', '_').ToUpperInvariant();
        return char.IsAsciiDigit(name[0]) ? "_" + name : name;
    }

    private static readonly Dictionary<string, string> Platforms = new(StringComparer.Ordinal)
    {
        ["x86_64"] = "linux/amd64",
        ["aarch64"] = "linux/arm64",
        ["armv7l"] = "linux/arm/v7",
    };

    private static JsonObject Tree(string project, IReadOnlyList<Guest> stacks, ProfileBook book, Lab? lab)
    {
        var services = new JsonObject();
        foreach (var guest in stacks.Where(g => g.Kind == GuestKind.AppStack))
        {
            var name = Names.IdFrom(guest.Name, services.Select(s => s.Key));
            services[name] = Service(guest, name, book, lab);
        }

        // A project's name begins with a letter or digit and holds no spaces.
        var file = new JsonObject { ["name"] = Names.Slug(project), ["services"] = services };
        var networks = stacks
            .Where(g => g.Kind == GuestKind.AppStack && g.Networks is not ["host" or "bridge" or "none"])
            .SelectMany(g => g.Networks);
        if (networks.Distinct(StringComparer.Ordinal).ToList() is { Count: > 0 } named)
        {
            file["networks"] = new JsonObject(named.Select(n => KeyValuePair.Create(n, (JsonNode?)null)));
        }

        foreach (
            var wire in stacks
                .Where(g => g.Kind == GuestKind.AppStack)
                .SelectMany(g => g.Interfaces)
                .Select(l => WireName(l.Network))
                .Distinct()
        )
        {
            // A network of the house is made on the host, not by the engine.
            var there = file["networks"] as JsonObject ?? [];
            there[wire] = new JsonObject { ["external"] = true };
            file["networks"] = there;
        }

        return file;
    }

    private static JsonObject Service(Guest guest, string name, ProfileBook book, Lab? lab)
    {
        var sizing = Sizing.Of(guest, book);
        var service = new JsonObject
        {
            // Without an image the engine stops with this message instead of running something unknown.
            ["image"] = guest.Image is { Length: > 0 } image
                ? Literal(image)
                : $"${{{ImageVariable(name)}:?name the image and its tag in the .env file beside this one}}",
            ["restart"] = guest.Restart ?? UsualRestart,
            ["deploy"] = new JsonObject
            {
                ["resources"] = new JsonObject
                {
                    ["limits"] = new JsonObject
                    {
                        ["cpus"] = sizing.Vcpu.ToString(CultureInfo.InvariantCulture),
                        ["memory"] = Mebibytes(sizing.Ceiling),
                    },
                    // What it is expected to use; the limit is a ceiling against runaways only.
                    ["reservations"] = new JsonObject { ["memory"] = Mebibytes(ByteSize.Min(sizing.ExpectedMemory, sizing.Ceiling)) },
                },
            },
        };
        List<FolderMount> folders = [.. guest.Folders];
        var bulk = BulkFolder(guest, sizing, lab);
        if (bulk is not null)
        {
            folders.Add(new FolderMount(bulk, GuestVolumes.BulkInside));
        }

        // What it shares with others is handed in too; read back, it is known by its folder or share.
        List<FolderMount> given =
        [
            .. GuestVolumes
                .Of(lab ?? Lab.Empty(guest.Name), sizing)
                .Where(v => v is { Place: VolumePlace.SharedFolder or VolumePlace.Share, Outside: not null, Inside: not null })
                .Where(v => guest.Folders.All(f => f.ContainerPath != v.Inside))
                .Select(v => new FolderMount(v.Outside!, v.Inside!, !v.Writes)),
        ];
        folders.AddRange(given);
        if (folders.Count > 0)
        {
            service["volumes"] = new JsonArray([.. folders.Select(Volume)]);
        }

        if (guest.MadeFor is { } family && Platforms.TryGetValue(family, out var platform))
        {
            service["platform"] = platform;
        }

        if (guest.Variables.Count > 0)
        {
            // A name alone takes its value from the .env file or the shell.
            service["environment"] = new JsonArray([.. guest.Variables.Select(v => JsonValue.Create(v))]);
        }

        ComposeDevices.Add(service, guest, name);
        if (guest.Interfaces.Count > 0)
        {
            service["mac_address"] = Macs.Of(guest, guest.Interfaces[0]);
            service["networks"] = new JsonObject(
                guest
                    .Interfaces.Select(l => KeyValuePair.Create(WireName(l.Network), (JsonNode?)Place(l)))
                    .Concat(
                        guest
                            .Networks.Where(n => n is not ("host" or "bridge" or "none"))
                            .Select(n => KeyValuePair.Create(n, (JsonNode?)null))
                    )
                    .DistinctBy(n => n.Key)
            );
        }
        else if (guest.Networks is ["host" or "bridge" or "none"])
        {
            service["network_mode"] = guest.Networks[0];
        }
        else if (guest.Networks.Count > 0)
        {
            service["networks"] = new JsonArray([.. guest.Networks.Select(n => JsonValue.Create(n))]);
        }

        // What shares its host's network, or has an address of its own, publishes nothing: it answers there itself.
        var ports = guest.Networks is ["host"] || guest.Interfaces.Count > 0 ? [] : PortsOf.Said(sizing).Distinct().ToList();
        if (ports.Count > 0)
        {
            service["ports"] = new JsonArray([.. ports.Select(Port)]);
        }

        service[Extension] = Plan(guest, bulk is not null, given);
        return service;
    }

    /// <summary>What the specification has no words for, so that the stack comes back as it was when the file is read.</summary>
    private static JsonObject Plan(Guest guest, bool withBulk, List<FolderMount> given)
    {
        var plan = new JsonObject
        {
            ["name"] = guest.Name,
            ["wants"] = new JsonArray([
                .. guest.Wants.Select(w => new JsonObject
                {
                    ["profile"] = w.ProfileId,
                    ["load"] = new JsonObject(w.Load.Select(l => KeyValuePair.Create(l.Id, (JsonNode?)l.Value))),
                }),
            ]),
        };
        foreach (
            var (name, value) in new (string, long?)[]
            {
                ("vcpu", guest.Overrides.Vcpu),
                ("memory", guest.Overrides.Memory?.Bytes),
                ("system-disk", guest.Overrides.SystemDisk?.Bytes),
                ("bulk", guest.Overrides.Bulk?.Bytes),
            }
        )
        {
            if (value is { } set)
            {
                plan[name] = set;
            }
        }

        if (guest.Ports.Count > 0)
        {
            plan["ports-said"] = new JsonArray([.. guest.Ports.Select(p => JsonValue.Create(p))]);
        }

        if (guest.Listens.Count > 0)
        {
            plan["listens"] = new JsonArray([.. guest.Listens.Select(l => WireShapes.Listen.Write(l))]);
        }

        if (guest.Interfaces.Count > 0)
        {
            plan["interfaces"] = new JsonArray([.. guest.Interfaces.Select(l => WireShapes.Leg.Write(l))]);
        }

        if (guest.Claims.Count > 0)
        {
            plan["claims"] = new JsonArray([.. guest.Claims.Select(Claim)]);
        }

        if (withBulk)
        {
            plan["bulk-folder"] = true;
        }

        if (given.Count > 0)
        {
            plan["handed-in"] = new JsonArray([.. given.Select(f => JsonValue.Create(f.ContainerPath))]);
        }

        return plan;
    }

    private static JsonNode Claim(DeviceClaim claim)
    {
        var said = new JsonObject { ["need"] = ProfileWords.Needs.Word(claim.Need) };
        if (claim.Way is { } way)
        {
            said["way"] = LabWords.Ways.Word(way);
        }

        if (claim.Device is { } device)
        {
            said["device"] = Literal(device);
        }

        return said;
    }

    /// <summary>The folder of a stack's bulk data outside: in the guest that runs it, or in its pool of the host. Null where it has none, or a folder of its own shows it already.</summary>
    private static string? BulkFolder(Guest guest, Sizing sizing, Lab? lab) =>
        GuestVolumes.Bulk(lab ?? Lab.Empty(guest.Name), sizing) is { Outside: { } folder }
        && !guest.Folders.Any(f => f.ContainerPath == GuestVolumes.BulkInside || f.HostPath == folder)
            ? folder
            : null;

    /// <summary>Whole mebibytes, rounded up, as the specification's «M» counts them.</summary>
    private static string Mebibytes(ByteSize size) =>
        string.Create(CultureInfo.InvariantCulture, $"{Math.Max(1, size.RoundUpTo(ByteSize.FromMiB(1)).Bytes >> 20)}M");

    private static JsonNode Volume(FolderMount folder)
    {
        var volume = new JsonObject
        {
            ["type"] = "bind",
            ["source"] = Literal(folder.HostPath),
            ["target"] = Literal(folder.ContainerPath),
        };
        if (folder.ReadOnly)
        {
            volume["read_only"] = true;
        }

        return volume;
    }

    /// <summary>What an engine calls a network of the house.</summary>
    internal static string WireName(string network) => "wire-" + Names.Slug(network);

    private static JsonObject? Place(Leg leg) =>
        leg.Address is { } address
            ? new JsonObject { [address.Contains(':', StringComparison.Ordinal) ? "ipv6_address" : "ipv4_address"] = address }
            : null;

    private static JsonObject Port(Listen listen)
    {
        var port = new JsonObject
        {
            ["target"] = listen.Inside ?? listen.Port,
            ["published"] = listen.Port,
            ["protocol"] = listen.Protocol.Word(),
        };
        if (listen.Address is { } address && address != "*")
        {
            port["host_ip"] = address;
        }

        return port;
    }

    /// <summary>A dollar sign would be taken for a variable; two stand for one.</summary>
    internal static string Literal(string text) => text.Replace("$", "$$", StringComparison.Ordinal);
}
