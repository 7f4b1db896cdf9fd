using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>
/// For each guest what is left after a slip, a broken guest, the loss of a pool, of a host, of the whole place, and after somebody stole the account that copies into
/// its stores: the worst-case data loss and the time to restore of the best store that is still there.
/// </summary>
public static class Mishaps
{
    /// <summary>The mishaps of a guest, from the smallest to the largest.</summary>
    public static IReadOnlyList<Mishap> Of(HouseKeeping keeping, GuestKeeping guest)
    {
        var drill = guest.Measured ? guest.Restore : null;
        var hosts = guest.Volumes.Select(v => v.At.Host).OfType<HostId>().ToHashSet();
        var pools = guest.Volumes.Select(v => v.At).ToHashSet();
        return
        [
            Left("slip", "a file deleted or overwritten", _ => true, (_, _) => new Duration(KeepingRules.FileMinutes)),
            Left(
                "guest",
                "the guest broken",
                _ => true,
                (s, fetch) => s == guest.From && drill is { } measured ? measured : Whole(fetch, 0)
            ),
            Left("pool", "its pool lost", s => s.Host is null || !pools.Contains((s.Host.Id, s.Pool)), (_, fetch) => Whole(fetch, 0)),
            Left(
                "host",
                "its host lost",
                s => s.Host is null || !hosts.Contains(s.Host.Id),
                (_, fetch) => Whole(fetch, KeepingRules.HostMinutes)
            ),
            Left(
                "place",
                "the place lost, as by fire or theft",
                s => s.Store.IsElsewhere,
                (_, fetch) => Whole(fetch, KeepingRules.HostMinutes)
            ),
            Left("store-account", "the account of its stores stolen", s => OutOfReach(keeping, guest, s), (_, fetch) => Whole(fetch, 0)),
        ];

        // What is lost counts before how long it takes: of two equally fresh ones the quicker.
        Mishap Left(string name, string words, Func<StoreSums, bool> isLeft, Func<StoreSums, Duration, Duration> takes) =>
            guest
                .ByStore.Where(s => isLeft(s.Store))
                .Select(s => new Mishap(name, words, s.Loses, takes(s.Store, s.Fetch), s.Store))
                .OrderBy(m => m.Loses!.Value.Minutes)
                .ThenBy(m => m.Restore!.Value.Minutes)
                .FirstOrDefault()
            // Nothing is left of what is set up anew, and nothing is lost that its settings do not hold.
            ?? new Mishap(name, words, null, guest.SetUpAnew ? guest.Restore : null, null);
    }

    private static Duration Whole(Duration fetch, double before) =>
        fetch + new Duration(before + KeepingRules.StartMinutes + KeepingRules.CheckMinutes);

    /// <summary>
    /// Whether who has the account that jobs copy with cannot delete there: nobody can, or it only receives what is replicated, and that with an account that may add
    /// and no more, or fetched by itself.
    /// </summary>
    private static bool OutOfReach(HouseKeeping keeping, GuestKeeping guest, StoreSums store) =>
        store.IsUnchangeable
        || (
            keeping.Jobs.All(j => j.Store != store || j.Job.Takes.All(p => p.Guest != guest.Guest.Id))
            && keeping.Onward.Any(o => o.To == store)
            && keeping.Onward.Where(o => o.To == store).All(o => o.Onward.Rights == OnwardRights.Add || o.Onward.Way == OnwardWay.Pull)
        );
}
