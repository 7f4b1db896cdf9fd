using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>The order in which changes are made.</summary>
internal static class RunbookOrder
{
    /// <summary>The changes in order. Guests are put in one by one, each time the first that fits into what is free at that moment.</summary>
    public static IEnumerable<LabChange> Of(Plan plan, IReadOnlyList<LabChange> changes)
    {
        foreach (var change in changes.Where(c => c.Kind == ChangeKind.HostAdded))
        {
            yield return change;
        }

        foreach (var change in changes.Where(c => c.Kind is ChangeKind.PoolAdded or ChangeKind.PoolChanged))
        {
            yield return change;
        }

        var inside = plan.AsBuilt.Guests.Where(g => g.RunsIn is not null).ToLookup(g => g.RunsIn!.Value, g => g.Id);
        var waiting = changes
            .Where(c => c.Guest is not null)
            .OrderBy(c => Phase(plan, c))
            .ThenBy(c => StartOrder(plan, c))
            .Select(c => (Change: c, Growth: Growth(plan, c), First: First(plan, c, inside)))
            .ToList();
        var left = waiting.Select(w => w.Change.Guest!.Value).ToHashSet();
        var used = Assessment.Of(plan.AsBuilt).Hosts.ToDictionary(h => h.Host.Id, h => h.Memory.Committed.Value);
        while (waiting.Count > 0)
        {
            var next = waiting.FindIndex(w => !w.First.Exists(left.Contains) && FitsNow(plan, w.Change, w.Growth, used));
            next = next >= 0 ? next : Math.Max(0, waiting.FindIndex(w => !w.First.Exists(left.Contains)));
            var change = waiting[next].Change;
            waiting.RemoveAt(next);
            left.Remove(change.Guest!.Value);
            Settle(plan, change, used);
            yield return change;
        }

        foreach (var change in changes.Where(c => c.Kind is ChangeKind.PoolRemoved))
        {
            yield return change;
        }

        foreach (var change in changes.Where(c => c.Kind == ChangeKind.HostRemoved))
        {
            yield return change;
        }
    }

    /// <summary>Whose changes come first: what goes into another guest waits until that one is ready; a guest that goes waits until what runs in it has left.</summary>
    private static List<GuestId> First(Plan plan, LabChange change, ILookup<GuestId, GuestId> inside) =>
        change.Kind == ChangeKind.GuestRetired ? [.. inside[change.Guest!.Value]]
        : plan.Draft.Guest(change.Guest!.Value)?.RunsIn is { } outer ? [outer]
        : [];

    private static int Phase(Plan plan, LabChange change) =>
        change.Kind switch
        {
            ChangeKind.GuestRetired => 0,
            ChangeKind.GuestChanged when Growth(plan, change) <= ByteSize.Zero => 1,
            ChangeKind.GuestMoved => 2,
            ChangeKind.GuestChanged => 3,
            _ => 4,
        };

    private static int StartOrder(Plan plan, LabChange change)
    {
        var planned = plan.Draft.Guest(change.Guest!.Value);
        var book = (planned is null ? plan.AsBuilt : plan.Draft).Book;
        return (planned ?? plan.AsBuilt.Guest(change.Guest.Value))!.Wants.Min(w => book.Get(w.ProfileId).StartOrder);
    }

    private static bool FitsNow(Plan plan, LabChange change, ByteSize growth, Dictionary<HostId, ByteSize> used) =>
        change.Host is not { } host
        || plan.Draft.Host(host) is not { } target
        || change.Kind == ChangeKind.GuestRetired
        || used.GetValueOrDefault(host) + growth <= target.Memory;

    private static void Settle(Plan plan, LabChange change, Dictionary<HostId, ByteSize> used)
    {
        var before = plan.AsBuilt.Guest(change.Guest!.Value);
        if (before?.Placement?.Host is { } from)
        {
            used[from] = used.GetValueOrDefault(from) - Needs(plan.AsBuilt, before);
        }

        if (plan.Draft.Guest(change.Guest.Value) is { Placement: { } placement } after)
        {
            used[placement.Host] = used.GetValueOrDefault(placement.Host) + Needs(plan.Draft, after);
        }
    }

    private static ByteSize Growth(Plan plan, LabChange change)
    {
        var after = plan.Draft.Guest(change.Guest!.Value);
        var before = plan.AsBuilt.Guest(change.Guest.Value);
        var same = before?.Placement?.Host == after?.Placement?.Host;
        return (after is null ? ByteSize.Zero : Needs(plan.Draft, after))
            - (before is not null && same ? Needs(plan.AsBuilt, before) : ByteSize.Zero);
    }

    /// <summary>What a guest takes of its host; one inside another takes it of that one.</summary>
    private static ByteSize Needs(Lab lab, Guest guest) =>
        guest.RunsIn is null ? new MemoryShare(guest, Sizing.Of(lab, guest)).Committed : ByteSize.Zero;
}
