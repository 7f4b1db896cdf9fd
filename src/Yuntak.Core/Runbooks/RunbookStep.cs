using Yuntak.Core.Edits;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>One step of a runbook.</summary>
/// <param name="Id">What it is known by; the same step has the same id every time the runbook is worked out.</param>
/// <param name="Where">On which host.</param>
/// <param name="What">What to do, in one line.</param>
/// <param name="Values">Exact values to type.</param>
/// <param name="Minutes">How long it should take.</param>
/// <param name="Check">How to see that it worked.</param>
/// <param name="IfNot">What to do when it did not.</param>
/// <param name="WayBack">How to undo it.</param>
/// <param name="Tick">What ticking it off changes in what stands (as built).</param>
/// <param name="Done">Whether it is ticked off.</param>
/// <param name="After">The step that must be ticked off first; null when it can start.</param>
/// <param name="Caution">What may hurt somebody or destroy data.</param>
public sealed record RunbookStep(
    string Id,
    string Where,
    string What,
    ValueList<StepValue> Values,
    int Minutes,
    string Check,
    string IfNot,
    string WayBack,
    Edit Tick,
    bool Done = false,
    string? After = null,
    string? Caution = null
);
