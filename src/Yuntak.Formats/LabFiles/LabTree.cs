using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.LabFiles;

/// <summary>Lays a lab out as the tree of names and values that a lab file is. Defaults are left out.</summary>
internal static class LabTree
{
    public static JsonObject Of(Lab lab)
    {
        var tree = new JsonObject { ["yuntak"] = LabFile.Version };
        foreach (var field in LabShapes.Lab.Fields)
        {
            field.Write(Named(lab), tree);
        }

        AddMissing(lab, tree);
        return tree;
    }

    /// <summary>A file names hosts and guests where the model knows them by their ids.</summary>
    private static Lab Named(Lab lab) =>
        CopyNames.In(lab, id => Called(lab, id), id => lab.Host(id) is { } host ? new HostId(host.Name) : id) with
        {
            Guests = lab.Guests.Change(
                g => g.Placement is not null || g.RunsIn is not null || g.Apart.Count > 0 || g.Together.Count > 0,
                g =>
                    g with
                    {
                        Placement =
                            g.Placement is { } place && lab.Host(place.Host) is { } host
                                ? place with
                                {
                                    Host = new HostId(host.Name),
                                }
                                : null,
                        RunsIn = lab.Outer(g) is { } outer ? new GuestId(outer.Name) : null,
                        Apart = AllCalled(lab, g.Apart),
                        Together = AllCalled(lab, g.Together),
                    }
            ),
            Forwards = lab.Forwards.Change(_ => true, f => f with { To = Called(lab, f.To)!.Value, Through = Called(lab, f.Through) }),
            Sites = lab.Sites.Change(_ => true, s => s with { Tunnel = Called(lab, s.Tunnel) }),
            Shares = lab.Shares.Change(
                _ => true,
                s =>
                    s with
                    {
                        From = s.From with
                        {
                            Guest = Called(lab, s.From.Guest),
                            Host = lab.Host(s.From.Host) is { } host ? new HostId(host.Name) : s.From.Host,
                        },
                    }
            ),
        };

    /// <summary>Names of guests that are there: what stands may name one that is only planned.</summary>
    private static ValueList<GuestId> AllCalled(Lab lab, ValueList<GuestId> ids) =>
        [.. ids.Select(lab.Guest).OfType<Guest>().Select(g => new GuestId(g.Name))];

    private static GuestId? Called(Lab lab, GuestId? id) => id is { } known && lab.Guest(known) is { } guest ? new GuestId(guest.Name) : id;

    /// <summary>A pool names those of its disks that are no longer in the host once more, so that a slip of the finger is not taken for one.</summary>
    private static void AddMissing(Lab lab, JsonObject tree)
    {
        for (var h = 0; h < lab.Hosts.Count; h++)
        {
            var host = lab.Hosts[h];
            for (var p = 0; p < host.Pools.Count; p++)
            {
                var missing = host.Pools[p].DiskIds.Where(d => host.Disks.All(k => k.Id != d)).Select(d => (JsonNode?)d).ToArray();
                if (missing.Length > 0)
                {
                    var pool = tree["hosts"]![h]!["pools"]![p]!.AsObject();
                    pool.Insert(pool.IndexOf("disks") + 1, "missing", new JsonArray(missing));
                }
            }
        }
    }
}
