using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>What lies on a host's disks while it is put together: which device lies on which disks, what is joined, what is mounted. From it come the pools that were found.</summary>
internal sealed class FoundDraft
{
    private const string Member = "_member";

    private const int MostPools = 100;

    private static readonly string[] SystemPlaces = ["/", "/boot", "/efi", "/usr", "/var", "/tmp", "/home", "/nix", "[SWAP]"];

    private readonly Dictionary<string, BlockDevice> devices = new(StringComparer.Ordinal);

    /// <summary>The names of devices by all the ways others write them.</summary>
    private readonly Dictionary<string, string> written = new(StringComparer.Ordinal);

    public Keyed<Mount> Mounts { get; } = new(m => m.Target);

    public Keyed<FoundArray> Arrays { get; } = new(a => a.Device);

    /// <summary>The physical volumes of each volume group: devices by their names.</summary>
    public Dictionary<string, List<string>> Groups { get; } = new(StringComparer.Ordinal);

    /// <summary>How a volume group's data is shared out, when a volume of it says so.</summary>
    public Dictionary<string, PoolLayout> GroupLayouts { get; } = new(StringComparer.Ordinal);

    public void AddDevice(BlockDevice device)
    {
        if (devices.Count >= IntakeLimits.MostThings && !devices.ContainsKey(device.Name))
        {
            return;
        }

        foreach (var way in new[] { device.Path, "/dev/" + device.Name, "/dev/mapper/" + device.Name })
        {
            if (way is not null)
            {
                written.TryAdd(way, device.Name);
            }
        }

        devices[device.Name] = devices.TryGetValue(device.Name, out var known)
            ? known with
            {
                Disks = [.. known.Disks.Union(device.Disks, StringComparer.Ordinal)],
            }
            : device;
    }

    /// <summary>The pools that were found, by the names of the disks that were read.</summary>
    /// <param name="disks">The disks.</param>
    public ValueList<FoundPool> Pools(IReadOnlyList<Disk> disks)
    {
        // The same kernel name for two disks would be two readings in one text; the first counts.
        var byName = disks.DistinctBy(d => d.Name, StringComparer.Ordinal).ToDictionary(d => d.Name, StringComparer.Ordinal);
        var boots = disks.Where(d => d.IsBoot).Select(d => d.Id).ToHashSet(StringComparer.Ordinal);
        List<FoundPool> found = [];
        foreach (var pool in Joined(byName).Concat(Mounted(byName)))
        {
            var taken = pool.DiskIds.Any(id => boots.Contains(id) || found.Exists(f => f.DiskIds.Contains(id)));
            if (pool.DiskIds.Count > 0 && !taken)
            {
                found.Add(pool);
            }

            if (found.Count == MostPools)
            {
                break;
            }
        }

        return [.. found];
    }

    private IEnumerable<FoundPool> Joined(Dictionary<string, Disk> byName)
    {
        foreach (var (group, volumes) in Groups)
        {
            var parts = volumes.Select(Device).OfType<BlockDevice>().ToList();
            var array = parts.Count == 1 ? ArrayOf(parts[0]) : null;
            var ids = Ids(parts, byName);
            var mounts = MountsOn(d => d.Group == group || volumes.Contains(d.Name)).ToList();
            var layout =
                array?.Layout
                ?? (
                    ids.Count < 2 ? PoolLayout.Single
                    : GroupLayouts.TryGetValue(group, out var said) ? said
                    : PoolLayout.Stripe
                );
            yield return Of(group, layout, PoolFamily.BlockArray, ids, mounts, array?.Missing ?? 0);
        }

        foreach (var array in Arrays.Items.Concat(ByType()).DistinctBy(a => a.Device))
        {
            var device = Device(array.Device);
            var parts =
                array.Parts.Count > 0 ? array.Parts.Select(Device).OfType<BlockDevice>().ToList()
                : device is null ? []
                : [device];
            var mounts = Mounts
                .Items.Where(m => Bare(m.Source) == "/dev/" + array.Device || Device(m.Source)?.Parents.Contains(array.Device) == true)
                .ToList();
            yield return Of(Called(mounts, array.Device), array.Layout, PoolFamily.BlockArray, Ids(parts, byName), mounts, array.Missing);
        }

        var members = devices
            .Values.Where(d => IsCopyOnWrite(d.FileSystem) && (d.Label ?? d.Uuid) is not null)
            .GroupBy(d => (d.Label ?? d.Uuid)!, StringComparer.Ordinal);
        foreach (var pool in members)
        {
            var ids = Ids([.. pool], byName);
            var mounts = Mounts
                .Items.Where(m =>
                    m.Source == pool.Key
                    || m.Source.StartsWith(pool.Key + "/", StringComparison.Ordinal)
                    || Device(m.Source) is { } at && pool.Contains(at)
                )
                .ToList();
            yield return CopyOnWrite(Called(pool.First().Label is null ? mounts : [], pool.Key), ids, mounts, byName);
        }
    }

