using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>A guest is built, from paper to service. Each act brings it one stage further, and what stands says itself how far it has come.</summary>
/// <param name="Of">The guest's id.</param>
internal sealed record BuildGuest(GuestId Of) : GuestWork(Of)
{
    /// <inheritdoc/>
    public override string Key => $"build-guest/{Of}";

    /// <inheritdoc/>
    public override HostId? Host => null;

    /// <inheritdoc/>
    public override bool Builds => true;

    /// <summary>The guests that are planned and do not stand, or stand half built.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .Draft.Guests.Where(g => plan.Planned(g.Id) is { } after && (plan.Stands(g.Id) is not { } before || before.Life < after.Life))
            .Select(g => new BuildGuest(g.Id));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Build {After(plan)!.Name} on {plan.Draft.HostOf(After(plan)!)!.Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.GuestBuilt;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) => [.. Stages(plan).Select(s => s.Act)];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => Reach(stands, plan, LifeStage.InService);

    /// <inheritdoc/>
    public override Lab? AdoptAt(Lab stands, Plan plan, Act act) =>
        StageOf(plan, act) is > LifeStage.Planned and var stage ? Reach(stands, plan, stage) : null;

    /// <inheritdoc/>
    public override bool StandsDone(Plan plan, Act act) =>
        // Every act brings it further than being planned; what is no further has nothing done yet, and its acts need not be asked one by one.
        Before(plan)?.Life
            is { } life
                and > LifeStage.Planned
        && StageOf(plan, act) <= life;

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        [
            Condition.Stands(plan.Draft.HostOf(After(plan)!)!.Id),
            .. PoolsOf(After(plan)!),
            .. WiresOf(plan, After(plan)!),
            Condition.Changed(Of),
            .. After(plan)!.RunsIn is { } outer ? [Condition.Ready(outer), Condition.Changed(outer)] : Array.Empty<Condition>(),
        ];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.Ready(Of)];

    /// <inheritdoc/>
    public override Halt? Stop(Plan plan) =>
        // What is handed over already is not asked again.
        Before(plan)?.Life
            is >= LifeStage.DevicesAttached
            ? null
            : Bars(plan, HandedDevice.Of(plan.Draft, After(plan)!));

    private LifeStage StageOf(Plan plan, Act act) => Stages(plan).First(s => s.Act == act).Stage;

    /// <summary>When it is new, it stands from now on with the figures it was planned with.</summary>
    private Lab Reach(Lab stands, Plan plan, LifeStage stage)
    {
        var planned = After(plan)!;
        return stands.Guest(Of) is { } known && stands.HostOf(known) is not null
            ? stands.WithGuest(Of, g => g with { Life = stage })
            : Stand(stands, Known.AsFacts(plan.Draft, planned) with { Life = stage });
    }

    /// <summary>The acts with the stage each brings it to. What is done already is told as it was done, what is to come as it is planned.</summary>
    private IEnumerable<(LifeStage Stage, Act Act)> Stages(Plan plan)
    {
        var planned = All(plan.Sums, plan.Sums.Guest(Of), plan.Draft.HostOf(After(plan)!)!.Id);
        if (Before(plan) is not { } before)
        {
            return planned;
        }

        var done = All(plan.Standing, plan.Standing.Guest(Of), plan.AsBuilt.HostOf(before)!.Id).Where(s => s.Stage <= before.Life);
        return done.Concat(planned.Where(s => s.Stage > before.Life));
    }

    /// <summary>Where a host keeps images of that sort: the pool that was made for them, else its own disk.</summary>
    private static string? ImagePool(Sums sums, HostId host, GuestKind kind)
    {
        var content = kind == GuestKind.SystemContainer ? ContentKind.Templates : ContentKind.InstallMedia;
        return sums.Host(host)?.Host.Pools.FirstOrDefault(p => p.Takes.Contains(content))?.Name;
    }

    /// <summary>All about its devices, before anything of the service starts: what its profiles say in words stands there only while nothing is chosen.</summary>
    private static IEnumerable<(LifeStage Stage, Act Act)> Devices(Lab lab, Sizing sizing, HostId host)
    {
        var guest = sizing.Guest;
        var handed = HandedDevice.Of(lab, guest);
        ValueList<string> needs = handed.Count > 0 ? [] : [.. sizing.Profiles.SelectMany(p => p.Needs).Distinct(StringComparer.Ordinal)];
        return DeviceActs.Of(guest, host, needs, handed);
    }

    private static IEnumerable<(LifeStage Stage, Act Act)> All(Sums sums, Sizing sizing, HostId host)
    {
        var guest = sizing.Guest;
        var (id, figures) = (guest.Id, GuestFigures.Of(sizing));
        var order = StartOrders.Of(sums.Lab, sizing, sums.Guest);
        var start = new FirstStart(id, host, guest.Kind, guest.Name, sizing.FirstStartMinutes, guest.RunsIn);
        // A hub with a system of its own comes as a disk that is imported; other machines are installed.
        var readyMade = sizing is { IsAppliance: true } && !sizing.Follows(ProfileBook.Router);
        var fetch = new FetchImage(id, host, guest.Kind, readyMade, ImagePool(sums, host, guest.Kind));
        switch (guest.Kind)
        {
            case GuestKind.Machine:
                yield return (LifeStage.Defined, new CreateMachine(id, host, figures));
                yield return (LifeStage.ImageThere, fetch);
                if (readyMade)
                {
                    yield return (LifeStage.MediumOut, new ImportImage(id, host, sizing.SystemDisk));
                    break;
                }

                yield return (LifeStage.MediumAttached, new AttachMedium(id, host));
                yield return (
                    LifeStage.Installed,
                    new InstallGuest(id, host, guest.Name, sizing.SystemDisk, sizing.FirstStartMinutes > 5 ? 10 : 4)
                );
                yield return (LifeStage.MediumOut, new DetachMedium(id, host));
                break;
            case GuestKind.SystemContainer:
                // Nothing stands by it yet: it is only remembered until the container is made from it.
                yield return (LifeStage.Planned, fetch);
                yield return (LifeStage.Defined, new CreateContainer(id, host, figures));
                break;
            case GuestKind.AppStack:
                yield return (LifeStage.Defined, new LayStack(id, host, figures, [.. guest.Folders.Select(f => f.HostPath)]));
                break;
        }

        if (guest.Kind != GuestKind.AppStack)
        {
            yield return (LifeStage.StartsUnattended, start);
            yield return (LifeStage.Updated, new UpdateGuest(id, host));
            if (!sizing.IsThrowAway && !sizing.IsAppliance)
            {
                yield return (LifeStage.TemplateTaken, new TakeTemplate(id, host));
            }
        }

        // A stack starts only once folders, shares and devices are where it looks for them: what it writes before lies in the wrong place.
        var devices = Devices(sums.Lab, sizing, host).ToList();
        var proof = guest.Kind == GuestKind.AppStack ? devices.FindAll(d => d.Act is ProveDevices) : [];
        foreach (var step in devices.Except(proof))
        {
            yield return step;
        }

        // What lies on its system disk, or in the folders that were named for it, is there already.
        var bulk = GuestVolumes.Bulk(sums.Lab, sizing) is { } own && (own.IsOwn || own.Place == VolumePlace.OuterGuest) ? own : null;
        var folders = UsedFolder.Of(sums.Lab, sizing);
        if (bulk is not null || folders.Count > 0)
        {
            yield return (
                LifeStage.MountsIn,
                new MountBulk(
                    id,
                    host,
                    guest.Kind,
                    guest.Name,
                    bulk?.Size ?? ByteSize.Zero,
                    guest.Placement?.BulkPool,
                    guest.RunsIn,
                    folders
                )
            );
        }

        if (guest.Mounts.Count > 0)
        {
            yield return (LifeStage.SharesIn, new MountShares(id, host, guest.Mounts));
        }

        if (guest.Kind == GuestKind.AppStack)
        {
            yield return (LifeStage.StackStarted, start);
            foreach (var (_, act) in proof)
            {
                yield return (LifeStage.StackProven, act);
            }
        }

        if (guest.Kind != GuestKind.AppStack && (sizing.Inner.Count > 0 || sizing.Follows(ProfileBook.AppEngine)))
        {
            yield return (LifeStage.EngineIn, new InstallEngineInside(id, host, bulk is not null));
        }

        if (!sizing.IsThrowAway)
        {
            yield return (
                LifeStage.FirstVisited,
                new FirstVisit(id, host, [.. sizing.Profiles.Select(p => p.Id)], FirstVisit.PageOf(sums, guest))
            );
        }

        yield return (LifeStage.ServiceIn, new SetUpService(id, host, [.. sizing.Profiles.Select(p => p.Id)]));
        if (!sizing.IsThrowAway)
        {
            yield return (LifeStage.AutostartSet, new SetAutostart(id, host, order, guest.Kind == GuestKind.AppStack));
        }

        yield return (LifeStage.InService, new PutInService(id, host));
    }
}
