using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Edits;

/// <summary>Changes to hosts, their disks and their pools.</summary>
public static class HostEdits
{
    /// <summary>Adds a host. Its id is made from its name.</summary>
    public static Edit Add(Host host) =>
        lab =>
        {
            if (lab.Hosts.Count >= LabShapes.MostHosts)
            {
                throw new Refused($"A lab holds {LabShapes.MostHosts} hosts at most.");
            }

            var named = Sound(host with { Name = FreeName(lab, host.Name, except: null) });
            var added = named with { Id = new HostId(Names.IdFrom(named.Name, lab.Hosts.Select(h => h.Id.Value))) };
            return new Changed(lab with { Hosts = lab.Hosts.With(added) }, $"host {added.Name} added");
        };

    /// <summary>Changes what is known of a host: anything but its pools and identity.</summary>
    public static Edit Change(HostId id, Func<Host, Host> change) =>
        lab =>
        {
            var before = Existing(lab, id);
            var changed = change(before);
            var after = Sound(changed with { Id = id, Name = FreeName(lab, changed.Name, except: id) });
            var words = LabDifference.Words(before, after);
            return new Changed(
                lab.WithHost(id, _ => after),
                words.Count == 0 ? $"{after.Name}: nothing changed" : $"{after.Name}: {string.Join(", ", words)}"
            );
        };

    /// <summary>Removes a host; its guests stay in the lab, asked for but not placed.</summary>
    public static Edit Remove(HostId id) =>
        lab =>
        {
            var host = Existing(lab, id);
            var guests = lab.GuestsOn(id).Count();
            var left = lab with
            {
                Hosts = lab.Hosts.Without(h => h.Id == id),
                Guests = lab.Guests.Change(g => g.Placement?.Host == id, g => g.WithoutDevices() with { Placement = null }),
            };
            return new Changed(
                WireEdits.Without(left),
                $"host {host.Name} removed" + (guests > 0 ? $", {Numbers.Count(guests, "guest")} taken off it" : "")
            );
        };

    /// <summary>Joins disks of a host into a pool.</summary>
    public static Edit AddPool(HostId id, Pool pool) =>
        lab =>
        {
            var host = Existing(lab, id);
            var named = PoolEdits.Sound(host, pool, except: null);
            return new Changed(
                lab.WithHost(id, h => h with { Pools = h.Pools.With(named) }),
                $"{host.Name}: pool {named.Name} added, {named.Layout.Words(named.DiskIds.Count, named.Groups)}"
            );
        };

    /// <summary>Takes a pool apart; guests stay where they are but have no pool for what lay there.</summary>
    public static Edit RemovePool(HostId id, string pool) =>
        lab =>
        {
            var host = Existing(lab, id);
            if (host.PoolNamed(pool) is null)
            {
                throw new Refused($"{host.Name} has no pool called {pool}.");
            }

            var without = lab.WithHost(id, h => h with { Pools = h.Pools.Without(p => p.Name == pool) });
            var freed = without.Guests.Change(
                g => g.Placement?.Host == id,
                g =>
                    g with
                    {
                        Placement = new Placement(id, OtherThan(pool, g.Placement!.SystemPool), OtherThan(pool, g.Placement.BulkPool)),
                    }
            );
            return new Changed(without with { Guests = freed }, $"{host.Name}: pool {pool} removed");
        };

    private static string? OtherThan(string gone, string? pool) => pool == gone ? null : pool;

    /// <summary>The host of that id.</summary>
    /// <exception cref="Refused">It is no longer in the lab.</exception>
    internal static Host Existing(Lab lab, HostId id) => lab.Host(id) ?? throw new Refused("That host is no longer in the lab.");

    private static string FreeName(Lab lab, string typed, HostId? except)
    {
        var name = Names.Checked(typed, "host");
        if (lab.Hosts.Any(h => h.Id != except && string.Equals(h.Name, name, StringComparison.OrdinalIgnoreCase)))
        {
            throw new Refused($"There is already a host called {name}.");
        }

        return name;
    }

    private static Host Sound(Host host)
    {
        var clean = host with { Description = Names.Clean(host.Description) };
        Problem.Refuse(HostShapes.Host.Problems(clean));
        return clean;
    }
}
