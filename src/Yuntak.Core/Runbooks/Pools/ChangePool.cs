using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>A pool that stands becomes another: called otherwise, disks replaced, disks added, or laid out anew with its data kept.</summary>
/// <param name="On">The host as it is planned.</param>
/// <param name="Stands">The host as it stands.</param>
/// <param name="Change">From what to what.</param>
internal sealed record ChangePool(Host On, Host Stands, PoolChange Change) : PoolWork(On)
{
    private Pool Before => Change.Before;

    private Pool After => Change.After;

    /// <inheritdoc/>
    public override string Key => $"change-pool/{On.Id}/{Before.Name}";

    /// <summary>The pools that differ in more than what is said of them.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        from host in plan.Draft.Hosts
        let stands = plan.AsBuilt.Host(host.Id)
        where stands is not null
        from pair in PoolPairs.Of(stands, host)
        where pair is { Before: not null, After: not null }
        let change = new PoolChange(pair.Before, pair.After)
        where !change.Nothing
        select new ChangePool(host, stands, change);

    /// <inheritdoc/>
    public override string Title(Plan plan) =>
        Change.Replaced.Count > 0 ? $"Replace {Numbers.Count(Change.Replaced.Count, "disk")} of {After.Name} on {On.Name}"
        : Change.Joined.Count > 0 ? $"Add {Numbers.Count(Change.Joined.Count, "disk")} to {After.Name} on {On.Name}"
        : Change.Anew ? $"Lay {After.Name} out anew on {On.Name}"
        : Change.Renamed ? $"Call {Before.Name} on {On.Name} {After.Name}"
        : $"Look at {After.Name} on {On.Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.Pools;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        var guests = Guests(plan);
        if (Change.Anew)
        {
            var known = Content(plan);
            return
            [
                new CopyPoolAway(On.Id, Before.Name, known, Spare.Raw(Stands, Before), known > ByteSize.Zero ? Place(plan) : null, guests),
                new TakePoolApart(On.Id, Before.Name, Before.DiskIds),
                .. MakeNewPool.Making(On, After),
                new CopyPoolBack(
                    On.Id,
                    Before.Name,
                    After.Name,
                    guests,
                    known > ByteSize.Zero ? known : Spare.Raw(Stands, Before),
                    known > ByteSize.Zero ? Place(plan) : null
                ),
            ];
        }

