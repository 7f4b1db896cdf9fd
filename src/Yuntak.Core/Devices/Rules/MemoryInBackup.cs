using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Devices.Rules;

/// <summary>The memory of a pinned machine is no part of a backup.</summary>
internal sealed class MemoryInBackup : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.memory-in-backup",
            Severity.Mind,
            Station.Devices,
            Says: "A machine with a device handed over whole is backed up without its memory.",
            Because: "The state of the device cannot be kept with the memory: such a backup fails, or comes back to a guest that hangs.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from guest in host.Check.Asked.Select(a => a.Guest).Distinct()
        where guest is { BackedUpWithMemory: true, IsPinned: true }
        select Info.On(
            Subject.Of(guest),
            $"{guest.Name} cannot be backed up with its memory",
            "It has a device handed over whole. Back it up stopped, or its disks alone while it runs.",
            () => [new Fix("Back up its disks alone", GuestEdits.Change(guest.Id, g => g with { BackedUpWithMemory = false }))]
        );
}
