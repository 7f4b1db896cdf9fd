using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A health check waits long enough for a first start.</summary>
internal sealed class HealthCheckShort : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of the minutes its first start may take", LimitSide.Below);

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.health-check-short",
            Severity.Note,
            Station.Wants,
            Says: "A guest's health check waits as long as its first start may take.",
            Because: "It restarts a guest that is only slow, and the first start begins again without end.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        where guest.Guest.HealthCheckMinutes is { } waits && Limit.Notices(waits / (double)guest.FirstStartMinutes)
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name}'s health check does not wait for its first start",
            $"It waits {Numbers.Count(guest.Guest.HealthCheckMinutes!.Value, "minute")}; the first start may take {Numbers.Count(guest.FirstStartMinutes, "minute")} on slow hardware.",
            () =>
                [
                    new Fix(
                        $"Let it wait {Numbers.Count(guest.FirstStartMinutes, "minute")}",
                        GuestEdits.Change(guest.Guest.Id, g => g with { HealthCheckMinutes = guest.FirstStartMinutes })
                    ),
                ]
        );
}
