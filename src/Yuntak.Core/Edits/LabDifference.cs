using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Edits;

/// <summary>The difference between two labs, in words.</summary>
public static class LabDifference
{
    /// <summary>Everything that differs, hosts first.</summary>
    public static IReadOnlyList<LabChange> Between(Lab from, Lab to)
    {
        List<LabChange> changes = [];
        if (from.Name != to.Name || from.Settings != to.Settings)
        {
            changes.Add(
                new(ChangeKind.LabChanged, from.Name != to.Name ? $"the lab is called {to.Name}" : "assumptions changed", NeedsWork: false)
            );
        }

        changes.AddRange(ProfileWords(from, to).Select(w => new LabChange(ChangeKind.LabChanged, w, NeedsWork: false)));
        foreach (var host in to.Hosts)
        {
            AddHost(changes, from.Host(host.Id), host);
        }

        changes.AddRange(
            from.Hosts.Where(h => to.Host(h.Id) is null).Select(h => new LabChange(ChangeKind.HostRemoved, $"host {h.Name} goes", h.Id))
        );
        foreach (var guest in to.Guests)
        {
            AddGuest(changes, from, to, guest);
        }

        changes.AddRange(
            from.Guests.Where(g => to.Guest(g.Id) is null)
                .Select(g => new LabChange(
                    ChangeKind.GuestRetired,
                    $"{g.Name} goes",
                    from.HostOf(g)?.Id,
                    g.Id,
                    NeedsWork: from.HostOf(g) is not null
                ))
        );
        return changes;
    }

    /// <summary>What differs between two descriptions of a host, in words; pools apart.</summary>
    public static IReadOnlyList<string> Words(Host before, Host after) => [.. HostDifference.Between(before, after).Select(c => c.Text)];

    /// <summary>What differs between two forms of one guest, in words.</summary>
    public static IReadOnlyList<string> Words(Lab labBefore, Guest before, Lab labAfter, Guest after)
    {
        var was = Sizing.Of(labBefore, before);
        var becomes = Sizing.Of(labAfter, after);
        List<string> words = [];
        Say(words, "called", before.Name, after.Name);
        Say(words, "packaged as", before.Kind.Words(), after.Kind.Words());
        Say(words, "virtual processors", was.Vcpu, becomes.Vcpu);
        Say(words, "memory", was.Memory, becomes.Memory);
        Say(words, "system disk", was.SystemDisk, becomes.SystemDisk);
        Say(words, "bulk data", was.Bulk, becomes.Bulk);
        Say(words, "may shrink to", before.MayShrinkTo?.ToString() ?? "no", after.MayShrinkTo?.ToString() ?? "no");
        if (before.RunsIn is null || before.RunsIn != after.RunsIn)
        {
            Say(words, "host", labBefore.HostOf(before)?.Name ?? "none", labAfter.HostOf(after)?.Name ?? "none");
            Say(words, "runs in", labBefore.Outer(before)?.Name ?? "the host", labAfter.Outer(after)?.Name ?? "the host");
        }

        Say(words, "root inside is root on the host", before.Privileged.YesNo(), after.Privileged.YesNo());
        if (before.Placement is not null && after.Placement is not null)
        {
            Say(words, "pool", before.Placement.SystemPool ?? "none", after.Placement.SystemPool ?? "none");
            Say(words, "pool for bulk data", before.Placement.BulkPool ?? "none", after.Placement.BulkPool ?? "none");
        }

        Say(words, "devices handed over whole", Listed(before.Devices), Listed(after.Devices));
        Say(words, "image", before.Image ?? "none", after.Image ?? "none");
        if (before.Folders != after.Folders)
        {
            words.Add("data folders changed");
        }

        return [.. words, .. PlanningWords(before, after)];
    }

    private static IEnumerable<string> ProfileWords(Lab from, Lab to) =>
        to
            .Profiles.Concat(from.Profiles)
            .Select(p => p.Id)
            .Distinct(StringComparer.Ordinal)
            .Select(id => (Before: from.Book.Own(id), After: to.Book.Own(id)))
            .Where(p => p.Before != p.After)
            .Select(p => ProfileWords(p.Before, p.After));

    private static string ProfileWords(Profile? before, Profile? after) =>
        after is null ? $"own profile {before!.Name} dropped"
        : before is null ? $"own profile {after.Name} added"
        : $"own profile {after.Name} changed";

    private static string Listed(ValueList<string> devices) => devices.Count == 0 ? "none" : string.Join(" and ", devices);

    private static IEnumerable<string> PlanningWords(Guest before, Guest after)
    {
        if (before.MadeFor != after.MadeFor || before.HealthCheckMinutes != after.HealthCheckMinutes)
        {
            yield return "what is known of its image changed";
        }

        if (before.Growth != after.Growth)
        {
            yield return (after.Growth ?? new Growth()).Words();
        }

        if (before.Importance != after.Importance)
        {
            yield return after.Importance.Words();
        }

        if (before.Wants != after.Wants)
        {
            yield return "load changed";
        }
    }

