using Yuntak.Core.Labs;
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
                new("everyday user", "yours, with the right to become administrator when asked"),
                new("remote log-in", "by key; try it from another window before you go on"),
                new("log-in of root", "off once that works"),
            ],
            "A second window logs in by key as the everyday user and becomes administrator.",
            "Shut out? The first window is still open: set the remote log-in back there.",
            "Set the remote log-in back as it was."
        );
    }
}
