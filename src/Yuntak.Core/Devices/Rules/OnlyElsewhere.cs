using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices.Rules;

/// <summary>A device is used where it is.</summary>
internal sealed class OnlyElsewhere : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.only-elsewhere",
            Severity.Stop,
            Station.Devices,
            Says: "What a guest needs is in its own host, when it is in one of them at all.",
            Because: "A device is no use over the network: the guest goes to it, or it comes to the guest.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from open in ClaimFixes.NothingFor(host)
        let there = lab.Devices.Where(h => h.Host.Id != host.Host.Id && h.Check.Best(ClaimFixes.Freed(open.Asked!)).CanBe).ToList()
        where there.Count > 0
        select Info.On(
            Subject.Of(open.Guest),
            $"{open.Guest.Name} needs {Base.Names.A(open.Need.Words())}, and {there[0].Host.Name} has it",
            $"{host.Host.Name} has none that was read. Move {open.Guest.Name} to {string.Join(" or ", there.Select(t => t.Host.Name))}, or bring the device over and read both hosts again.",
            () =>
                [
                    .. open.Guest.RunsIn is null
                        ? there
                            .Take(2)
                            .Select(t => new Fix($"Move {open.Guest.Name} to {t.Host.Name}", GuestEdits.Place(open.Guest.Id, t.Host.Id)))
                        : [],
                    ClaimFixes.Without(open),
                ]
        );
}
