using System.Globalization;
using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Formats.Exports;

namespace Yuntak.Formats.Definitions;

/// <summary>Reads the members of one service of a Compose file, one after the other.</summary>
internal sealed partial class ComposeService(string? project, DefinitionLog log)
{
    private readonly List<FolderMount> folders = [];
    private readonly List<Listen> heard = [];
    private INode? plan;

    /// <summary>The guest with what one member says.</summary>
    public Guest Read(Guest guest, (string Name, int Line, INode Value) member)
    {
        var (name, line, value) = member;
        switch (name)
        {
            case "image":
                return Image(guest, line, value.Text);
            case "container_name" or "hostname":
                log.Left(line, $"line {line}: {name}: not read");
                return guest;
            case "restart":
                return Said(
                    guest with
                    {
                        Restart = value.Text == ComposeFile.UsualRestart ? null : ComposeText.Word(value.Text),
                    },
                    line,
                    $"started again: {value.Text}"
                );
            case "platform":
                return Said(guest with { MadeFor = ComposeText.Family(value.Text) }, line, $"made for {value.Text}");
            case "ports":
                return Ports(guest, line, value);
            case "expose":
                return Ports(guest, line, value);
            case "volumes":
                return Volumes(guest, value);
            case "mac_address":
                return guest;
            case "networks":
                return Said(guest with { Networks = [.. NamesOf(value).Take(50)] }, line, $"networks {string.Join(", ", NamesOf(value))}");
            case "network_mode":
                return Said(guest with { Networks = value.Text is { } mode ? [mode] : [] }, line, $"network of the {value.Text}");
            case "environment":
                return Variables(guest, line, value);
            case "devices":
                return Nodes(guest, value);
            case "deploy":
                return Deploy(guest, value);
            case "mem_limit":
                return Memory(guest, line, value.Text);
            case "cpus":
                return Processors(guest, line, value.Text);
            case ComposeFile.Extension:
                plan = value;
                return guest;
            default:
                if (!name.StartsWith("x-", StringComparison.Ordinal))
                {
                    log.Left(line, $"line {line}: {Names.Short(Names.Clean(name))}: not read");
                }

                return guest;
        }
    }

    /// <summary>The guest once all was read: with the plan Yuntak wrote beside it, or a guess at what it is for.</summary>
    public Guest Finished(Guest guest)
    {
        if (plan?.Members is not { } members)
        {
            return guest with
            {
                Folders = [.. folders.Take(50)],
                Listens = heard.TrueForAll(ComposePort.IsPlain)
                    ? []
                    : [.. heard.DistinctBy(l => (l.Port, l.Protocol, l.Address)).Take(200)],
                // What is in its folders nobody has said; the profile's usual amount would only be a guess.
                Overrides = guest.Overrides with
                {
                    Bulk = ByteSize.Zero,
                },
                Wants = [new Want(ProfileGuess.Of($"{guest.Name} {guest.Image?.Split(':')[0]}", GuestKind.AppStack, guest.Ports))],
            };
        }

        var said = members.ToDictionary(m => m.Name, m => m.Value, StringComparer.Ordinal);
        var handedIn = (said.GetValueOrDefault("handed-in")?.Items ?? []).Select(i => i.Text).ToHashSet();
        var wants = (said.GetValueOrDefault("wants")?.Items ?? []).Select(ComposeText.Want).OfType<Want>().ToList();
        // What was only advised when the file was written follows the advice again.
        return guest with
        {
            Name = said.GetValueOrDefault("name")?.Text is { Length: > 0 } name ? name : guest.Name,
            Wants = wants.Count > 0 ? [.. wants] : guest.Wants,
            Ports =
                !said.TryGetValue("ports-said", out var ports) ? []
                : ports.Items is { } items ? [.. items.Select(i => ComposePort.Read(i)?.Port).OfType<int>().Take(50)]
                : guest.Ports,
            Listens = [.. ComposeText.Planned(said.GetValueOrDefault("listens"), WireShapes.Listen).Take(200)],
            Interfaces = [.. ComposeText.Planned(said.GetValueOrDefault("interfaces"), WireShapes.Leg).Take(16)],
            Networks = [.. guest.Networks.Where(n => !said.ContainsKey("interfaces") || !n.StartsWith("wire-", StringComparison.Ordinal))],
            Claims = [.. (said.GetValueOrDefault("claims")?.Items ?? []).Select(ComposeText.Claim).OfType<DeviceClaim>().Take(40)],
            // Nodes that follow from claims are theirs.
            Nodes = said.ContainsKey("claims") ? [.. guest.Nodes.Where(n => !ComposeText.IsOfClaim(n))] : guest.Nodes,
            Overrides = new SizeOverrides(
                said.GetValueOrDefault("vcpu")?.Text is { } vcpu && int.TryParse(vcpu, CultureInfo.InvariantCulture, out var count)
                    ? count
                    : null,
                Bytes(said.GetValueOrDefault("memory")),
                Bytes(said.GetValueOrDefault("system-disk")),
                Bytes(said.GetValueOrDefault("bulk"))
            ),
            Folders =
            [
                .. folders
                    .Where(f => f.ContainerPath != GuestVolumes.BulkInside || !said.ContainsKey("bulk-folder"))
                    .Where(f => !handedIn.Contains(f.ContainerPath))
                    .Take(50),
            ],
        };
    }

    private static ByteSize? Bytes(INode? node) =>
        long.TryParse(node?.Text, NumberStyles.None, CultureInfo.InvariantCulture, out var bytes) && bytes > 0 ? new ByteSize(bytes) : null;

