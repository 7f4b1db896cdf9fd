using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>A guest that stands gets other figures or other pools on the same host. Volumes that change their pool are copied, compared and only then let go.</summary>
/// <param name="Of">The guest's id.</param>
internal sealed record ChangeGuest(GuestId Of) : GuestWork(Of)
{
    /// <inheritdoc/>
    public override string Key => $"change-guest/{Of}";

    /// <inheritdoc/>
    public override HostId? Host => null;

    /// <summary>The guests that stay where they are and differ in more than what is said of them.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .Draft.Guests.Where(g =>
                plan.Planned(g.Id) is { } after
                && plan.Stands(g.Id) is { } before
                && StaysPut(plan, before, after)
                && (
                    Figures(plan, before, after, null) is not null
                    || Volumes(plan, before, after).Any()
                    || !HandedDevice.Same(plan.AsBuilt, before, plan.Draft, after)
                )
            )
            .Select(g => new ChangeGuest(g.Id));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Change {Before(plan)!.Name} on {plan.Draft.HostOf(After(plan)!)!.Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) =>
        Memory(plan.Sums, After(plan)!) <= Memory(plan.Standing, Before(plan)!) ? Runbooks.Phase.GuestShrinks : Runbooks.Phase.GuestGrows;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        var (before, after) = (Before(plan)!, After(plan)!);
        var host = plan.Draft.HostOf(after)!.Id;
        var volumes = Volumes(plan, before, after).ToList();
        var set = Figures(plan, before, after, host);
        var start = new StartGuest(Of, host, StartMinutes(plan.Sums.Guest(Of)));
        // A guest that goes along with the one it runs in, and one that only gets other figures, keeps its disks: no copy is needed first.
        var rebuilt = set is { Shrinks: true } or { Repackaged: true } || before.RunsIn != after.RunsIn || volumes.Count > 0;
        // Packaged or run otherwise it is another place for the same service, which moves there with all it keeps.
        var migrates = set is { Repackaged: true } || before.RunsIn != after.RunsIn;
        var kept = plan.Standing.Guest(Of).SystemDisk + plan.Standing.Guest(Of).Bulk;
        return
        [
            .. rebuilt ? [new BackupGuest(Of, plan.AsBuilt.HostOf(before)!.Id)] : Array.Empty<Act>(),
            .. volumes.SelectMany(v =>
                new Act[]
                {
                    new CopyVolume(Of, host, v.Bulk, v.From, v.To, v.Size, v.Rate),
                    new CompareVolume(Of, host, v.Bulk, v.From, v.To, v.Size, v.Rate),
                }
            ),
            .. migrates ? [new ArchiveService(Of, plan.AsBuilt.HostOf(before)!.Id, kept)] : Array.Empty<Act>(),
            .. set is not null ? [set] : Array.Empty<Act>(),
            .. migrates ? [new LayArchiveIn(Of, host, kept)] : Array.Empty<Act>(),
            .. Devices(plan, before, after, host).TakeWhile(a => a is not ProveDevices),
            start,
            .. Shares(before, after, host, moved: false),
            .. Devices(plan, before, after, host).OfType<ProveDevices>(),
            .. migrates ? [new CheckItems(Of, host)] : Array.Empty<Act>(),
            .. volumes.Select(v => new LetVolumeGo(Of, host, v.Bulk, v.From, v.To)),
        ];
    }

    /// <summary>What changes about its devices: those that leave are taken away, those that come are prepared, handed over, mapped and proven.</summary>
    public static IEnumerable<Act> Devices(Plan plan, Guest before, Guest after, HostId host)
    {
        var there = HandedDevice.Of(plan.AsBuilt, before);
        var planned = HandedDevice.Of(plan.Draft, after);
        // What it had on another host stayed there with it, and what runs otherwise is handed its devices anew.
        var moved = plan.AsBuilt.HostOf(before)?.Id != host || before.Kind != after.Kind || before.RunsIn != after.RunsIn;
        var leaves = there.Where(t => moved || planned.All(p => p.Key != t.Key)).ToList();
        ValueList<HandedDevice> comes = [.. planned.Where(p => moved || there.All(t => t.Key != p.Key))];
        if (leaves.Count > 0 && plan.AsBuilt.HostOf(before)?.Id == host)
        {
            yield return new DetachDevices(after.Id, host, [.. leaves]);
        }

        foreach (var (_, act) in DeviceActs.Of(after, host, [], comes))
        {
            yield return act;
        }
    }

    /// <summary>Shares that come, or that another host has to mount now.</summary>
    public static IEnumerable<Act> Shares(Guest before, Guest after, HostId host, bool moved)
    {
        ValueList<ShareMount> comes = [.. after.Mounts.Where(m => moved && m.By == MountBy.Host || !before.Mounts.Contains(m))];
        return comes.Count == 0 ? [] : [new MountShares(after.Id, host, comes)];
    }

    /// <summary>The act that changes the figures; null when none differs.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="before">The guest as it stands.</param>
    /// <param name="after">The guest as it is planned.</param>
    /// <param name="host">The host it is done on.</param>
    /// <param name="moved">Whether the guest has come from another host, so that where it is goes without saying.</param>
    public static SetFigures? Figures(Plan plan, Guest before, Guest after, HostId? host, bool moved = false)
    {
        var (was, becomes) = (plan.Standing.Guest(before.Id), plan.Sums.Guest(after.Id));
        var place = PlaceNow(plan, before);
        var there = before with { Placement = place };
        // Devices have acts of their own.
        var words = GuestDifference.Work(
            plan.AsBuilt,
            there,
            was,
            plan.Draft,
            after with
            {
                Devices = before.Devices,
                Claims = before.Claims,
            },
            becomes,
            moved
        );
        return words.Count == 0
            ? null
            : new SetFigures(
                after.Id,
                host,
                GuestFigures.Of(becomes),
                [.. words],
                becomes.SystemDisk < was.SystemDisk || becomes.Bulk < was.Bulk,
                before.Kind != after.Kind
            );
    }

    /// <inheritdoc/>
    public override Halt? Stop(Plan plan) =>
        Bars(
            plan,
            Devices(plan, Before(plan)!, After(plan)!, plan.Draft.HostOf(After(plan)!)!.Id)
                .OfType<AttachDevices>()
                .SelectMany(a => a.Devices)
        );

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => Settle(stands, plan, After(plan)!);

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        [
            .. PoolsOf(After(plan)!),
            .. WiresOf(plan, After(plan)!),
            .. Deserted(plan),
            .. After(plan)!.RunsIn is { } outer ? [Condition.Ready(outer), Condition.Changed(outer)] : Array.Empty<Condition>(),
        ];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) =>
        [
            Condition.Changed(Of),
            .. Emptied(Before(plan)!),
            .. Before(plan)!.RunsIn is { } outer && outer != After(plan)!.RunsIn ? [Condition.Deserted(outer)] : Array.Empty<Condition>(),
        ];

    /// <inheritdoc/>
    public override IEnumerable<string> Cautions(Plan plan, IReadOnlyList<Act> acts) => Outage(plan, Before(plan), acts);

    private static IEnumerable<(bool Bulk, string From, string To, ByteSize Size, double Rate)> Volumes(
        Plan plan,
        Guest before,
        Guest after
    )
    {
        if (PlaceNow(plan, before) is not { } place || after.Placement is not { } planned || plan.Draft.Host(planned.Host) is not { } host)
        {
            yield break;
        }

        var size = plan.Standing.Guest(before.Id);
        if (place.SystemPool is { } system && planned.SystemPool is { } newSystem && system != newSystem)
        {
            yield return (false, system, newSystem, size.SystemDisk, Rate(system, newSystem));
        }

        if (size.Bulk > ByteSize.Zero && place.BulkPool is { } bulk && planned.BulkPool is { } newBulk && bulk != newBulk)
        {
            yield return (true, bulk, newBulk, size.Bulk, Rate(bulk, newBulk));
        }

        double Rate(params string[] pools) =>
            pools
                .SelectMany(p => (host.PoolNamed(p) ?? plan.AsBuilt.Host(host.Id)?.PoolNamed(p)) is { } pool ? host.DisksOf(pool) : [])
                .Select(d => DiskSpec.Of(d).SequentialRate)
                .DefaultIfEmpty(new DiskSpec(default).SequentialRate)
                .Min();
    }
}
