using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;

namespace Yuntak.Core.Stations;

/// <summary>No disk with something on it is wiped before somebody has said that it may go.</summary>
internal sealed class WipeUnsaid : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "runbook.wipe-unsaid",
            Severity.Stop,
            Station.Runbook,
            Says: "A disk that holds something is wiped only after you said that it may be.",
            Because: "What was on a disk does not come back. The runbook stops in front of it, on hosts that run and on hosts to be built alike.",
            Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from disk in RunbookHalts
            .Of(lab)
            .Where(h => h.Host is not null)
            .SelectMany(h => h.Unsaid.Select(d => (Host: h.Host!.Value, Id: d, h.What)))
            .DistinctBy(d => (d.Host, d.Id))
        let host = lab.Lab.Host(disk.Host)
        let named = host?.Disks.FirstOrDefault(d => d.Id == disk.Id)
        where named is not null
        select Info.On(
            Subject.Of(host),
            $"{named.Name} in {host.Name} would be wiped with what is on it",
            $"{named.Size.ToDecimalString()}, {named.Contents} ({named.Id}). The runbook stops before «{disk.What}». Copy what you need, then say that the disk may be wiped, or choose another.",
            () => lab.Today is { } today ? [new Fix($"{named.Name} may be wiped", KitEdits.MayBeWiped(disk.Host, disk.Id, today))] : []
        );
}
