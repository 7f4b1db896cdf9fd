using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>Where stores lie, for the works about them.</summary>
internal static class KeptPlaces
{
    /// <summary>The host something about a store is done at; null for none of the lab.</summary>
    public static HostId? Of(Plan plan, Store store) =>
        store.Guest is { } id && plan.Draft.Guest(id) is { } guest ? plan.Draft.HostOf(guest)?.Id : store.Host;

    /// <summary>What must hold before anything is copied into a store.</summary>
    public static IEnumerable<Condition> Needs(Plan plan, Store store)
    {
        if (store.Guest is { } guest)
        {
            yield return Condition.Ready(guest);
            yield return Condition.Changed(guest);
        }

        if (store.Host is { } host && plan.Draft.Host(host) is not null)
        {
            yield return Condition.Stands(host);
            if (store.Pool is { } pool && plan.Draft.Host(host)!.PoolNamed(pool) is not null)
            {
                yield return Condition.PoolThere(host, pool);
            }
        }
    }
}
