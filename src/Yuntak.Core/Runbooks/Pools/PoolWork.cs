using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>Work on a pool of a host.</summary>
/// <param name="On">The host as it is planned or, for one that goes, as it stands.</param>
internal abstract record PoolWork(Host On) : Work
{
    /// <inheritdoc/>
    public override HostId? Host => On.Id;

    /// <summary>The disks of a pool taken into what is known of a host; those that are planned nowhere any more leave it.</summary>
    protected static Host WithDisks(Host stands, Host? planned, IEnumerable<string> ids)
    {
        var named = ids.ToHashSet(StringComparer.Ordinal);
        return stands with
        {
            Disks =
            [
                .. stands.Disks.Where(d => !named.Contains(d.Id) || planned is null || planned.Disks.Any(p => p.Id == d.Id)),
                .. (planned?.Disks ?? []).Where(d => named.Contains(d.Id) && stands.Disks.All(s => s.Id != d.Id)),
            ],
        };
    }
}
