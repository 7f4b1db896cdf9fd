using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.LabFiles;

/// <summary>Builds a lab from the tree of a lab file and notes everything that is wrong with it.</summary>
internal static class LabReader
{
    private const string VersionKey = "yuntak";

    /// <summary>The lab. It is only whole when nothing was noted.</summary>
    public static Lab Read(INode root, ProblemList problems)
    {
        var top = new MapReader(root, "", problems);
        FileVersion.Check(top, VersionKey, LabFile.Version);
        var read = LabShapes.Lab.Fields.Aggregate(LabShapes.Lab.Blank, (l, field) => field.Read(l, top));
        top.Done();
        if (problems.Full)
        {
            return read;
        }

        var lab = Named(read);
        for (var n = 0; n < lab.Guests.Count; n++)
        {
            foreach (var stranger in lab.Guests[n].Apart.Concat(lab.Guests[n].Together).Where(id => lab.Guest(id) is null))
            {
                problems.Note($"guests[{n}]", $"There is no guest called «{Names.Short(stranger.Value)}».");
            }
        }

        var missing = Missing(root);
        FileProblems.Note(problems, LabChecks.Problems(lab, (host, pool) => missing.GetValueOrDefault((host.Id, pool.Name), [])));
        return problems.Found.Count == 0 ? WithRoom(lab) : lab;
    }

    /// <summary>A file names hosts and guests where the model knows them by their ids, and leaves out ids that follow from names.</summary>
    private static Lab Named(Lab read)
    {
        var hosts = new Dictionary<string, HostId>(StringComparer.Ordinal);
        List<Host> known = [];
        var taken = read.Hosts.Select(h => h.Id.Value).Where(id => id.Length > 0).ToHashSet(StringComparer.Ordinal);
        foreach (var host in read.Hosts)
        {
            var id = host.Id.Value.Length > 0 ? host.Id : new HostId(Free(host.Name, taken));
            hosts.TryAdd(host.Name, id);
            known.Add(host with { Id = id });
        }

        taken = read.Guests.Select(g => g.Id.Value).Where(id => id.Length > 0).ToHashSet(StringComparer.Ordinal);
        List<Guest> guests = [.. read.Guests.Select(g => g.Id.Value.Length > 0 ? g : g with { Id = new GuestId(Free(g.Name, taken)) })];
        var byName = guests.DistinctBy(g => g.Name).ToDictionary(g => g.Name, g => g.Id, StringComparer.Ordinal);
        return CopyNames.In(read, GuestOf, id => id is { } host ? hosts.GetValueOrDefault(host.Value, host) : null) with
        {
            Hosts = [.. known],
            Guests =
            [
                .. guests.Select(g =>
                    g with
                    {
                        Placement = g.Placement is { } place
                            ? place with
                            {
                                Host = hosts.GetValueOrDefault(place.Host.Value, place.Host),
                            }
                            : null,
                        RunsIn = g.RunsIn is { } outer ? byName.GetValueOrDefault(outer.Value, outer) : null,
                        Apart = All(g.Apart),
                        Together = All(g.Together),
                    }
                ),
            ],
            Forwards = read.Forwards.Change(
                _ => true,
                f => f with { To = byName.GetValueOrDefault(f.To.Value, f.To), Through = GuestOf(f.Through) }
            ),
            Sites = read.Sites.Change(_ => true, s => s with { Tunnel = GuestOf(s.Tunnel) }),
            Shares = read.Shares.Change(
                _ => true,
                s =>
                    s with
                    {
                        From = s.From with
                        {
                            Guest = GuestOf(s.From.Guest),
                            Host = s.From.Host is { } host ? hosts.GetValueOrDefault(host.Value, host) : null,
                        },
                    }
            ),
        };
        ValueList<GuestId> All(ValueList<GuestId> named) => named.Change(_ => true, id => byName.GetValueOrDefault(id.Value, id));
        GuestId? GuestOf(GuestId? named) => named is { } id ? byName.GetValueOrDefault(id.Value, id) : null;
    }

    private static string Free(string name, HashSet<string> taken)
    {
        var slug = Names.Slug(name);
        var id = slug;
        for (var n = 2; !taken.Add(id); n++)
        {
            id = $"{slug}-{n}";
        }

        return id;
    }

    /// <summary>A guest that runs others' app stacks keeps their bulk data: when the file names no pool for it, one is chosen.</summary>
    private static Lab WithRoom(Lab lab) =>
        lab.Guests.Select(g => g.RunsIn).OfType<GuestId>().Distinct().Aggregate(lab, NestingEdits.WithRoomFor);

    /// <summary>The disks that a file says are missing, by host and pool.</summary>
    private static Dictionary<(HostId Host, string Pool), IReadOnlyCollection<string>> Missing(INode root)
    {
        Dictionary<(HostId, string), IReadOnlyCollection<string>> missing = [];
        var taken = new HashSet<string>(StringComparer.Ordinal);
        foreach (var host in Under(root, "hosts"))
        {
            var id = Member(host, "id")?.Text;
            foreach (var pool in Under(host, "pools"))
            {
                if (Member(pool, "missing")?.Items is { } items)
                {
                    var name = Member(host, "name")?.Text ?? "";
                    missing[(new HostId(id ?? Names.Slug(name)), Member(pool, "name")?.Text ?? "")] =
                    [
                        .. items.Select(i => i.Text).OfType<string>(),
                    ];
                }
            }
        }

        return missing;
    }

    private static IEnumerable<INode> Under(INode node, string name) => Member(node, name)?.Items ?? [];

    private static INode? Member(INode node, string name) =>
        node.Members?.Where(m => m.Name == name).Select(m => m.Value).FirstOrDefault(v => !v.IsNull);
}
