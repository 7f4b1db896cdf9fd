using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.LabFiles;

/// <summary>The words a lab file uses for the model's enumerations.</summary>
internal static class LabFileNames
{
    public static readonly (string Word, GuestKind Value)[] Kinds =
    [
        ("machine", GuestKind.Machine),
        ("system-container", GuestKind.SystemContainer),
        ("app-stack", GuestKind.AppStack),
    ];

    public static readonly (string Word, Importance Value)[] Importances =
    [
        ("must", Importance.Must),
        ("should", Importance.Should),
        ("may-wait", Importance.MayWait),
    ];

    public static readonly (string Word, DiskKind Value)[] Disks = [.. DiskText.Kinds];

    public static readonly (string Word, PoolLayout Value)[] Layouts = [.. DiskText.Layouts];

    public static readonly (string Word, PoolFamily Value)[] Families = [("array", PoolFamily.BlockArray), ("cow", PoolFamily.CopyOnWrite)];

    public static readonly (string Word, Family Value)[] ServiceFamilies =
    [
        .. Enum.GetValues<Family>().Select(f => (f.ToString().ToLowerInvariant(), f)),
    ];

    public static readonly (string Word, DayShape Value)[] Shapes =
    [
        ("flat", DayShape.Flat),
        ("evening", DayShape.Evening),
        ("working-day", DayShape.WorkingDay),
        ("household", DayShape.Household),
        ("afternoon", DayShape.Afternoon),
        ("night", DayShape.Night),
    ];

    public static readonly (string Word, ContentKind Value)[] Contents =
    [
        .. Enum.GetValues<ContentKind>().Select(c => (c.Words().Replace(' ', '-'), c)),
    ];

    public static readonly (string Word, ReadCacheRule Value)[] CacheRules =
    [
        ("cap", ReadCacheRule.Cap),
        ("per-tebibyte", ReadCacheRule.PerTebibyte),
    ];

    public static readonly (string Word, Core.Figures.Origin Value)[] Origins =
    [
        .. Enum.GetValues<Core.Figures.Origin>().Select(o => (o.ToString().ToLowerInvariant(), o)),
    ];

    public static readonly (string Word, LifeStage Value)[] Stages =
    [
        .. Enum.GetValues<LifeStage>().Select(s => (s.Words().Replace(' ', '-'), s)),
    ];

    public static string WordFor<T>(this (string Word, T Value)[] words, T value) =>
        words.First(w => EqualityComparer<T>.Default.Equals(w.Value, value)).Word;
}
