using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A system disk that was given smaller than what its services write onto it.</summary>
internal sealed class SystemDiskShort : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.system-disk-short",
            Severity.Mind,
            Station.Wants,
            Says: "A system disk that is given holds the system, the scratch space and the data folders that lie on it.",
            Because: "A full system disk stops the guest, often in the middle of writing its database.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        where guest.Guest is { Overrides.SystemDisk: not null, Kind: not GuestKind.AppStack }
        let stacks = guest.Inner.Aggregate(GuestVolumes.OnSystemDiskOf(lab.Lab.AllFolders, guest), (sum, s) => sum + s.SystemDisk)
        let extra = guest.Scratch.Value + stacks
        let system = System(guest)
        let needed = system + extra
        where extra > ByteSize.Zero && guest.SystemDisk < needed
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name}'s system disk is too small for what lies on it",
            $"{guest.SystemDisk} given; {system} for the system{(guest.Scratch.Value > ByteSize.Zero ? $", {guest.Scratch.Value.ToDecimalString()} of scratch space" : "")}{(stacks > ByteSize.Zero ? $", {stacks.ToDecimalString()} of its app stacks" : "")} do not fit.",
            () =>
                [
                    new Fix(
                        $"Give it {needed.RoundUpTo(ByteSize.FromGiB(1))}",
                        GuestEdits.Change(
                            guest.Guest.Id,
                            g => g with { Overrides = g.Overrides with { SystemDisk = needed.RoundUpTo(ByteSize.FromGiB(1)) } }
                        )
                    ),
                ]
        );

    /// <summary>What the system itself takes: as advised, and below an engine, where the advice already holds the stacks, a lean one.</summary>
    private static ByteSize System(Sizing guest) =>
        guest.Inner.Count == 0 ? guest.AdvisedSystemDisk.Value : ByteSize.Min(Lean, guest.AdvisedSystemDisk.Value);

    /// <summary>A plain server system with an engine and its logs; common practice.</summary>
    private static readonly ByteSize Lean = ByteSize.FromGiB(8);
}
