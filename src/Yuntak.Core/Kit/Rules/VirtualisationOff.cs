using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A host that is to run machines needs virtualisation switched on in its firmware.</summary>
internal sealed class VirtualisationOff : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.virtualisation-off",
            Severity.Stop,
            Station.Kit,
            Says: "A host with machines on it has virtualisation switched on.",
            Because: "Without it the processor cannot run a second kernel, and machines do not start. Containers do.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Host.Processor.Virtualisation == false
        let machines = host.Guests.Where(g => g.Guest.Kind == GuestKind.Machine).Select(g => g.Guest).ToList()
        where machines.Count > 0
        select Info.On(
            Subject.Of(host.Host),
            $"Machines will not start on {host.Host.Name}",
            $"Virtualisation is off or missing in {host.Host.Name}'s processor, and {string.Join(", ", machines.Select(m => m.Name))} "
                + $"{(machines.Count == 1 ? "is a machine" : "are machines")}. Look for a virtualisation switch on the firmware's processor page.",
            () => Fixes(lab, host.Host, machines)
        );

    private static IEnumerable<Fix> Fixes(Sums lab, Host host, List<Guest> machines)
    {
        yield return new Fix(
            "I have switched it on",
            HostEdits.Change(host.Id, h => h with { Processor = h.Processor with { Virtualisation = true } })
        );
        var only = machines.Count == 1 && !lab.Guest(machines[0].Id).Profiles.Any(p => p.MachineOnly) ? machines[0] : null;
        if (only is not null)
        {
            yield return new Fix(
                $"Make {only.Name} a system container",
                GuestEdits.Change(only.Id, g => g with { Kind = GuestKind.SystemContainer })
            );
        }
    }
}
