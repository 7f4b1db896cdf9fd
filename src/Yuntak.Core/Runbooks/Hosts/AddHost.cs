using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Runbooks;

/// <summary>A host joins: from the firmware to a copy of its own settings. Its pools are work of their own.</summary>
/// <param name="New">The host as it is planned.</param>
internal sealed record AddHost(Host New) : Work
{
    /// <inheritdoc/>
    public override string Key => $"add-host/{New.Id}";

    /// <inheritdoc/>
    public override HostId? Host => New.Id;

    /// <summary>The hosts that are planned and do not stand.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan.Draft.Hosts.Where(h => plan.AsBuilt.Host(h.Id) is null).Select(h => new AddHost(h));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Make {New.Name} ready";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.HostJoins;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) =>
        [
            .. FirstSteps(),
            new SendAlerts(New.Id),
            .. New.BatteryBackup == true
                ? new Act[] { new LinkBattery(New.Id, New.Hardware.UsbDevices.FirstOrDefault(d => d.BatteryLink)?.Port) }
                : [],
            new KeepSettings(New.Id),
        ];

    /// <summary>How a host of its kind comes up, until it is read.</summary>
    private IEnumerable<Act> FirstSteps()
    {
        var boot = BootDisk.Of(New)?.Id;
        Act[] installed =
        [
            new SetUpFirmware(New.Id, boot),
            new WriteMedium(New.Id),
            new InstallHost(New.Id, boot, New.BootDisks.Skip(1).FirstOrDefault()?.Id),
            new TakeMediumOut(New.Id, boot),
        ];
        Act[] known =
        [
            new FixAddress(New.Id, New.ManagementPort?.Mac, New.Wires.Interfaces.Select(l => l.Address).FirstOrDefault(a => a is not null)),
            new UpdateHost(New.Id),
        ];
        Act[] engine =
        [
            new SetUpUsers(New.Id),
            new InstallEngine(New.Id, New.Pools.FirstOrDefault(p => p.Takes.Count == 0 || p.Takes.Contains(ContentKind.GuestDisks))?.Name),
        ];
        Act read = new ReadHost(New.Id);
        return New.Type switch
        {
            HostType.Hypervisor => [.. installed, .. known, read],
            HostType.Server => [.. installed, .. known, .. engine, read],
            HostType.StoreBox => [new SetUpStoreBox(New.Id), known[0]],
            HostType.StickStore => [new SetUpFirmware(New.Id, null), new WriteStick(New.Id), new StartFromStick(New.Id), .. known, read],
            HostType.Board => [new WriteCard(New.Id, boot), new FitCooling(New.Id), .. known, .. engine, read],
        };
    }

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) =>
        // Its own address it has by now; its bridges are work of their own.
        stands with
        {
            Hosts = stands.Hosts.With(New with { Plan = HostPlan.None, Wires = HostWires.None with { Interfaces = New.Wires.Interfaces } }),
        };

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.Stands(New.Id)];
}
