using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A guest given less memory than its service is expected to use.</summary>
internal sealed class MemoryStarved : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of the memory its services are expected to use", LimitSide.Below);

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.memory-short",
            Severity.Mind,
            Station.Wants,
            Says: "No guest is given less memory than its services are expected to use.",
            Because: "It swaps, or the kernel ends the service when it is busiest.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        where guest.LeastMemory > ByteSize.Zero && Limit.Notices(guest.Memory.ShareOf(guest.LeastMemory))
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} is short of memory",
            $"{guest.Memory} given, {guest.LeastMemory} expected in use by its services, {guest.AdvisedMemory.Value} advised.",
            () =>
                [
                    new Fix(
                        $"Give it {guest.AdvisedMemory.Value}",
                        GuestEdits.Change(guest.Guest.Id, g => g with { Overrides = g.Overrides with { Memory = null } })
                    ),
                ],
            guest.AdvisedMemory
        );
}
