using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>A recipe's step before it knows its place in the runbook.</summary>
/// <param name="Stage">The stage a guest reaches with it; for other recipes, unused.</param>
/// <param name="What">What to do.</param>
/// <param name="Values">Exact values.</param>
/// <param name="Minutes">How long it should take.</param>
/// <param name="Check">How to see that it worked.</param>
/// <param name="IfNot">What to do when it did not.</param>
/// <param name="WayBack">How to undo it.</param>
/// <param name="Caution">What may hurt.</param>
/// <param name="KeepsRunning">Whether the guest goes on serving during the step.</param>
internal sealed record StepDraft(
    LifeStage Stage,
    string What,
    ValueList<StepValue> Values,
    int Minutes,
    string Check,
    string IfNot,
    string WayBack,
    string? Caution = null,
    bool KeepsRunning = false
);
