using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A guest given far more memory than advised keeps it from the next one.</summary>
internal sealed class MemoryGenerous : IRule
{
    private static readonly RuleLimit Limit = new(4, "times", "the memory advised");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.memory-generous",
            Severity.Note,
            Station.Wants,
            Says: "No guest is given more than four times the memory advised.",
            Because: "Given «because it is there», it is missing when the next guest comes.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        where Limit.Notices(guest.Memory.ShareOf(guest.AdvisedMemory.Value))
        // An engine is sized by the stacks meant for it; it may wait for them.
        where !(guest.Follows(ProfileBook.AppEngine) && guest.Inner.Count == 0)
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} has far more memory than it needs",
            $"{guest.Memory} given, {guest.AdvisedMemory.Value} advised.",
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
