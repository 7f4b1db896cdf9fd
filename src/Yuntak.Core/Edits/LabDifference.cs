using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Edits;

/// <summary>The difference between two labs, in words.</summary>
public static class LabDifference
{
    /// <summary>Everything that differs, hosts first.</summary>
    public static IReadOnlyList<LabChange> Between(Lab from, Lab to) =>
        [
            .. Said(from, to),
            .. Reach(from, to),
            .. Copies(from, to),
            .. Others(from, to),
            .. to.Hosts.SelectMany(h => Host(from.Host(h.Id), h)),
            .. from.Hosts.Where(h => to.Host(h.Id) is null).Select(h => new LabChange($"host {h.Name} goes")),
            .. to.Guests.Select(g => Guest(from, to, g)).OfType<LabChange>(),
            .. from.Guests.Where(g => to.Guest(g.Id) is null).Select(g => new LabChange($"{g.Name} goes", from.HostOf(g) is not null)),
        ];

    /// <summary>What differs between two descriptions of a host, in words; pools apart.</summary>
    public static IReadOnlyList<string> Words(Host before, Host after) => [.. HostDifference.Between(before, after).Select(c => c.Text)];

    /// <summary>What differs between two forms of one guest, in words.</summary>
    public static IReadOnlyList<string> Words(Lab labBefore, Guest before, Lab labAfter, Guest after) =>
        GuestDifference.All(labBefore, before, labAfter, after);

    private static IEnumerable<LabChange> Said(Lab from, Lab to)
    {
        var telling = new Telling();
        foreach (var field in LabShapes.Lab.Fields.Where(f => f.Name is "name" or "settings" or "networks" or "boxes" or "sites"))
        {
            field.Tell(from, to, telling);
        }

        return telling
            .Told.Select(t => t.Text)
            .Concat(
                to.Profiles.Concat(from.Profiles)
                    .Select(p => p.Id)
                    .Distinct(StringComparer.Ordinal)
                    .Select(id => (Before: from.Book.Own(id), After: to.Book.Own(id)))
                    .Where(p => p.Before != p.After)
                    .Select(p => ProfileWords(p.Before, p.After))
            )
            .Select(words => new LabChange(words, NeedsWork: false));
    }

    /// <summary>Fields whose differences are told above, or item by item.</summary>
    private static readonly HashSet<string> Told = new(StringComparer.Ordinal)
    {
        "name",
        "settings",
        "networks",
        "boxes",
        "sites",
        "profiles",
        "stores",
        "jobs",
        "onward",
        "forwards",
        "shares",
        "hosts",
        "guests",
        // What only what stands has: it is never planned.
        "reserved",
        "notes",
        "times",
    };

    /// <summary>All other lists of a lab: shared folders, offers, drills, copies that are there, and whatever comes. None of them is work by itself.</summary>
    private static IEnumerable<LabChange> Others(Lab from, Lab to)
    {
        var telling = new Telling();
        foreach (var field in LabShapes.Lab.Fields.Where(f => !Told.Contains(f.Name)))
        {
            field.Tell(from, to, telling);
        }

        return telling
            .Told.Select(t => t.Text)
            .Concat(
                from.Copies == to.Copies ? [] : [$"backups that are known: {Arrow.Between($"{from.Copies.Count}", $"{to.Copies.Count}")}"]
            )
            .Select(words => new LabChange(words, NeedsWork: false));
    }

    private static IEnumerable<LabChange> Copies(Lab from, Lab to)
    {
        var telling = new Telling();
        foreach (var field in LabShapes.Lab.Fields.Where(f => f.Name is "stores" or "jobs" or "onward"))
        {
            field.Tell(from, to, telling);
        }

        return telling.Told.Select(t => new LabChange(t.Text, NeedsWork: !t.Known));
    }

    private static IEnumerable<LabChange> Reach(Lab from, Lab to)
    {
        var telling = new Telling();
        foreach (var field in LabShapes.Lab.Fields.Where(f => f.Name is "forwards" or "shares"))
        {
            field.Tell(from, to, telling);
        }

        return telling.Told.Select(t => new LabChange(t.Text));
    }

    private static string ProfileWords(Profile? before, Profile? after) =>
        after is null ? $"own profile {before!.Name} dropped"
        : before is null ? $"own profile {after.Name} added"
        : $"own profile {after.Name} changed";

    private static IEnumerable<LabChange> Host(Host? before, Host after)
    {
        if (before is null)
        {
            yield return new($"host {after.Name} joins");
        }
        else
        {
            var telling = new Telling();
            HostShapes.Host.Tell(before, after, telling);
            if (telling.Told.Count > 0)
            {
                yield return new($"{before.Name}: {string.Join(", ", telling.Told.Select(t => t.Text))}", telling.Told.Any(t => !t.Known));
            }
        }

        foreach (var pool in after.Pools)
        {
            if (before?.PoolNamed(pool.Name) is not { } was)
            {
                yield return new($"{after.Name}: pool {pool.Name}, {pool.Layout.Words(pool.DiskIds.Count, pool.Groups)}");
            }
            else if (LaidOut(was, pool) is { } words)
            {
                yield return new($"{after.Name}: pool {pool.Name} {words}");
            }
            else if (PoolWords(was, pool) is { } said)
            {
                yield return new($"{after.Name}: {said}", !PoolShapes.Pool.SameButKnown(was, pool));
            }
        }

        foreach (var gone in (before?.Pools ?? []).Where(p => after.PoolNamed(p.Name) is null))
        {
            yield return new($"{after.Name}: pool {gone.Name} goes");
        }
    }

    /// <summary>How the disks of a pool share its data otherwise; null when they do not.</summary>
    private static string? LaidOut(Pool was, Pool pool)
    {
        if (was.Layout == pool.Layout && was.Groups == pool.Groups && was.Family == pool.Family && was.DiskIds == pool.DiskIds)
        {
            return null;
        }

        var words = pool.Layout.Words(pool.DiskIds.Count, pool.Groups);
        return was.Layout.Words(was.DiskIds.Count, was.Groups) == words && was.Family == pool.Family
            ? $"changes {Numbers.Count(was.DiskIds.Except(pool.DiskIds).Count(), "disk")}"
            : $"becomes {words}";
    }

    /// <summary>What is said of a pool otherwise; null when nothing is.</summary>
    internal static string? PoolWords(Pool was, Pool pool)
    {
        var telling = new Telling();
        PoolShapes.Pool.Tell(was, pool, telling, pool.Name + " ");
        return telling.Told.Count == 0 ? null : string.Join(", ", telling.Told.Select(t => t.Text));
    }

    private static LabChange? Guest(Lab from, Lab to, Guest after)
    {
        var before = from.Guest(after.Id);
        var (was, becomes) = (before is null ? null : from.HostOf(before), to.HostOf(after));
        if (before is null)
        {
            return becomes is null
                ? new($"{after.Name} asked for", NeedsWork: false)
                : new LabChange($"{after.Name} to be built on {becomes.Name}");
        }

        var words = Words(from, before, to, after);
        var work = GuestDifference.Work(from, before, Sizing.Of(from, before), to, after, Sizing.Of(to, after), moved: false);
        if (words.Count > 0)
        {
            return new($"{before.Name}: {string.Join(", ", words)}", work.Count > 0 && (was is not null || becomes is not null));
        }

        return was is not null && becomes is not null && before.Life < after.Life
            ? new LabChange($"{after.Name} is half built ({before.Life.Words()})")
            : null;
    }
}
