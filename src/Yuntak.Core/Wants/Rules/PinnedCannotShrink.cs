using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A machine with a whole device is pinned: it cannot give memory back.</summary>
internal sealed class PinnedCannotShrink : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.pinned-cannot-shrink",
            Severity.Stop,
            Station.Wants,
            Says: "A machine with a device handed over whole is not set to shrink its memory.",
            Because: "The device may reach all of its memory at any time, so all of it is pinned; hosts refuse the two together, or give nothing back.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        where
            guest.Guest is { Kind: GuestKind.Machine, MayShrinkTo: not null }
            && guest.Guest.IsPinned
            && guest.Guest.MayShrinkTo < guest.Memory
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} cannot shrink",
            $"It is handed {string.Join(", ", Handed(guest.Guest))}, so all of its {guest.Memory} is pinned and counted; «may shrink to {guest.Guest.MayShrinkTo}» is not.",
            () => [new Fix("Do not let it shrink", GuestEdits.Change(guest.Guest.Id, g => g with { MayShrinkTo = null }))]
        );

    private static IEnumerable<string> Handed(Labs.Guest guest) =>
        guest
            .HandedWhole.Select(d => $"{d} whole")
            .Concat(guest.Claims.Where(c => c.Way == Labs.ClaimWay.Slice).Select(c => $"a slice of {c.Device}"));
}
