using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>What each layout is called, needs and survives.</summary>
public static class PoolLayouts
{
    /// <summary>Whether parity has disks of its own.</summary>
    public static bool IsDedicated(this PoolLayout layout) => layout is PoolLayout.Dedicated1 or PoolLayout.Dedicated2;

    /// <summary>Disks' worth of parity that is spread over all disks of a group.</summary>
    public static int StripedParity(this PoolLayout layout) => layout.IsDedicated() ? 0 : layout.ParityDisks();

    /// <summary>Disks' worth of parity in a layout; 0 for those without.</summary>
    public static int ParityDisks(this PoolLayout layout) =>
        layout switch
        {
            PoolLayout.Parity1 or PoolLayout.Dedicated1 => 1,
            PoolLayout.Parity2 or PoolLayout.Dedicated2 => 2,
            PoolLayout.Parity3 => 3,
            PoolLayout.Single or PoolLayout.Stripe or PoolLayout.Mirror or PoolLayout.StripedMirrors => 0,
        };

    /// <summary>The fewest disks a layout works with.</summary>
    public static int FewestDisks(this PoolLayout layout) =>
        layout switch
        {
            PoolLayout.Single => 1,
            PoolLayout.Stripe or PoolLayout.Mirror => 2,
            PoolLayout.StripedMirrors => 4,
            PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 or PoolLayout.Dedicated1 or PoolLayout.Dedicated2 =>
                layout.ParityDisks() + 1,
        };

    /// <summary>How many disks may fail, whichever they are, before data is lost.</summary>
    /// <param name="layout">The layout.</param>
    /// <param name="disks">How many disks it is made of.</param>
    public static int Survives(this PoolLayout layout, int disks) =>
        layout switch
        {
            PoolLayout.Mirror => disks - 1,
            PoolLayout.StripedMirrors => 1,
            PoolLayout.Single
            or PoolLayout.Stripe
            or PoolLayout.Parity1
            or PoolLayout.Parity2
            or PoolLayout.Parity3
            or PoolLayout.Dedicated1
            or PoolLayout.Dedicated2 => layout.ParityDisks(),
        };

    /// <summary>How many of a pool's disks may fail, whichever they are, before data is lost.</summary>
    public static int Survives(this Pool pool) => pool.Layout.Survives(pool.DiskIds.Count / Math.Max(1, pool.Groups));

    /// <summary>What is left of its safety when disks are missing, in words.</summary>
    public static string AfterLosing(this Pool pool, int missing) =>
        (pool.Survives() - missing) switch
        {
            < 0 => pool.Layout == PoolLayout.StripedMirrors ? "it is lost if two of them were a pair"
            : pool.Layout.IsDedicated() ? "what was on those disks is lost, the other data disks can be read by themselves"
            : pool.Groups > 1 ? $"it is lost if more than {pool.Survives()} of them were in one group"
            : "it is lost, restore it from its backup",
            0 => "the next disk that fails takes all of it",
            var more => $"it survives {more} more",
        };

    /// <summary>The layout with its disks in words: «mirror of 2 disks», «single disk», «2 × double parity of 6 disks».</summary>
    public static string Words(this PoolLayout layout, int disks, int groups = 1) =>
        disks == 1 ? layout.Words()
        : layout.IsDedicated() ? $"{disks - layout.ParityDisks()} data disks with {layout.Words()}"
        : groups > 1 && disks % groups == 0 ? $"{groups} × {layout.Words()} of {Numbers.Count(disks / groups, "disk")}"
        : groups > 1 ? $"{groups} × {layout.Words()} over {Numbers.Count(disks, "disk")}"
        : $"{layout.Words()} of {Numbers.Count(disks, "disk")}";

    /// <summary>The layout in words.</summary>
    public static string Words(this PoolLayout layout) => LabWords.Layouts.Display(layout);
}