    /// <summary>A disk with a file system that is mounted by itself.</summary>
    private IEnumerable<FoundPool> Mounted(Dictionary<string, Disk> byName)
    {
        foreach (var mount in Mounts.Items.Where(IsData))
        {
            if (Device(mount.Source) is { } device)
            {
                yield return Of(
                    Called([mount], device.Name),
                    PoolLayout.Single,
                    IsCopyOnWrite(mount.FileSystem) ? PoolFamily.CopyOnWrite : PoolFamily.BlockArray,
                    Ids([device], byName),
                    [mount],
                    0
                );
            }
        }

        foreach (var disk in byName.Values.Where(d => !d.IsBoot && d.MountedAt.Any(IsDataPlace)))
        {
            var at = disk.MountedAt.First(IsDataPlace);
            yield return new FoundPool(LastPart(at) ?? disk.Name, PoolLayout.Single, PoolFamily.BlockArray, [disk.Id], at);
        }
    }

    private static FoundPool Of(string name, PoolLayout layout, PoolFamily family, List<string> ids, List<Mount> mounts, int missing)
    {
        var data = mounts.Where(IsData).ToList();
        var largest = data.Where(m => m.Size is not null).MaxBy(m => m.Size!.Value.Bytes);
        return new FoundPool(
            name,
            layout,
            family,
            [.. ids],
            data.FirstOrDefault()?.Target,
            data.Count == 1 ? largest?.Size : null,
            data.Exists(m => m.Used is not null) ? data.Aggregate(ByteSize.Zero, (sum, m) => sum + (m.Used ?? default)) : null,
            Missing: missing
        );
    }

    /// <summary>The tools of the list do not say how a copy-on-write pool shares its data out; its room does, within what is lost to padding.</summary>
    private static FoundPool CopyOnWrite(string name, List<string> ids, List<Mount> mounts, Dictionary<string, Disk> byName)
    {
        var data = mounts.Where(m => m.Target.StartsWith('/')).ToList();
        var used = data.Aggregate(ByteSize.Zero, (sum, m) => sum + (m.Used ?? default));
        var free = data.Where(m => m is { Size: not null, Used: not null })
            .Select(m => m.Size!.Value - m.Used!.Value)
            .DefaultIfEmpty()
            .Max();
        var room = free > ByteSize.Zero ? used + free : (ByteSize?)null;
        List<ByteSize> sizes = [.. ids.Select(id => byName.Values.First(d => d.Id == id).Size)];
        var (layout, unsure) = FoundLayout.Of(sizes, room);
        return new FoundPool(
            name,
            layout,
            PoolFamily.CopyOnWrite,
            [.. ids],
            data.FirstOrDefault(IsData)?.Target,
            room,
            used > ByteSize.Zero ? used : null,
            unsure
        );
    }

    private IEnumerable<FoundArray> ByType() =>
        devices
            .Values.Where(d => FoundArray.LayoutOf(d.Type) is not null && d.Disks.Count > 0)
            .Select(d => new FoundArray(d.Name, FoundArray.LayoutOf(d.Type)!.Value, [], 0));

    private FoundArray? ArrayOf(BlockDevice device) => Arrays.Items.Concat(ByType()).FirstOrDefault(a => a.Device == device.Name);

    private BlockDevice? Device(string name)
    {
        var bare = Bare(name);
        return devices.GetValueOrDefault(written.GetValueOrDefault(bare, bare));
    }

    private IEnumerable<Mount> MountsOn(Func<BlockDevice, bool> which) => Mounts.Items.Where(m => Device(m.Source) is { } d && which(d));

    private static List<string> Ids(List<BlockDevice> parts, Dictionary<string, Disk> byName) =>
        [
            .. parts
                .SelectMany(p => p.Disks)
                .Distinct(StringComparer.Ordinal)
                .Select(n => byName.GetValueOrDefault(n)?.Id)
                .OfType<string>()
                .Distinct(StringComparer.Ordinal),
        ];

    private static string Called(List<Mount> mounts, string otherwise) =>
        mounts.Where(IsData).Select(m => LastPart(m.Target)).FirstOrDefault(n => n is not null) ?? otherwise;

    /// <summary>A source without the folder in brackets that a bind mount shows.</summary>
    private static string Bare(string source) => source.Split('[')[0];

    private static string? LastPart(string path) => Names.Slug(path.Split('/')[^1]) is { Length: > 0 } name ? name : null;

    private static bool IsData(Mount mount) => !mount.FromNetwork && IsDataPlace(mount.Target);

    private static bool IsDataPlace(string place) =>
        place.StartsWith('/')
        && !SystemPlaces.Contains(place)
        && !place.StartsWith("/boot/", StringComparison.Ordinal)
        && !place.StartsWith("/var/lib/", StringComparison.Ordinal);

    /// <summary>Members of pools that check what they read: their format ends so, those of plain arrays and of volume groups apart.</summary>
    private static bool IsCopyOnWrite(string? format) =>
        format == "btrfs"
        || (
            format is not null
            && format.EndsWith(Member, StringComparison.Ordinal)
            && !format.StartsWith("linux_raid", StringComparison.Ordinal)
            && !format.StartsWith("LVM", StringComparison.Ordinal)
            && !format.StartsWith("isw_raid", StringComparison.Ordinal)
            && !format.StartsWith("ddf_raid", StringComparison.Ordinal)
        );
}
