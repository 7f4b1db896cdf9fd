using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Installs the tools on a host and reads it.</summary>
/// <param name="Host">The host.</param>
internal sealed record ReadHost(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "read-host";

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan) =>
        new(
            "Install the tools and read the host",
            [
                StepValue.Line("tools", "apt-get install -y pciutils usbutils smartmontools lm-sensors dmidecode"),
                new("other systems", "the same tools from their own packages"),
                new("read it", $"sudo sh collect.sh > {Names.Slug(plan.NameOf(Host))}.txt", Literal: true),
            ],
            "Given to Kit, the text shows what is planned here, and nothing that went.",
            "A part says «not run»? Install its tool, or run the script as root.",
            "None needed."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
