using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>Lists what a house would lose.</summary>
internal static class KeepVolumes
{
    /// <summary>Every volume of every guest that is on a host, and every shared folder. What runs inside another guest lies in that one's volumes.</summary>
    public static IEnumerable<KeepVolume> Of(Sums sums)
    {
        var lab = sums.Lab;
        foreach (var sizing in sums.Guests.Where(s => s.Guest is { RunsIn: null, Placement: not null }))
        {
            var place = sizing.Guest.Placement!;
            yield return new KeepVolume(
                $"{sizing.Guest.Name}/{CopyWords.Volumes.Word(VolumePart.System)}",
                sizing.Guest,
                VolumePart.System,
                null,
                (place.Host, place.SystemPool),
                sizing.SystemDisk
            );
            var bulk = PoolBudget.OwnBulk(lab.AllFolders, sizing, s => s.Bulk);
            if (bulk > ByteSize.Zero)
            {
                yield return new KeepVolume(
                    $"{sizing.Guest.Name}/{CopyWords.Volumes.Word(VolumePart.Bulk)}",
                    sizing.Guest,
                    VolumePart.Bulk,
                    null,
                    (place.Host, place.BulkPool),
                    bulk
                );
            }
        }

        foreach (var folder in lab.AllFolders.Where(f => f.Size > ByteSize.Zero && lab.Host(f.Host) is not null))
        {
            yield return new KeepVolume(
                $"folder {folder.Name}",
                folder.BackedUpBy is { } owner ? lab.Guest(owner) : null,
                null,
                folder,
                (folder.Host, folder.Pool),
                folder.Size
            );
        }
    }
}
