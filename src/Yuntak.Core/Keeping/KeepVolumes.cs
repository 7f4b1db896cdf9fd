using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

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
            var host = sizing.Guest.Placement!.Host;
            // What lies on the system disk is copied with it.
            foreach (
                var volume in new[] { GuestVolumes.System(sizing), GuestVolumes.Bulk(lab.AllFolders, sizing) }
                    .OfType<GuestVolume>()
                    .Where(v => v.Place != VolumePlace.SystemDisk)
            )
            {
                var part = volume.Part!.Value;
                yield return new KeepVolume(
                    $"{sizing.Guest.Name}/{CopyWords.Volumes.Word(part)}",
                    sizing.Guest,
                    part,
                    null,
                    (host, volume.Pool),
                    volume.Size
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
