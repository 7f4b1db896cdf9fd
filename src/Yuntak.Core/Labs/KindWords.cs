namespace Yuntak.Core.Labs;

/// <summary>The words people read for the model's enumerations.</summary>
public static class KindWords
{
    /// <summary>A kind of guest in words.</summary>
    public static string Words(this GuestKind kind) =>
        kind switch
        {
            GuestKind.Machine => "machine",
            GuestKind.SystemContainer => "system container",
            _ => "app stack",
        };

    /// <summary>A kind of disk in words.</summary>
    public static string Words(this DiskKind kind) =>
        kind switch
        {
            DiskKind.Spinning => "spinning",
            DiskKind.SataFlash => "SATA flash",
            DiskKind.NvmeFlash => "NVMe flash",
            DiskKind.Usb => "USB",
            DiskKind.Card => "card",
            _ => "virtual",
        };

    /// <summary>What a pool is for, in words.</summary>
    public static string Words(this ContentKind kind) =>
        kind switch
        {
            ContentKind.GuestDisks => "guest disks",
            ContentKind.Bulk => "bulk",
            ContentKind.InstallMedia => "install media",
            ContentKind.Templates => "templates",
            ContentKind.Backups => "backups",
            _ => "scratch",
        };

    /// <summary>How much a guest matters, in words.</summary>
    public static string Words(this Importance importance) =>
        importance switch
        {
            Importance.Must => "must run",
            Importance.Should => "should run",
            _ => "may wait",
        };

    /// <summary>How far a guest has come, in words.</summary>
    public static string Words(this LifeStage stage) =>
        stage switch
        {
            LifeStage.Planned => "on paper",
            LifeStage.Defined => "defined",
            LifeStage.MediumAttached => "medium attached",
            LifeStage.Installed => "installed",
            LifeStage.MediumOut => "medium out",
            LifeStage.StartsUnattended => "starts unattended",
            LifeStage.Updated => "updated",
            LifeStage.DevicesAttached => "devices attached",
            LifeStage.MountsIn => "mounts in",
            LifeStage.ServiceIn => "service in",
            LifeStage.AutostartSet => "starts with its host",
            LifeStage.FirstBackup => "first backup taken",
            LifeStage.RestoreTried => "restore tried",
            _ => "in service",
        };
}
