using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A host needs an address that stays.</summary>
internal sealed class AddressChanges : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.address-changes",
            Severity.Mind,
            Station.Kit,
            Says: "A host is looked after at an address that stays the same.",
            Because: "Links, apps and brokers point to it; after a change they point nowhere.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Host.AddressFixed == false
        select Info.On(
            Subject.Of(host.Host),
            $"The address of {host.Host.Name} may change",
            $"Reserve one for {host.Host.Name} by its hardware address where addresses are handed out, or set it in the host.",
            () => [new Fix("It is reserved now", HostEdits.Change(host.Host.Id, h => h with { AddressFixed = true }))]
        );
}