    private static void AddHost(List<LabChange> changes, Host? before, Host after)
    {
        if (before is null)
        {
            changes.Add(new(ChangeKind.HostAdded, $"host {after.Name} joins", after.Id));
        }
        else if (Words(before, after) is { Count: > 0 } words)
        {
            // A correction of what was read is knowledge, not work. Hardware that comes or goes is the admin's own doing, and is already done when it is read.
            changes.Add(new(ChangeKind.HostChanged, $"{before.Name}: {string.Join(", ", words)}", after.Id, NeedsWork: false));
        }

        foreach (var pool in after.Pools)
        {
            var was = before?.PoolNamed(pool.Name);
            var words = pool.Layout.Words(pool.DiskIds.Count, pool.Groups);
            if (was is null)
            {
                changes.Add(new(ChangeKind.PoolAdded, $"{after.Name}: pool {pool.Name}, {words}", after.Id, Pool: pool.Name));
            }
            else if (was.Layout != pool.Layout || was.Groups != pool.Groups || was.Family != pool.Family || was.DiskIds != pool.DiskIds)
            {
                var becomes =
                    was.Layout.Words(was.DiskIds.Count, was.Groups) == words && was.Family == pool.Family
                        ? $"changes {Numbers.Count(was.DiskIds.Except(pool.DiskIds).Count(), "disk")}"
                        : $"becomes {words}";
                changes.Add(new(ChangeKind.PoolChanged, $"{after.Name}: pool {pool.Name} {becomes}", after.Id, Pool: pool.Name));
            }
            else if (was != pool)
            {
                changes.Add(
                    new(ChangeKind.PoolChanged, $"{after.Name}: {PoolWords(was, pool)}", after.Id, Pool: pool.Name, NeedsWork: false)
                );
            }
        }

        changes.AddRange(
            (before?.Pools ?? [])
                .Where(p => after.PoolNamed(p.Name) is null)
                .Select(p => new LabChange(ChangeKind.PoolRemoved, $"{after.Name}: pool {p.Name} goes", after.Id, Pool: p.Name))
        );
    }

    /// <summary>What is only said of a pool: nobody has to do anything for it.</summary>
    internal static string PoolWords(Pool was, Pool pool) =>
        was.AlreadyUsed != pool.AlreadyUsed ? $"{pool.Name} already holds {pool.AlreadyUsed}"
        : was.Takes != pool.Takes
            ? $"{pool.Name} is for {(pool.Takes.Count == 0 ? "anything" : string.Join(", ", pool.Takes.Select(t => t.Words())))}"
        : was.Encrypted != pool.Encrypted ? $"{pool.Name} is {(pool.Encrypted == true ? "" : "not ")}encrypted"
        : was.KeyPlaces != pool.KeyPlaces ? $"the key of {pool.Name} is in {Numbers.Count(pool.KeyPlaces.Count, "place")}"
        : was.ScrubDays != pool.ScrubDays
            ? pool.ScrubDays is > 0 and var days ? $"{pool.Name} is scrubbed every {Numbers.Count(days, "day")}"
                : $"{pool.Name} is not scrubbed"
        : was.Compression != pool.Compression ? $"{pool.Name} compresses {Numbers.Short(pool.Compression)} : 1"
        : $"volumes in {pool.Name} are {(pool.Thin ? "thin" : "thick")}";

    private static void AddGuest(List<LabChange> changes, Lab from, Lab to, Guest after)
    {
        var before = from.Guest(after.Id);
        if (before is null)
        {
            var host = to.HostOf(after);
            changes.Add(
                host is null
                    ? new(ChangeKind.GuestBuilt, $"{after.Name} asked for", Guest: after.Id, NeedsWork: false)
                    : new(ChangeKind.GuestBuilt, $"{after.Name} to be built on {host.Name}", host.Id, after.Id)
            );
            return;
        }

        var words = Words(from, before, to, after);
        var fromHost = from.HostOf(before)?.Id;
        var toHost = to.HostOf(after)?.Id;
        // An app stack that stays in its guest moves along with it.
        var stays = fromHost == toHost || (after.RunsIn is not null && after.RunsIn == before.RunsIn && fromHost is not null);
        var kind =
            stays && toHost is not null ? ChangeKind.GuestChanged
            : fromHost == toHost ? ChangeKind.GuestChanged
            : toHost is null ? ChangeKind.GuestRetired
            : fromHost is null ? ChangeKind.GuestBuilt
            : ChangeKind.GuestMoved;
        if (words.Count > 0)
        {
            var planning = PlanningWords(before, after).ToList();
            var needsWork = words.Count > planning.Count && (fromHost is not null || toHost is not null);
            changes.Add(new(kind, $"{before.Name}: {string.Join(", ", words)}", toHost ?? fromHost, after.Id, NeedsWork: needsWork));
        }

        if (
            fromHost is not null
            && before.Life != after.Life
            && kind is ChangeKind.GuestChanged or ChangeKind.GuestMoved
            && before.Life != LifeStage.InService
        )
        {
            changes.Add(new(ChangeKind.GuestBuilt, $"{after.Name} is half built ({before.Life.Words()})", toHost, after.Id));
        }
    }

    private static void Say<T>(List<string> words, string what, T before, T after)
        where T : notnull
    {
        if (!EqualityComparer<T>.Default.Equals(before, after))
        {
            words.Add($"{what} {Arrow.Between(before.ToString() ?? "", after.ToString() ?? "")}");
        }
    }
}
