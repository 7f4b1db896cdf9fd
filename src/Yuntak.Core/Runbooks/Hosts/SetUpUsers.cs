using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Makes an everyday user on a host and shuts the door for the all-powerful one.</summary>
/// <param name="Host">The host.</param>
internal sealed record SetUpUsers(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "set-up-users";

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan)
    {
        return new(
            "Make an everyday user",
            [
                StepValue.Ask("everyday user", "your name; it may become administrator when asked"),
                new("make it", "adduser NAME && usermod -aG sudo NAME", Literal: true),
                new("remote log-in", "by key, copied with ssh-copy-id; try it from another window before you go on"),
                new("log-in of root", "PermitRootLogin no in /etc/ssh/sshd_config.d/, once that works", Literal: false),
            ],
            "A second window logs in by key as the everyday user and becomes administrator.",
            "Shut out? The first window is still open: set the remote log-in back there.",
            "Set the remote log-in back as it was."
        );
    }

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
