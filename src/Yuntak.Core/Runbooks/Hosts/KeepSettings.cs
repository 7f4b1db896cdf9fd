using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Keeps a copy of a host's own settings elsewhere.</summary>
/// <param name="Host">The host.</param>
internal sealed record KeepSettings(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "keep-settings";

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan) =>
        new(
            "Keep a copy of its own settings",
            [
                new("take along", $"/etc /root of {Names.Slug(plan.NameOf(Host))}, and the list of its packages"),
                StepValue.Line("the list of its packages", "dpkg --get-selections > /root/packages.txt || rpm -qa > /root/packages.txt"),
                StepValue.Line(
                    "archive",
                    $"tar -czf /root/{Names.Slug(plan.NameOf(Host))}-settings.tar.gz --exclude=/root/{Names.Slug(plan.NameOf(Host))}-settings.tar.gz /etc /root"
                ),
                new("to", "another host, and one place off the premises"),
            ],
            "The copy opens, and holds the network settings.",
            "No room? It is a few MB; something else came along.",
            "None needed.",
            "It holds passwords and keys: keep it where only you can read it.",
            [$"tar -tzf /root/{Names.Slug(plan.NameOf(Host))}-settings.tar.gz > /dev/null"]
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
