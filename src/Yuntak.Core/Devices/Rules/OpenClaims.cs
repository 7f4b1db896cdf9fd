using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices.Rules;

/// <summary>Claims that are open can be met.</summary>
internal sealed class OpenClaims : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.open",
            Severity.Note,
            Station.Devices,
            Says: "Every claim has a device and a way.",
            Because: "The runbook has no steps for a claim that is open, and the bench counts no memory pinned by it.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        lab.Devices.SelectMany(h => h.Verdicts).Where(v => v.CanBe && !v.Asked!.Claim.Chosen).ToList() is { Count: > 0 } open
            ?
            [
                Info.On(
                    Subject.Of(lab.Lab),
                    $"{Units.Numbers.Count(open.Count, "claim is", "claims are")} open",
                    $"{string.Join("; ", open.Take(5).Select(v => $"{v.Guest.Name} needs {Base.Names.A(v.Need.Words())}"))}{(open.Count > 5 ? "; and more" : "")}. Each can be met.",
                    () => [new Fix("Meet them with the least collateral", DeviceEdits.Assign())]
                ),
            ]
            : [];
}
