using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using static Yuntak.Formats.LabFiles.TreeParts;

namespace Yuntak.Formats.LabFiles;

/// <summary>Lays a lab out as the tree of names and values that a lab file is. Defaults are left out.</summary>
internal static class LabTree
{
    public static JsonObject Of(Lab lab)
    {
        var tree = new JsonObject { ["yuntak"] = LabFile.Version, ["name"] = lab.Name };
        if (lab.Settings != LabSettings.Default)
        {
            tree["settings"] = Of(lab.Settings);
        }

        if (lab.Profiles.Count > 0)
        {
            tree["profiles"] = new JsonArray([.. lab.Profiles.Select(ProfileTree.Of)]);
        }

        tree["hosts"] = new JsonArray([.. lab.Hosts.Select(Of)]);
        tree["guests"] = new JsonArray([.. lab.Guests.Select(g => Of(g, lab))]);
        if (lab.Ticks.Count > 0)
        {
            tree["ticks"] = new JsonArray([.. lab.Ticks.Select(t => (JsonNode)t)]);
        }

        return tree;
    }

    private static JsonObject Of(LabSettings settings) =>
        new()
        {
            ["second-thread-gain"] = settings.SecondThreadGain,
            ["host-base"] = settings.HostBase.ToExactString(),
            ["read-cache"] = LabFileNames.CacheRules.WordFor(settings.ReadCacheRule),
            ["read-cache-cap"] = settings.ReadCacheCap.ToExactString(),
        };

    private static JsonObject Of(Host host)
    {
        var tree = new JsonObject { ["name"] = host.Name };
        Id(tree, host.Id.Value, host.Name);
        Put(tree, "description", host.Description.Length > 0 ? host.Description : null);
        var processor = new JsonObject { ["architecture"] = host.Processor.Architecture };
        if (host.Processor.Sockets != 1)
        {
            processor["sockets"] = host.Processor.Sockets;
        }

        processor["cores"] = host.Processor.Cores;
        processor["threads"] = host.Processor.Threads;
        Put(processor, "virtualisation", host.Processor.Virtualisation);
        Put(processor, "model", host.Processor.Model);
        tree["processor"] = processor;
        tree["memory"] = host.Memory.ToExactString();
        Put(tree, "network-ports", host.NetworkPorts);
        Put(tree, "battery-backup", host.BatteryBackup);
        Put(tree, "idle-watts", host.IdleWatts);
        Put(tree, "full-watts", host.FullWatts);
        Put(tree, "powers-on", host.PowersOn);
        Put(tree, "address-fixed", host.AddressFixed);
        Put(tree, "read-from-tools", host.WasRead ? true : null);
        if (host.Disks.Count > 0)
        {
            tree["disks"] = new JsonArray([.. host.Disks.Select(Of)]);
        }

        if (host.Pools.Count > 0)
        {
            tree["pools"] = new JsonArray([.. host.Pools.Select(p => Of(p, host))]);
        }

        Put(tree, "inside", host.Inside is { } inside ? HardwareTree.Of(inside) : null);
        HardwareTree.AddRecords(tree, host);
        return tree;
    }

    private static JsonObject Of(Disk disk)
    {
        var tree = new JsonObject
        {
            ["id"] = disk.Id,
            ["name"] = disk.Name,
            ["size"] = disk.Size.ToExactString(),
            ["kind"] = LabFileNames.Disks.WordFor(disk.Kind),
        };
        if (disk.MountedAt.Count > 0)
        {
            tree["mounted-at"] = new JsonArray([.. disk.MountedAt.Select(m => (JsonNode)m)]);
        }

        Put(tree, "model", disk.Model);
        Put(tree, "hours", disk.HoursRun);
        Put(tree, "removable", disk.Removable ? true : null);
        Put(tree, "holds", HardwareTree.Texts(disk.Holds));
        Put(tree, "health", disk.Health is { } health ? HardwareTree.Of(health) : null);
        Put(tree, "controller", disk.Controller);
        Put(tree, "sector", disk.Sector);
        return tree;
    }