    private Guest Image(Guest guest, int line, string? text)
    {
        var image = text is null ? null : ComposeText.Settled(text);
        if (image is null)
        {
            log.Left(line, $"line {line}: the image hangs on a variable whose value is not here: name it at the guest");
            return guest;
        }

        return Said(guest with { Image = image }, line, $"image {image}");
    }

    private Guest Ports(Guest guest, int line, INode value)
    {
        List<int> ports = [.. guest.Ports];
        foreach (var item in value.Items ?? [])
        {
            // What answers outside counts: «8080:80» answers on 8080.
            if (ComposePort.Read(item) is not { } listen)
            {
                log.Left(item.Line, $"line {item.Line}: port «{Names.Short(item.Text)}»: a range, or hung on a variable; not read");
                continue;
            }

            heard.Add(listen);
            if (!ports.Contains(listen.Port) && ports.Count < 50)
            {
                ports.Add(listen.Port);
                log.Read(item.Line, $"line {item.Line}: answers on port {listen.Port}");
            }
        }

        if (value.Items is null)
        {
            log.Left(line, $"line {line}: ports that are no list: not read");
        }

        return guest with
        {
            Ports = [.. ports],
        };
    }

    private Guest Volumes(Guest guest, INode value)
    {
        foreach (var item in value.Items ?? [])
        {
            var (source, target, readOnly) = item.Members is { } members ? ComposeText.Long(members) : ComposeText.Short(item.Text);
            source = source is null ? null : ComposeText.Settled(source);
            target = target is null ? null : ComposeText.Settled(target);
            if (source is null || target is null || !target.StartsWith('/'))
            {
                log.Left(
                    item.Line,
                    $"line {item.Line}: «{Names.Short(item.Text ?? source ?? target)}» names no folder of the host: data in it is gone at the next update"
                );
                continue;
            }

            var home = $"/srv/{Names.Slug(project ?? guest.Name)}";
            var path =
                source.StartsWith('/') ? source
                : source.StartsWith('~') ? "/root" + source[1..]
                : source.StartsWith('.') ? ComposeText.Joined(home, source)
                : $"{home}/{source}";
            log.Read(
                item.Line,
                $"line {item.Line}: {path} as {target}{(readOnly ? ", only to read" : "")}"
                    + (
                        source.StartsWith('/') ? ""
                        : source.StartsWith('.') ? $" («{source}» lies beside the file: set it right if that is elsewhere)"
                        : $" («{source}» is a volume of the engine: set its folder right)"
                    )
            );
            folders.Add(new FolderMount(path, target, readOnly));
        }

        return guest;
    }

    private Guest Variables(Guest guest, int line, INode value)
    {
        var names = (value.Members?.Select(m => m.Name) ?? value.Items?.Select(i => i.Text?.Split('=', 2)[0] ?? "") ?? [])
            .Select(Names.Clean)
            .Where(n => n.Length is > 0 and <= 200)
            .Distinct(StringComparer.Ordinal)
            .Take(500)
            .ToList();
        log.Read(line, $"line {line}: {Numbers.Count(names.Count, "variable")} by name; values are never kept");
        return guest with { Variables = [.. names] };
    }

    private Guest Nodes(Guest guest, INode value)
    {
        List<string> nodes = [];
        foreach (var item in value.Items ?? [])
        {
            var node =
                item.Members?.Where(m => m.Name == "source").Select(m => m.Value.Text).FirstOrDefault()
                ?? ComposeText.BeforeColon(item.Text);
            if (node is { Length: > 0 } && nodes.Count < 50)
            {
                nodes.Add(node);
                log.Read(item.Line, $"line {item.Line}: {node} of the host mapped in");
            }
        }

        return guest with
        {
            Nodes = [.. nodes],
        };
    }

    private Guest Deploy(Guest guest, INode value)
    {
        foreach (var (name, line, part) in value.Members ?? [])
        {
            if (name != "resources")
            {
                log.Left(line, $"line {line}: deploy.{Names.Short(Names.Clean(name))}: not read");
                continue;
            }

            foreach (var (sort, _, amounts) in part.Members ?? [])
            {
                foreach (var (what, at, amount) in amounts.Members ?? [])
                {
                    guest = (sort, what) switch
                    {
                        ("limits", "memory") => Memory(guest, at, amount.Text),
                        ("limits", "cpus") => Processors(guest, at, amount.Text),
                        _ => Passed(guest, at, $"{sort} of {what}"),
                    };
                }
            }
        }

        return guest;
    }

    private Guest Passed(Guest guest, int line, string what)
    {
        log.Left(line, $"line {line}: {Names.Short(Names.Clean(what))}: not read");
        return guest;
    }

    private Guest Memory(Guest guest, int line, string? text) =>
        ComposeText.Bytes(text) is { } size
            ? Said(guest with { Overrides = guest.Overrides with { Memory = size } }, line, $"at most {size} of memory")
            : Passed(guest, line, $"memory «{text}»");

    private Guest Processors(Guest guest, int line, string? text) =>
        double.TryParse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var cpus) && cpus is > 0 and <= 4096
            ? Said(guest with { Overrides = guest.Overrides with { Vcpu = (int)Math.Ceiling(cpus) } }, line, $"at most {text} processors")
            : Passed(guest, line, $"processors «{text}»");

    private Guest Said(Guest guest, int line, string what)
    {
        log.Read(line, $"line {line}: {Names.Clean(what)}");
        return guest;
    }

    private static IEnumerable<string> NamesOf(INode value) =>
        (value.Members?.Select(m => m.Name) ?? value.Items?.Select(i => i.Text ?? "") ?? []).Select(Names.Clean).Where(n => n.Length > 0);
}
