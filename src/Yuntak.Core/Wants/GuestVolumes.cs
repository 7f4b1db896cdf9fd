using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>What a guest keeps and where each of it lies: the one place that says so.</summary>
public static class GuestVolumes
{
    /// <summary>Where a guest sees bulk data of its own.</summary>
    public const string BulkInside = "/srv/data";

    /// <summary>Everything a guest keeps, of its own and with others.</summary>
    /// <param name="lab">The lab.</param>
    /// <param name="sizing">The guest, sized.</param>
    public static IEnumerable<GuestVolume> Of(Lab lab, Sizing sizing)
    {
        var guest = sizing.Guest;
        yield return System(sizing);
        if (Bulk(lab, sizing) is { } bulk)
        {
            yield return bulk;
        }

        // Shares come below, with who mounts them.
        foreach (var folder in lab.Folders)
        {
            if (
                folder.Uses.FirstOrDefault(u => u.Guest == guest.Id) is { } use
                && lab.Host(folder.Host)?.PoolNamed(folder.Pool) is { } pool
            )
            {
                yield return new GuestVolume(
                    null,
                    folder.Name,
                    ByteSize.Zero,
                    folder.Size,
                    VolumePlace.SharedFolder,
                    folder.Pool,
                    FolderPath(pool, folder),
                    use.Path,
                    use.Writes
                );
            }
        }

        foreach (var mount in guest.Mounts.Where(m => !lab.Folders.Any(f => f.Name == m.Share && f.Uses.Any(u => u.Guest == guest.Id))))
        {
            var share = lab.Shares.FirstOrDefault(s => s.Name == mount.Share);
            yield return new GuestVolume(
                null,
                mount.Share,
                ByteSize.Zero,
                share?.Size ?? ByteSize.Zero,
                VolumePlace.Share,
                null,
                    // What the own host exports is handed in from where it lies.
                    share?.From.Host
                        is { } exporter
                    && lab.HostOf(guest)?.Id == exporter
                        ? share.From.Path
                    : mount.By == MountBy.Host ? HostPlace(mount)
                    : null,
                mount.At,
                share?.ReadOnly != true
            );
        }
    }

    /// <summary>Its system disk.</summary>
    public static GuestVolume System(Sizing sizing) =>
        new(
            VolumePart.System,
            CopyWords.Volumes.Display(VolumePart.System),
            sizing.SystemDisk,
            sizing.AdvisedSystemDisk.Value,
            sizing.Guest.RunsIn is not null ? VolumePlace.OuterGuest
                : sizing.Guest.Kind == GuestKind.AppStack ? VolumePlace.OwnFolder
                : VolumePlace.OwnDisk,
            sizing.Guest.Placement?.SystemPool
        );

    /// <summary>Its own bulk data; null where it keeps none, or all of it lies in folders it shares with others.</summary>
    public static GuestVolume? Bulk(Lab lab, Sizing sizing)
    {
        var bulk = Bulk(lab.AllFolders, sizing);
        if (bulk is null)
        {
            return null;
        }

        var (slug, pool) = (Names.Slug(sizing.Guest.Name), sizing.Guest.Placement?.BulkPool);
        return bulk.Place switch
        {
            VolumePlace.OwnDisk => bulk with { Inside = BulkInside },
            VolumePlace.OwnFolder => bulk with
            {
                Outside =
                    $"{(lab.Host(sizing.Guest.Placement?.Host)?.PoolNamed(pool) is { } there ? Host.PlaceOf(there) : $"/{Names.Slug(pool!)}")}/{slug}",
                Inside = BulkInside,
            },
            VolumePlace.OuterGuest => bulk with { Outside = $"{BulkInside}/{slug}", Inside = BulkInside },
            _ => bulk,
        };
    }

    /// <summary>The same without paths, for sums.</summary>
    /// <param name="folders">The folders that hold bulk data for others.</param>
    /// <param name="sizing">The guest, sized.</param>
    public static GuestVolume? Bulk(ValueList<SharedFolder> folders, Sizing sizing)
    {
        var size = Own(folders, sizing, s => s.Bulk);
        return size == ByteSize.Zero
            ? null
            : new(
                VolumePart.Bulk,
                CopyWords.Volumes.Display(VolumePart.Bulk),
                size,
                Own(folders, sizing, s => s.AdvisedBulk.Value),
                PlaceOf(sizing),
                sizing.Guest.Placement?.BulkPool
            );
    }

