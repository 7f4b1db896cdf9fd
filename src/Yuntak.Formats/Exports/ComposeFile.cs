using System.Globalization;
using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Formats.Exports;

/// <summary>Writes app stacks as Compose files after the open Compose specification.</summary>
public static class ComposeFile
{
    /// <summary>The file of one app stack.</summary>
    /// <param name="guest">The app stack.</param>
    /// <param name="book">The profiles of its lab.</param>
    public static string Of(Guest guest, ProfileBook book) => Of(guest.Name, [guest], book);

    /// <summary>One file with a service for each app stack.</summary>
    /// <param name="project">The project's name.</param>
    /// <param name="stacks">The app stacks; others are passed over.</param>
    /// <param name="book">The profiles of their lab.</param>
    public static string Of(string project, IEnumerable<Guest> stacks, ProfileBook book) =>
        YamlTreeWriter.Write(Tree(project, stacks, book));

    /// <summary>The name of the variable that names an image nobody has chosen yet.</summary>
    public static string ImageVariable(string guestName)
    {
        var name = Names.Slug(guestName).Replace('-', '_').ToUpperInvariant() + "_IMAGE";
        // A variable begins with a letter or an underscore (Compose specification, interpolation).
        return char.IsAsciiDigit(name[0]) ? "_" + name : name;
    }

    private static JsonObject Tree(string project, IEnumerable<Guest> stacks, ProfileBook book)
    {
        var services = new JsonObject();
        foreach (var guest in stacks.Where(g => g.Kind == GuestKind.AppStack))
        {
            var name = Names.IdFrom(guest.Name, services.Select(s => s.Key));
            services[name] = Service(guest, name, book);
        }

        // A project's name begins with a letter or digit and holds no spaces.
        return new JsonObject { ["name"] = Names.Slug(project), ["services"] = services };
    }

    private static JsonObject Service(Guest guest, string name, ProfileBook book)
    {
        var sizing = Sizing.Of(guest, book);
        var service = new JsonObject
        {
            // Without an image the engine stops with this message instead of running something unknown.
            ["image"] = guest.Image is { Length: > 0 } image
                ? Literal(image)
                : $"${{{ImageVariable(name)}:?name the image and its tag in the .env file beside this one}}",
            ["restart"] = "unless-stopped",
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
        if (guest.Folders.Count > 0)
        {
            service["volumes"] = new JsonArray([.. guest.Folders.Select(Volume)]);
        }

        var ports = (guest.Ports.Count > 0 ? guest.Ports : sizing.Profiles.SelectMany(p => p.Ports)).Distinct().ToList();
        if (ports.Count > 0)
        {
            service["ports"] = new JsonArray([.. ports.SelectMany(Ports)]);
        }

        return service;
    }

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

    private static IEnumerable<JsonNode> Ports(int port)
    {
        // Names are asked over both; booting over the network fetches over UDP only.
        if (port != 69)
        {
            yield return Port(port, "tcp");
        }

        if (port is 53 or 69)
        {
            yield return Port(port, "udp");
        }
    }

    private static JsonObject Port(int port, string protocol) =>
        new()
        {
            ["target"] = port,
            ["published"] = port,
            ["protocol"] = protocol,
        };

    /// <summary>A dollar sign would be taken for a variable; two stand for one.</summary>
    private static string Literal(string text) => text.Replace("$", "$$", StringComparison.Ordinal);
}
