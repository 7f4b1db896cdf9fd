using Yuntak.Core.Shapes;

namespace Yuntak.Core.Labs;

/// <summary>The lists of a lab that are about copies.</summary>
public static class KeepingShapes
{
    /// <summary>The most stores, and the most onward copies.</summary>
    public const int MostStores = 100;

    /// <summary>The most jobs.</summary>
    public const int MostJobs = 100;

    /// <summary>The most drills that are kept.</summary>
    public const int MostDrills = 2_000;

    /// <summary>The most copies that are known at once.</summary>
    public const int MostCopies = 20_000;

    internal static Field<Lab> Stores { get; } =
        new Parts<Lab, Store>(
            "stores",
            nameof(Labs.Lab.Stores),
            "store",
            () => StoreShapes.Store,
            r => r.Name,
            l => l.Stores,
            (l, v) => l with { Stores = v }
        )
        {
            Most = MostStores,
        }.Explained("places where copies lie");

    internal static Field<Lab> Jobs { get; } =
        new Parts<Lab, CopyJob>(
            "jobs",
            nameof(Labs.Lab.Jobs),
            "job",
            () => JobShapes.Job,
            r => r.Name,
            l => l.Jobs,
            (l, v) => l with { Jobs = v }
        )
        {
            Most = MostJobs,
        }.Explained("what is copied where, and when");

    internal static Field<Lab> Onward { get; } =
        new Parts<Lab, OnwardCopy>(
            "onward",
            nameof(Labs.Lab.Onward),
            "onward copy",
            () => OnwardShapes.Onward,
            r => r.Key,
            l => l.Onward,
            (l, v) => l with { Onward = v }
        )
        {
            Most = MostStores,
        }.Explained("copies from store to store");

    internal static Field<Lab> Drills { get; } =
        new Parts<Lab, Drill>(
            "drills",
            nameof(Labs.Lab.Drills),
            "drill",
            () => OnwardShapes.Drill,
            r => r.Key,
            l => l.Drills,
            (l, v) => l with { Drills = v }
        )
        {
            Most = MostDrills,
        }
            .IsKnown()
            .Explained("restores that are planned, and that were tried");

    internal static Field<Lab> Copies { get; } =
        new Parts<Lab, KnownCopy>(
            "copies",
            nameof(Labs.Lab.Copies),
            "copy",
            () => OnwardShapes.Copy,
            r => r.Key,
            l => l.Copies,
            (l, v) => l with { Copies = v }
        )
        {
            Most = MostCopies,
        }
            .IsSilent()
            .Explained("copies that are there, as a store's list said");
}