    /// <summary>Where a folder that several use lies on its host.</summary>
    /// <param name="pool">The pool it lies in.</param>
    /// <param name="folder">The folder.</param>
    public static string FolderPath(Pool pool, SharedFolder folder) => $"{Host.PlaceOf(pool)}/{Names.Slug(folder.Name)}";

    /// <summary>Where a host mounts a share that it hands in.</summary>
    public static string HostPlace(ShareMount mount) => $"/mnt/{Names.Slug(mount.Share)}";

    /// <summary>
    /// The folder its Compose file lies in: the one of its own that its data folders lie in, so that both are found and copied together; else below «stacks» on the pool of
    /// its host, and below /srv where none is named or another guest's engine runs it.
    /// </summary>
    public static string StackHome(Lab lab, Guest guest)
    {
        var slug = Names.Slug(guest.Name);
        foreach (var folder in guest.Folders.Select(f => f.HostPath + "/"))
        {
            if (folder.IndexOf($"/{slug}/", StringComparison.OrdinalIgnoreCase) is >= 0 and var at)
            {
                return folder[..(at + 1 + slug.Length)];
            }
        }

        return guest is { RunsIn: null, Placement: { } place } && lab.Host(place.Host)?.PoolNamed(place.SystemPool) is { } pool
            ? $"{Host.PlaceOf(pool)}/stacks/{slug}"
            : $"/srv/stacks/{slug}";
    }

    private static VolumePlace PlaceOf(Sizing sizing)
    {
        var guest = sizing.Guest;
        return guest.Kind == GuestKind.AppStack && guest.Folders.Any(f => !f.ReadOnly) ? VolumePlace.DataFolders
            : guest.RunsIn is not null ? VolumePlace.OuterGuest
            : sizing.IsAppliance || guest.Placement?.BulkPool is null ? VolumePlace.SystemDisk
            : guest.Kind == GuestKind.Machine ? VolumePlace.OwnDisk
            : VolumePlace.OwnFolder;
    }

    /// <summary>What a guest keeps of its own as bulk data: what it and those inside it do not find in shared folders, nor on its system disk.</summary>
    private static ByteSize Own(ValueList<SharedFolder> folders, Sizing guest, Func<Sizing, ByteSize> bulk)
    {
        bool InFolder(GuestId id) => folders.Any(f => f.HoldsBulkOf(id));
        if (folders.Count == 0 && guest.Inner.Count == 0)
        {
            return bulk(guest);
        }

        var elsewhere = guest
            .Inner.Where(s => InFolder(s.Guest.Id) || OnSystemDisk(folders, guest, s))
            .Aggregate(ByteSize.Zero, (sum, s) => sum + bulk(s));
        return InFolder(guest.Guest.Id) ? ByteSize.Zero : ByteSize.Max(ByteSize.Zero, bulk(guest) - elsewhere);
    }

    /// <summary>What the data folders of the stacks in a guest hold that were named outside its bulk volume: it lies on the system disk, whatever room that has.</summary>
    /// <param name="folders">The folders that hold bulk data for others.</param>
    /// <param name="outer">The guest whose engine runs them.</param>
    public static ByteSize OnSystemDiskOf(ValueList<SharedFolder> folders, Sizing outer) =>
        outer
            .Inner.Where(s => IsOutsideBulk(s) && !folders.Any(f => f.HoldsBulkOf(s.Guest.Id)))
            .Aggregate(ByteSize.Zero, (sum, s) => sum + ByteSize.Max(s.Bulk, s.AdvisedBulk.Value));

    private static bool IsOutsideBulk(Sizing inner) =>
        PlaceOf(inner) == VolumePlace.DataFolders
        && inner.Guest.Folders.All(f => !(f.HostPath + "/").StartsWith(BulkInside + "/", StringComparison.Ordinal));

    /// <summary>
    /// Whether the data folders of a stack lie on the system disk of the guest that runs it and are counted there: they were named, none is on its bulk volume, and its
    /// system disk was given large enough for them beside what it needs itself.
    /// </summary>
    private static bool OnSystemDisk(ValueList<SharedFolder> folders, Sizing outer, Sizing inner) =>
        IsOutsideBulk(inner)
        && outer.Guest.Overrides.SystemDisk is { } given
        && given >= outer.AdvisedSystemDisk.Value + OnSystemDiskOf(folders, outer);
}
