using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>Whether a guest's volume lies where it belongs; common practice.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Kind">Its system disk or its bulk data.</param>
/// <param name="Size">What it claims.</param>
/// <param name="Well">Whether it lies well.</param>
/// <param name="Advice">Why, or where it would lie better.</param>
public sealed record VolumeAdvice(Guest Guest, ContentKind Kind, ByteSize Size, bool Well, string Advice)
{
    /// <summary>The volumes that lie in a pool, in the order of the guests.</summary>
    public static IEnumerable<VolumeAdvice> Of(HostAssessment host, PoolBudget pool)
    {
        foreach (var guest in host.Guests)
        {
            if (guest.Guest.Placement?.SystemPool == pool.Pool.Name)
            {
                yield return Volume(guest, ContentKind.GuestDisks, guest.SystemDisk, pool, SystemDisk(host, pool));
            }

            if (guest.Guest.Placement?.BulkPool == pool.Pool.Name && guest.Bulk > ByteSize.Zero)
            {
                yield return Volume(guest, ContentKind.Bulk, guest.Bulk, pool, Bulk(host, pool, guest.Bulk));
            }
        }
    }

    private static VolumeAdvice Volume(Sizing guest, ContentKind kind, ByteSize size, PoolBudget pool, string? better) =>
        pool.Pool.Takes.Count > 0 && !pool.Pool.Takes.Contains(kind)
            ? new VolumeAdvice(
                guest.Guest,
                kind,
                size,
                false,
                $"This pool is meant for {string.Join(", ", pool.Pool.Takes.Select(t => t.Words()))}."
            )
            : new VolumeAdvice(guest.Guest, kind, size, better is null, better ?? "It lies well.");

    private static string? SystemDisk(HostAssessment host, PoolBudget pool)
    {
        var flash = host.Pools.FirstOrDefault(p => p != pool && p.IsFlash && !p.OnBootDisk);
        return pool.OnBootDisk && host.Host.HasOtherDisks ? "It lies on the boot disk: keep that for the host."
            : pool.Pool.Family == PoolFamily.CopyOnWrite && pool.Pool.Layout.StripedParity() > 0
                ? "Small blocks waste room on parity: mirrors serve it better."
            : !pool.IsFlash && flash is not null ? $"Guest disks want flash: {flash.Pool.Name} is."
            : !pool.IsFlash ? "Guest disks want flash; this host has none for them."
            : null;
    }

    private static string? Bulk(HostAssessment host, PoolBudget pool, ByteSize size)
    {
        var roomy = host.Pools.FirstOrDefault(p => p != pool && p.Disks.Count > 0 && !p.IsFlash && p.Spare >= size && !p.OnBootDisk);
        return pool.OnBootDisk && host.Host.HasOtherDisks ? "It lies on the boot disk: keep that for the host."
            : pool.IsFlash && roomy is not null ? $"Bulk data does not need flash: {roomy.Pool.Name} has room for it."
            : null;
    }
}
