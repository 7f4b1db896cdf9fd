using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>Old firmware is looked at again. Its age is counted to the day the host was read; a tick after that day settles it.</summary>
internal sealed class FirmwareOld : IRule
{
    private const int OldYears = 2;

    private static readonly RuleLimit Limit = new(OldYears, "years", "of age when it was read");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.firmware-old",
            Severity.Note,
            Station.Kit,
            Says: "A host's firmware is younger than two years, or somebody has looked for a newer one since.",
            Because: "Old firmware keeps old faults: devices that cannot be reset, isolation groups that are too large, holes that are known.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Host is { ReadOn: not null, Hardware.Firmware.Date: not null }
        let read = host.Host.ReadOn!.Value
        let made = host.Host.Hardware.Firmware!.Date!.Value
        where made < read.AddYears(-OldYears)
        where !host.Host.Checks.Any(c => c.Item == Readiness.FirmwareDate && c.On >= read)
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name}'s firmware is of {made:yyyy}",
            $"It was made on {made:O}. Look whether the board's maker has a newer one, and what it mends; never cut the power while it is installed.",
            () => [new Fix("I have looked", KitEdits.Tick(host.Host.Id, Readiness.FirmwareDate, read))]
        );
}
