using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>The words for stores, jobs, onward copies and drills.</summary>
public static class CopyWords
{
    /// <summary>What happens to a guest while it is copied.</summary>
    public static readonly WordTable<CopyMode> Modes = new(
        (CopyMode.Snapshot, "snapshot", "runs on, copied as it was at one moment"),
        (CopyMode.Stop, "stop", "stopped while it is copied"),
        (CopyMode.Dump, "dump", "databases written out first, runs on")
    );

    /// <summary>Sorts of copy.</summary>
    public static readonly WordTable<PartKind> Parts = new(
        (PartKind.Whole, "whole", "whole guest"),
        (PartKind.Archive, "archive", "the service's own archive"),
        (PartKind.Agent, "agent", "files, by an agent"),
        (PartKind.Settings, "settings", "settings of the host")
    );

    /// <summary>Volumes of a guest.</summary>
    public static readonly WordTable<VolumePart> Volumes = new(
        (VolumePart.System, "system", "system disk"),
        (VolumePart.Bulk, "bulk", "bulk data")
    );

    /// <summary>What copies lie on.</summary>
    public static readonly WordTable<StoreMedium> Mediums = new(
        (StoreMedium.Spinning, "spinning", "spinning disks"),
        (StoreMedium.Flash, "flash", "flash"),
        (StoreMedium.Tape, "tape", "tape"),
        (StoreMedium.Optical, "optical", "discs written once"),
        (StoreMedium.Rented, "rented", "rented room")
    );

    /// <summary>Who begins an onward copy.</summary>
    public static readonly WordTable<OnwardWay> Ways = new(
        (OnwardWay.Pull, "pull", "the far store fetches"),
        (OnwardWay.Push, "push", "the near store sends")
    );

    /// <summary>What the account of an onward copy may do.</summary>
    public static readonly WordTable<OnwardRights> Rights = new(
        (OnwardRights.Add, "add", "add only"),
        (OnwardRights.Thin, "thin", "add and thin"),
        (OnwardRights.All, "all", "everything, deleting too")
    );

    /// <summary>How a first copy gets elsewhere.</summary>
    public static readonly WordTable<FirstCopyWay> Firsts = new(
        (FirstCopyWay.Line, "line", "over the line"),
        (FirstCopyWay.Carried, "carried", "carried on a disk")
    );

    /// <summary>When somebody is told.</summary>
    public static readonly WordTable<ToldWhen> Told = new(
        (ToldWhen.Failure, "failure", "only when something fails"),
        (ToldWhen.Always, "always", "every time"),
        (ToldWhen.Never, "never", "never")
    );

    /// <summary>What a drill brings back.</summary>
    public static readonly WordTable<DrillKind> Drills = new(
        (DrillKind.Guest, "guest", "a guest"),
        (DrillKind.File, "file", "one file"),
        (DrillKind.Host, "host", "a host's settings"),
        (DrillKind.House, "house", "the whole house"),
        (DrillKind.Lab, "lab", "the lab from its own file")
    );
}
