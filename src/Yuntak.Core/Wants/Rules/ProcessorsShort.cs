using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A guest has processors for its busiest moment.</summary>
internal sealed class ProcessorsShort : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of its virtual processors wanted at its busiest");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.processors-short",
            Severity.Mind,
            Station.Wants,
            Says: "No guest has fewer virtual processors than its services keep busy at their busiest.",
            Because: "It never uses more than it has: films stall, recordings drop frames, while the host is idle.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        where Limit.Notices(guest.BusyCores.Value / guest.Vcpu)
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} is short of processors",
            $"{Numbers.Count(guest.Vcpu, "virtual processor")} given, {Numbers.Short(guest.BusyCores.Value)} cores wanted at its busiest"
                + (guest.AdvisedVcpu.Value <= guest.Vcpu ? "; its host has no more threads." : $", {guest.AdvisedVcpu.Value} advised."),
            () =>
                guest.AdvisedVcpu.Value <= guest.Vcpu
                    ? []
                    :
                    [
                        new Fix(
                            $"Give it {guest.AdvisedVcpu.Value}",
                            GuestEdits.Change(guest.Guest.Id, g => g with { Overrides = g.Overrides with { Vcpu = null } })
                        ),
                    ],
            guest.AdvisedVcpu
        );
}
