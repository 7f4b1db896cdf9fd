using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Installs a container engine on a host that runs app stacks, and tries it.</summary>
/// <param name="Host">The host.</param>
/// <param name="DataPool">The pool its images and folders go to; null for the boot disk.</param>
internal sealed record InstallEngine(HostId Host, string? DataPool) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "install-engine";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("dataPool", DataPool)];

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan)
    {
        return new(
            "Install the container engine",
            [
                new("from", "the system's own packages, or its maker's repository with the key checked"),
                new(
                    "a script from the internet",
                    "fetch it, read it, run it dry, then run it; never piped straight into a privileged shell"
                ),
                new(
                    "data root",
                    DataPool is null
                        ? "on the boot disk; one-disk hosts have no other place"
                        : $"in {DataPool}, set before the first image is fetched"
                ),
                new("everyday user", "into the engine's group; log in anew for it to count"),
                new("logs", "at most 10 MB and three files for each container"),
            ],
            "The everyday user runs the engine's test image, and it says hello.",
            "Refused? The user has not logged in anew since it joined the group.",
            "Remove the packages; nothing runs on it yet.",
            "Who may use the engine may do everything on this host: give its group to nobody else."
        );
    }
}
