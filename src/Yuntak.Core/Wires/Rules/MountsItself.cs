using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wires.Rules;

/// <summary>Who may not mount network folders gets them handed in.</summary>
internal sealed class MountsItself : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.mounts-itself",
            Severity.Stop,
            Station.Wires,
            Says: "An unprivileged system container, and an app stack, gets a share handed in by its host.",
            Because: "The kernel refuses it to mount network folders; it is found out at the first mount.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Lab.Guests
        where !ShareSums.MayMount(guest)
        from mount in guest.Mounts
        where mount.By == MountBy.Guest
        select Info.On(
            Subject.Of(guest),
            $"{guest.Name} may not mount {mount.Share} itself",
            $"It is {(guest.Kind == GuestKind.AppStack ? "an app stack" : "an unprivileged system container")}. Mount {mount.Share} on its host and hand the folder in; or use a machine.",
            () => [new Fix("Let its host mount it", ReachEdits.Mount(guest.Id, mount with { By = MountBy.Host }))]
        );
}
