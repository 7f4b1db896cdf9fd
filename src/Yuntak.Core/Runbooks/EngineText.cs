using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>How a container engine is installed, wherever it goes.</summary>
internal static class EngineText
{
    /// <summary>The step.</summary>
    /// <param name="what">What to do.</param>
    /// <param name="dataRoot">Where images and volumes go.</param>
    /// <param name="where">The machine it goes onto.</param>
    public static ActText Of(string what, string dataRoot, string where) =>
        new(
            what,
            [
                new("from", "the system's own packages, or its maker's repository with the key checked"),
                new(
                    "a script from the internet",
                    "fetch it, read it, run it dry, then run it; never piped straight into a privileged shell"
                ),
                new("data root", dataRoot),
                StepValue.Ask("everyday user", "yours; it goes into the engine's group, and logs in anew for that to count"),
                new("logs", "at most 10 MB and three files for each container"),
                new(
                    "a page for containers",
                    "if you want one: from the engine's own packages, its first visit at once, reached from the house only"
                ),
            ],
            "The everyday user runs the engine's test image without becoming administrator, and it says hello.",
            "Refused? The user has not logged in anew since it joined the group.",
            "Remove the packages; nothing runs on it yet.",
            $"Who may use the engine may do everything on {where}: give its group to nobody else."
        );
}
