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
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        var boot = BootDisk.Of(New)?.Id;
        return
        [
            new SetUpFirmware(New.Id, boot),
            new WriteMedium(New.Id),
            new InstallHost(New.Id, boot),
            new TakeMediumOut(New.Id, boot),
            new FixAddress(New.Id, FixAddress.PortOf(New)?.Mac),
            new UpdateHost(New.Id),
            new ReadHost(New.Id),
            new SendAlerts(New.Id),
            .. New.BatteryBackup == true
                ? new Act[] { new LinkBattery(New.Id, New.Hardware.UsbDevices.FirstOrDefault(d => d.BatteryLink)?.Port) }
                : [],
            new KeepSettings(New.Id),
        ];
    }

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands with { Hosts = stands.Hosts.With(New with { Plan = HostPlan.None }) };

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.Stands(New.Id)];
}
