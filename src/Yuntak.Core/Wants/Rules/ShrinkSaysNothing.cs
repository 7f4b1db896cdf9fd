using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>Only machines shrink; a container takes what it uses.</summary>
internal sealed class ShrinkSaysNothing : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.shrink-says-nothing",
            Severity.Note,
            Station.Wants,
            Says: "Only a machine says what it may shrink to.",
            Because: "A container takes no more than it uses anyway: it is counted with its expected use, and the figure is not looked at.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        where guest.Guest is { Kind: not GuestKind.Machine, MayShrinkTo: not null }
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} has no memory to shrink",
            $"«May shrink to {guest.Guest.MayShrinkTo}» counts for machines only; as {Base.Names.A(guest.Guest.Kind.Words())} it is counted with the {guest.ExpectedMemory} it is expected to use.",
            () => [new Fix("Take the figure off", GuestEdits.Change(guest.Guest.Id, g => g with { MayShrinkTo = null }))]
        );
}
