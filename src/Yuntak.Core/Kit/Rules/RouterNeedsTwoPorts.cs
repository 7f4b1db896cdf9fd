using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A router guest needs two network ports on its host.</summary>
internal sealed class RouterNeedsTwoPorts : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.router-one-port",
            Severity.Stop,
            Station.Kit,
            Says: "A host with a router guest has a second leg for it: a second network port, tagged networks on one, or a private bridge.",
            Because: "One side faces the internet, the other the house; on one leg they are the same wire.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where RouterLegs.HasSecond(host.Host) == false
        from guest in host.Guests
        where guest.Follows(ProfileBook.Router)
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} needs a second leg",
            $"{host.Host.Name} has {host.Host.NetworkPorts} network port{(host.Host.NetworkPorts == 1 ? "" : "s")}; a router stands between two networks. Add a port, or tag networks on the one there is, or make a private bridge for trying things, and tick the line about network ports.",
            () =>
                from other in lab.Hosts
                where RouterLegs.HasSecond(other.Host) == true && FitCheck.Of(lab, guest.Guest, other.Host).CanGo
                select new Fix($"Move {guest.Guest.Name} to {other.Host.Name}", GuestEdits.Place(guest.Guest.Id, other.Host.Id))
        );
}
