using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>Handing a device over whole needs isolation switched on.</summary>
internal sealed class IsolationOff : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.isolation-off",
            Severity.Stop,
            Station.Kit,
            Says: "A host that hands a device to a machine whole has I/O isolation switched on.",
            Because: "Without it a device could write anywhere in the host's memory, and the host refuses to hand it over.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Host.Hardware.Isolation == false
        let guests = host.Guests.Where(g => g.Guest.HandedWhole.Any()).Select(g => g.Guest).ToList()
        where guests.Count > 0
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name} cannot hand devices over",
            $"I/O isolation is off, and {string.Join(", ", guests.Select(g => $"{g.Name} wants {string.Join(" and ", g.HandedWhole)}"))}. "
                + "Look for I/O memory management on the firmware's chipset page.",
            () => [new Fix("I have switched it on", HostEdits.Change(host.Host.Id, h => h.With(h.Hardware with { Isolation = true })))]
        );
}
