using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.LabFiles;

/// <summary>Builds a guest from its part of a lab file.</summary>
internal static class GuestReader
{
    public static Guest Read(NodeReader node, List<Host> hosts, ProfileBook book)
    {
        var name = node.Text("name", needed: true) ?? "?";
        var kind = node.Word("kind", LabFileNames.Kinds, GuestKind.Machine, needed: true);
        ValueList<Want> wants = [.. node.Maps("wants", needed: true).Select(w => Want(w, book)).OfType<Want>()];
        return new Guest(
            new GuestId("new"),
            name,
            kind,
            // A want that could not be read is a problem already; this keeps its guest from raising a second one.
            wants.Count == 0
            && node.Has("wants")
                ? [new Want("wiki")]
                : wants,
            new SizeOverrides(
                node.Whole("vcpu", 1, 4096),
                node.Size("memory", Prefixes.Binary),
                node.Size("system-disk", Prefixes.Binary),
                node.Size("bulk", Prefixes.Binary)
            ),
            node.Map("on") is { } on ? Placement(on, hosts) : null,
            node.Word("importance", LabFileNames.Importances, Importance.Should),
            node.Size("may-shrink-to", Prefixes.Binary),
            node.Text("image"),
            [.. node.Maps("folders").Select(Folder)],
            node.Word("life", LabFileNames.Stages, LifeStage.InService),
            [.. node.Texts("devices")],
            Privileged: node.Flag("privileged") ?? false,
            MadeFor: node.Text("made-for"),
            HealthCheckMinutes: node.Whole("health-check-minutes", 0, 1440),
            Growth: node.Map("growth") is { } growth ? Growth(growth) : null
        );
    }

    private static Growth Growth(NodeReader map)
    {
        var growth = new Growth(
            map.Size("per-month", Prefixes.Decimal) ?? ByteSize.Zero,
            map.Number("share-a-year", 0, 10) ?? 0,
            map.Number("give-or-take", 0, 1) ?? 0
        );
        map.Done();
        return growth;
    }

    private static Want? Want(NodeReader map, ProfileBook book)
    {
        var id = map.Text("profile", needed: true);
        var load = map.Map("load");
        map.Done();
        if (id is null)
        {
            return null;
        }

        var profile = book.Find(id);
        if (profile is null)
        {
            map.Problem("profile", $"one of {string.Join(", ", book.All.Select(p => p.Id))} belongs here, not «{id}»");
            return null;
        }

        List<LoadValue> values = [];
        foreach (var (key, value) in load?.Numbers() ?? [])
        {
            try
            {
                Loads.Check(profile, key, value);
                values.Add(new LoadValue(key, value));
            }
            catch (Core.Edits.EditRefused refused)
            {
                load!.Problem(key, refused.Message);
            }
        }

        return new Want(id, [.. values]);
    }

    private static Placement? Placement(NodeReader map, List<Host> hosts)
    {
        var name = map.Text("host", needed: true);
        var system = map.Text("system-pool");
        var bulk = map.Text("bulk-pool");
        map.Done();
        var host = hosts.Find(h => h.Name == name);
        if (host is null)
        {
            if (name is not null)
            {
                map.Problem("host", $"there is no host called «{name}»; there are {string.Join(", ", hosts.Select(h => h.Name))}");
            }

            return null;
        }

        foreach (var (key, pool) in new[] { ("system-pool", system), ("bulk-pool", bulk) })
        {
            if (pool is not null && host.PoolNamed(pool) is null)
            {
                map.Problem(key, $"{host.Name} has no pool called «{pool}»");
            }
        }

        return new Placement(host.Id, system, bulk);
    }

    private static FolderMount Folder(NodeReader map)
    {
        var folder = new FolderMount(
            map.Text("host", needed: true) ?? "",
            map.Text("container", needed: true) ?? "",
            map.Flag("read-only") ?? false
        );
        map.Done();
        return folder;
    }
}