    private static JsonObject Of(Pool pool, Host host)
    {
        var tree = new JsonObject
        {
            ["name"] = pool.Name,
            ["layout"] = LabFileNames.Layouts.WordFor(pool.Layout),
            ["family"] = LabFileNames.Families.WordFor(pool.Family),
            ["disks"] = new JsonArray([.. pool.DiskIds.Select(d => (JsonNode)d)]),
        };
        Put(tree, "missing", HardwareTree.Texts([.. pool.DiskIds.Where(d => host.Disks.All(h => h.Id != d))]));
        Put(tree, "groups", pool.Groups == 1 ? null : pool.Groups);
        Put(tree, "takes", HardwareTree.Texts([.. pool.Takes.Select(t => LabFileNames.Contents.WordFor(t))]));
        Put(tree, "encrypted", pool.Encrypted);
        Put(tree, "key-in", HardwareTree.Texts(pool.KeyPlaces));
        Put(tree, "scrub-days", pool.ScrubDays);
        Put(tree, "thin", pool.Thin ? true : null);
        Put(tree, "compression", pool.Compression is 1 ? null : pool.Compression);
        Put(tree, "already-used", pool.AlreadyUsed == ByteSize.Zero ? null : pool.AlreadyUsed.ToExactString());
        return tree;
    }

    private static JsonObject Of(Guest guest, Lab lab)
    {
        var tree = new JsonObject { ["name"] = guest.Name };
        Id(tree, guest.Id.Value, guest.Name);
        tree["kind"] = LabFileNames.Kinds.WordFor(guest.Kind);
        tree["wants"] = new JsonArray([.. guest.Wants.Select(Of)]);
        Put(tree, "importance", guest.Importance == Importance.Should ? null : LabFileNames.Importances.WordFor(guest.Importance));
        Put(tree, "vcpu", guest.Overrides.Vcpu);
        Put(tree, "memory", guest.Overrides.Memory?.ToExactString());
        Put(tree, "may-shrink-to", guest.MayShrinkTo?.ToExactString());
        Put(tree, "system-disk", guest.Overrides.SystemDisk?.ToExactString());
        Put(tree, "bulk", guest.Overrides.Bulk?.ToExactString());
        Put(tree, "image", guest.Image);
        if (guest.Folders.Count > 0)
        {
            tree["folders"] = new JsonArray([.. guest.Folders.Select(Of)]);
        }

        if (guest.Placement is { } placement && lab.Host(placement.Host) is { } host)
        {
            var on = new JsonObject { ["host"] = host.Name };
            Put(on, "system-pool", placement.SystemPool);
            Put(on, "bulk-pool", placement.BulkPool);
            tree["on"] = on;
        }

        Put(tree, "runs-in", lab.Outer(guest)?.Name);
        Put(tree, "privileged", guest.Privileged ? true : null);
        Put(tree, "made-for", guest.MadeFor);
        Put(tree, "health-check-minutes", guest.HealthCheckMinutes);
        Put(tree, "growth", guest.Growth is { } growth ? Of(growth) : null);
        Put(tree, "devices", HardwareTree.Texts(guest.Devices));
        Put(tree, "life", guest.Life == LifeStage.InService ? null : LabFileNames.Stages.WordFor(guest.Life));
        return tree;
    }

    private static JsonObject Of(Growth growth)
    {
        var tree = new JsonObject();
        Put(tree, "per-month", growth.PerMonth == ByteSize.Zero ? null : growth.PerMonth.ToExactString());
        Put(tree, "share-a-year", growth.ShareAYear is 0 ? null : growth.ShareAYear);
        Put(tree, "give-or-take", growth.GiveOrTake is 0 ? null : growth.GiveOrTake);
        return tree;
    }

    private static JsonObject Of(Want want)
    {
        var tree = new JsonObject { ["profile"] = want.ProfileId };
        if (want.Load.Count > 0)
        {
            tree["load"] = new JsonObject(want.Load.Select(l => KeyValuePair.Create(l.Id, (JsonNode?)l.Value)));
        }

        return tree;
    }

    private static JsonObject Of(FolderMount folder)
    {
        var tree = new JsonObject { ["host"] = folder.HostPath, ["container"] = folder.ContainerPath };
        Put(tree, "read-only", folder.ReadOnly ? true : null);
        return tree;
    }

    /// <summary>The id is written only when it does not follow from the name, as after a renaming.</summary>
    private static void Id(JsonObject tree, string id, string name)
    {
        if (id != Names.Slug(name))
        {
            tree["id"] = id;
        }
    }
}