        return
        [
            .. Change.Renamed ? [new RenamePool(On.Id, Before.Name, After.Name, guests)] : Array.Empty<Act>(),
            .. Change.EncryptionUnknown ? [new LookWhetherEncrypted(On.Id, After.Name, After.Encrypted!.Value)] : Array.Empty<Act>(),
            .. Change.Replaced.Select(r => new ReplaceDisk(On.Id, After.Name, r.Old, r.New)),
            .. Change.Joined.Count > 0 ? [new JoinDisks(On.Id, After, Change.Joined)] : Array.Empty<Act>(),
        ];
    }

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) =>
        WithName(
            stands.WithHost(
                On.Id,
                h =>
                    WithDisks(h, On, [.. Before.DiskIds, .. After.DiskIds]) with
                    {
                        Pools = h.Pools.Change(p => p.Name == Before.Name, _ => After),
                    }
            ),
            Before.Name,
            After.Name
        );

    /// <summary>A disk that was replaced is replaced, whatever is planned next; so is a name.</summary>
    public override Lab? AdoptAt(Lab stands, Plan plan, Act act) =>
        act switch
        {
            ReplaceDisk replaced => stands.WithHost(
                On.Id,
                h =>
                    WithDisks(h, On, [replaced.Out, replaced.In]) with
                    {
                        Pools = h.Pools.Change(
                            p => p.Name == After.Name || p.Name == Before.Name,
                            p => p with { DiskIds = p.DiskIds.Change(d => d == replaced.Out, _ => replaced.In) }
                        ),
                    }
            ),
            RenamePool => WithName(
                stands.WithHost(
                    On.Id,
                    h => h with { Pools = h.Pools.Change(p => p.Name == Before.Name, p => p with { Name = After.Name }) }
                ),
                Before.Name,
                After.Name
            ),
            _ => null,
        };

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        [
            .. Fresh.Select(d => Condition.DiskFree(On.Id, d)),
            .. Change.Anew && Content(plan) > ByteSize.Zero && Place(plan) is var (host, pool)
                ? [Condition.PoolThere(host, pool)]
                : Array.Empty<Condition>(),
            .. GoFirst(plan).Select(Condition.Gone),
        ];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) =>
        [
            Condition.PoolThere(On.Id, After.Name),
            .. Before.DiskIds.Except(After.DiskIds, StringComparer.Ordinal).Select(d => Condition.DiskFree(On.Id, d)),
        ];

    /// <inheritdoc/>
    public override (HostId Host, string Pool, ByteSize Size, bool Stays)? CopiesTo(Plan plan) =>
        Change.Anew && Content(plan) is { Bytes: > 0 } known && Place(plan) is var (host, pool) ? (host, pool, known, false) : null;

    /// <inheritdoc/>
    public override Halt? Stop(Plan plan) =>
        Change.Anew && Stands.DisksOf(Before).Any(Stands.StartsFrom)
            ? new Halt(
                On.Id,
                $"{Before.Name} on {On.Name} cannot be laid out anew",
                $"The host itself starts from {string.Join("; ", Stands.DisksOf(Before).Where(Stands.StartsFrom).Select(d => plan.Named(On.Id, d.Id)))}.",
                "Leave the boot disk to the host and make a pool of other disks."
            )
        : Change.Anew && Content(plan) > ByteSize.Zero && Place(plan) is null ? Spare.Nowhere(Stands, Before, Content(plan))
        : null;

    private IEnumerable<string> Fresh => After.DiskIds.Except(Before.DiskIds, StringComparer.Ordinal);

    private ValueList<GuestId> Guests(Plan plan) => [.. Keepers(plan).Except(GoFirst(plan))];

    /// <summary>Who keeps something in the pool as it stands.</summary>
    private IEnumerable<GuestId> Keepers(Plan plan) =>
        plan
            .AsBuilt.GuestsOn(On.Id)
            .Where(g => g.Placement!.SystemPool == Before.Name || g.Placement.BulkPool == Before.Name)
            .Select(g => g.Id);

    /// <summary>Who goes for good before the pool becomes too small for what is in it: that would be copied away, and could not be copied back.</summary>
    private IEnumerable<GuestId> GoFirst(Plan plan) =>
        Change.Anew && plan.Sums.Host(On.Id)?.Pool(After.Name) is { } planned && planned.Room.Usable < ContentNow(plan)
            ? Keepers(plan).Where(g => plan.Planned(g) is null)
            : [];

    /// <summary>What is in the pool when its turn comes.</summary>
    private ByteSize Content(Plan plan) =>
        ContentNow(plan)
        - GoFirst(plan)
            .Select(g => GuestRoom.Of(plan.Standing, g))
            .SelectMany(r => new[] { r.System, r.Bulk })
            .OfType<SimVolume>()
            .Where(v => v.Pool == Before.Name)
            .Aggregate(ByteSize.Zero, (sum, v) => sum + v.Size);

    private ByteSize ContentNow(Plan plan) => plan.Standing.Host(On.Id)?.Pool(Before.Name)?.Claimed.Value ?? Before.AlreadyUsed;

    private (HostId Host, string Pool)? Place(Plan plan) => Spare.For(plan, On.Id, Before, Content(plan));

    /// <summary>Guests follow a pool that is called otherwise.</summary>
    private Lab WithName(Lab lab, string before, string after) =>
        before == after ? lab : lab with { Guests = PoolEdits.Renamed(lab.Guests, On.Id, before, after) };
}
