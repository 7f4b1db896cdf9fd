using Yuntak.Core.Base;
using Yuntak.Core.Figures;

namespace Yuntak.Core.Labs;

/// <summary>The words for the enumerations of the model.</summary>
public static class LabWords
{
    /// <summary>How much a guest matters.</summary>
    public static readonly WordTable<Importance> Importances = new(
        (Importance.Must, "must", "must run"),
        (Importance.Should, "should", "should run"),
        (Importance.MayWait, "may-wait", "may wait")
    );

    /// <summary>What disks are made of.</summary>
    public static readonly WordTable<DiskKind> Disks = new(
        (DiskKind.Spinning, "spinning", "spinning"),
        (DiskKind.SataFlash, "sata-flash", "SATA flash"),
        (DiskKind.NvmeFlash, "nvme-flash", "NVMe flash"),
        (DiskKind.Usb, "usb", "USB"),
        (DiskKind.Card, "card", "card"),
        (DiskKind.Virtual, "virtual", "virtual")
    );

    /// <summary>How disks share data.</summary>
    public static readonly WordTable<PoolLayout> Layouts = new(
        (PoolLayout.Single, "single", "single disk"),
        (PoolLayout.Stripe, "stripe", "stripe"),
        (PoolLayout.Mirror, "mirror", "mirror"),
        (PoolLayout.StripedMirrors, "striped-mirrors", "striped mirrors"),
        (PoolLayout.StripedMirrors, "mirrors", "striped mirrors"),
        (PoolLayout.Parity1, "parity1", "single parity"),
        (PoolLayout.Parity2, "parity2", "double parity"),
        (PoolLayout.Parity3, "parity3", "triple parity"),
        (PoolLayout.Dedicated1, "dedicated1", "a parity disk"),
        (PoolLayout.Dedicated2, "dedicated2", "two parity disks")
    );

    /// <summary>The families of pools.</summary>
    public static readonly WordTable<PoolFamily> Families = new(
        (PoolFamily.BlockArray, "array", "block array"),
        (PoolFamily.CopyOnWrite, "cow", "copy-on-write pool")
    );

    /// <summary>What pools are meant to hold.</summary>
    public static readonly WordTable<ContentKind> Contents = new(
        (ContentKind.GuestDisks, "guest-disks", "guest disks"),
        (ContentKind.Bulk, "bulk", "bulk"),
        (ContentKind.InstallMedia, "install-media", "install media"),
        (ContentKind.Templates, "templates", "templates"),
        (ContentKind.Backups, "backups", "backups"),
        (ContentKind.Scratch, "scratch", "scratch")
    );

    /// <summary>The kinds of hosts.</summary>
    public static readonly WordTable<HostType> HostTypes = new(
        (HostType.Hypervisor, "hypervisor", "hypervisor host"),
        (HostType.Server, "server", "plain server"),
        (HostType.StoreBox, "store-box", "store box"),
        (HostType.StickStore, "stick-store", "stick-run store"),
        (HostType.Board, "board", "single board")
    );

    /// <summary>The sorts of video encoders.</summary>
    public static readonly WordTable<EncoderClass> Encoders = new(
        (EncoderClass.None, "none", "none"),
        (EncoderClass.RecentGraphics, "recent-graphics", "recent built-in graphics"),
        (EncoderClass.OlderGraphics, "older-graphics", "older built-in graphics"),
        (EncoderClass.Card, "card", "a graphics card")
    );

    /// <summary>The ways to hand a device over.</summary>
    public static readonly WordTable<ClaimWay> Ways = new(
        (ClaimWay.Whole, "whole", "whole"),
        (ClaimWay.UsbId, "usb-id", "by its USB id"),
        (ClaimWay.UsbPort, "usb-port", "by its USB port"),
        (ClaimWay.Node, "node", "as a device node"),
        (ClaimWay.Slice, "slice", "as a slice")
    );

