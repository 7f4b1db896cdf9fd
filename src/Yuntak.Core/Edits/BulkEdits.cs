using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Edits;

/// <summary>One change to several guests at once: it happens to all of them or, when one refuses, to none.</summary>
public static class BulkEdits
{
    /// <summary>Sets how much guests matter.</summary>
    public static Edit Matter(IReadOnlyList<GuestId> guests, Importance importance) =>
        All(guests, id => GuestEdits.Change(id, g => g with { Importance = importance }), importance.Words());

    /// <summary>Packages guests another way.</summary>
    public static Edit Package(IReadOnlyList<GuestId> guests, GuestKind kind) =>
        All(guests, id => GuestEdits.Change(id, g => g with { Kind = kind }), $"{kind.Words()} now");

    /// <summary>Lets guests follow the advice again.</summary>
    public static Edit FollowAdvice(IReadOnlyList<GuestId> guests) =>
        All(guests, id => GuestEdits.Change(id, g => g with { Overrides = SizeOverrides.None }), "following the advice");

    /// <summary>Takes guests off their hosts.</summary>
    public static Edit TakeOff(IReadOnlyList<GuestId> guests) => All(guests, GuestEdits.TakeOff, "on no host");

    /// <summary>Removes guests from the lab.</summary>
    public static Edit Remove(IReadOnlyList<GuestId> guests) =>
        All(guests, id => lab => lab.Guest(id) is null ? new Changed(lab, "") : GuestEdits.Remove(id)(lab), "removed");

    private static Edit All(IReadOnlyList<GuestId> guests, Func<GuestId, Edit> each, string words) =>
        lab =>
        {
            if (guests.Count == 0)
            {
                throw new Refused("Tick the guests it should happen to first.");
            }

            var names = guests.Select(g => GuestEdits.Existing(lab, g).Name).ToList();
            var changed = guests.Aggregate(lab, (l, id) => each(id)(l).Lab);
            return new Changed(
                changed,
                $"{(names.Count <= 3 ? string.Join(", ", names) : Numbers.Count(names.Count, "guest"))}: {(changed == lab ? "nothing changed" : words)}"
            );
        };
}
