using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>What some work takes of hosts while it is done, and what it gives back when it is through: memory under an empty name, room under the pool's.</summary>
/// <param name="Takes">What has to be free when it begins.</param>
/// <param name="Gives">What is free again afterwards.</param>
internal sealed record WorkLoad(
    IReadOnlyList<(HostId Host, string Pool, ByteSize Bytes)> Takes,
    IReadOnlyList<(HostId Host, string Pool, ByteSize Bytes)> Gives
)
{
    /// <summary>Work that takes nothing.</summary>
    public static readonly WorkLoad None = new([], []);

    /// <summary>The name memory goes under.</summary>
    public const string Memory = "";

    /// <summary>What some work takes and gives back.</summary>
    public static WorkLoad Of(Plan plan, Work work)
    {
        if (work.Guest is not { } id)
        {
            return work.CopiesTo(plan) is var (host, pool, size, stays)
                ? new([(host, pool, size)], stays ? [] : [(host, pool, size)])
                : None;
        }

        var (before, after) = (plan.Stands(id), plan.Planned(id));
        // What stands half built has its place already.
        var was = before is { RunsIn: null } ? Standing(plan, id) : [];
        if (work.Builds && before is not null)
        {
            return None;
        }

        var becomes = after is { RunsIn: null } && work is not RetireOldGuest ? Of(GuestRoom.Of(plan.Sums, id), volume => volume.Pool) : [];
        List<(HostId Host, string Pool, ByteSize Bytes)> takes = [];
        List<(HostId, string, ByteSize)> gives = [.. was.Select(w => (w.Key.Host, w.Key.Pool, w.Value))];
        foreach (var (key, bytes) in becomes)
        {
            // What stays where it is only grows there.
            var there = was.GetValueOrDefault(key);
            gives.Remove((key.Host, key.Pool, there));
            if (there > bytes)
            {
                gives.Add((key.Host, key.Pool, there - bytes));
            }
            else if (bytes > there)
            {
                takes.Add((key.Host, key.Pool, bytes - there));
            }
        }

        foreach (var (key, bytes) in Meanwhile(plan, work))
        {
            takes.Add((key.Host, key.Pool, bytes));
            gives.Add((key.Host, key.Pool, bytes));
        }

        return new(Together(takes), gives);
    }

    /// <summary>A guest comes to another host as large as it was, and is made smaller there: what it takes more until then.</summary>
    private static IEnumerable<((HostId Host, string Pool) At, ByteSize Bytes)> Meanwhile(Plan plan, Work work)
    {
        if (
            work is not MoveOldGuest
            || plan.Stands(work.Guest!.Value) is not { RunsIn: null }
            || plan.Planned(work.Guest.Value) is not { RunsIn: null }
        )
        {
            yield break;
        }

        var (was, becomes) = (GuestRoom.Of(plan.Standing, work.Guest.Value), GuestRoom.Of(plan.Sums, work.Guest.Value));
        foreach (var (before, after) in new[] { (was.System, becomes.System), (was.Bulk, becomes.Bulk) })
        {
            if (before is not null && after is not null && before.Size > after.Size)
            {
                yield return ((after.Host, after.Pool), before.Size - after.Size);
            }
        }
    }

    /// <summary>Several takings of one place as one: all of it has to be free at once.</summary>
    private static List<(HostId Host, string Pool, ByteSize Bytes)> Together(List<(HostId Host, string Pool, ByteSize Bytes)> takes) =>
        [
            .. takes
                .GroupBy(t => (t.Host, t.Pool))
                .Select(g => (g.Key.Host, g.Key.Pool, g.Aggregate(ByteSize.Zero, (sum, t) => sum + t.Bytes))),
        ];

    /// <summary>What a guest that stands takes now, under the names its pools are to have.</summary>
    public static Dictionary<(HostId Host, string Pool), ByteSize> Standing(Plan plan, GuestId id) =>
        Of(GuestRoom.Of(plan.Standing, id), volume => PoolPairs.NameAfter(plan, volume.Host, volume.Pool)!);

    private static Dictionary<(HostId Host, string Pool), ByteSize> Of(GuestRoom room, Func<SimVolume, string> nameOf)
    {
        Dictionary<(HostId Host, string Pool), ByteSize> load = new() { [(room.Host, Memory)] = room.Memory };
        foreach (var volume in new[] { room.System, room.Bulk }.OfType<SimVolume>().Where(v => v.Size > ByteSize.Zero))
        {
            var place = (volume.Host, nameOf(volume));
            load[place] = load.GetValueOrDefault(place) + volume.Size;
        }

        return load;
    }
}