    /// <summary>What a pool does in front of an array.</summary>
    public static readonly WordTable<TierKind> Tiers = new(
        (TierKind.Landing, "landing", "landing tier"),
        (TierKind.ReadCache, "read-cache", "read cache"),
        (TierKind.Guests, "guests", "guest tier")
    );

    /// <summary>The schools of sizing the read cache.</summary>
    public static readonly WordTable<ReadCacheRule> CacheRules = new(
        (ReadCacheRule.Cap, "cap", "a cap"),
        (ReadCacheRule.PerTebibyte, "per-tebibyte", "1 GiB for each TiB of pool")
    );

    /// <summary>How far guests have come.</summary>
    public static readonly WordTable<LifeStage> Stages = new(
        (LifeStage.Planned, "on-paper", "on paper"),
        (LifeStage.Defined, "defined", "defined"),
        (LifeStage.ImageThere, "image-there", "image there"),
        (LifeStage.MediumAttached, "medium-attached", "medium attached"),
        (LifeStage.Installed, "installed", "installed"),
        (LifeStage.MediumOut, "medium-out", "medium out"),
        (LifeStage.StartsUnattended, "starts-unattended", "starts unattended"),
        (LifeStage.Updated, "updated", "updated"),
        (LifeStage.TemplateTaken, "template-taken", "template taken"),
        (LifeStage.DevicesReady, "devices-ready", "devices ready"),
        (LifeStage.DevicesAttached, "devices-attached", "devices attached"),
        (LifeStage.GroupsMapped, "groups-mapped", "groups mapped"),
        (LifeStage.DevicesProven, "devices-proven", "devices proven"),
        (LifeStage.MountsIn, "mounts-in", "mounts in"),
        (LifeStage.SharesIn, "shares-in", "shares in"),
        (LifeStage.EngineIn, "engine-in", "engine in"),
        (LifeStage.StackStarted, "stack-started", "stack started"),
        (LifeStage.StackProven, "stack-proven", "stack proven"),
        (LifeStage.FirstVisited, "first-visited", "first visited"),
        (LifeStage.ServiceIn, "service-in", "service in"),
        (LifeStage.AutostartSet, "starts-with-its-host", "starts with its host"),
        (LifeStage.FirstBackup, "first-backup-taken", "first backup taken"),
        (LifeStage.RestoreTried, "restore-tried", "restore tried"),
        (LifeStage.InService, "in-service", "in service")
    );

    /// <summary>Where facts come from.</summary>
    public static readonly WordTable<Origin> Origins = new(
        (Origin.Computed, "computed", "worked out"),
        (Origin.Read, "read", "read"),
        (Origin.Entered, "entered", "entered"),
        (Origin.Assumed, "assumed", "assumed"),
        (Origin.Published, "published", "published")
    );

    /// <summary>A kind of disk in words.</summary>
    public static string Words(this DiskKind kind) => Disks.Display(kind);

    /// <summary>What a pool is for, in words.</summary>
    public static string Words(this ContentKind kind) => Contents.Display(kind);

    /// <summary>How much a guest matters, in words.</summary>
    public static string Words(this Importance importance) => Importances.Display(importance);

    /// <summary>How far a guest has come, in words.</summary>
    public static string Words(this LifeStage stage) => Stages.Display(stage);

    /// <summary>A kind of host in words.</summary>
    public static string Words(this HostType type) => HostTypes.Display(type);

    /// <summary>A sort of encoder in words.</summary>
    public static string Words(this EncoderClass encoder) => Encoders.Display(encoder);

    /// <summary>What a tier does, in words.</summary>
    public static string Words(this TierKind tier) => Tiers.Display(tier);

    /// <summary>A way in words.</summary>
    public static string Words(this ClaimWay way) => Ways.Display(way);

    /// <summary>A family of pools in words.</summary>
    public static string Words(this PoolFamily family) => Families.Display(family);
}
