using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices.Rules;

/// <summary>A chosen claim can be met.</summary>
internal sealed class NotPossible : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.not-possible",
            Severity.Stop,
            Station.Devices,
            Says: "A claim whose device and way are chosen can be met.",
            Because: "The guest does not start, or starts without what it needs.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from verdict in ClaimFixes.Chosen(host)
        where !verdict.CanBe && !verdict.Troubles.Any(HasRule)
        select Info.On(
            Subject.Of(verdict.Guest),
            $"{verdict.Guest.Name} cannot have {verdict.Device} {verdict.Way!.Value.Words()}",
            $"{string.Join("; ", verdict.Reasons)}.",
            () => ClaimFixes.Of(host, verdict, $"{verdict.Guest.Name} gives it up")
        );

    /// <summary>Whether another rule speaks of it.</summary>
    private static bool HasRule(ClaimTrouble trouble) =>
        trouble
            is ClaimTrouble.HostNeeds
                or ClaimTrouble.IsolationOff
                or ClaimTrouble.TakenWhole
                or ClaimTrouble.Shared
                or ClaimTrouble.Taken
                or ClaimTrouble.SameId;
}
