using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;

namespace Yuntak.Core.Rehearsals;

/// <summary>A step as it went against simulated hosts.</summary>
/// <param name="Step">The step.</param>
/// <param name="Number">Its number in the runbook: «4.3».</param>
/// <param name="Starts">When it begins, in minutes from the beginning.</param>
/// <param name="Ends">When its check holds.</param>
/// <param name="Outcome">What became of it.</param>
/// <param name="Message">What the host said, or what showed the fault; empty when nothing was in the way.</param>
/// <param name="Away">The guests that served before and do not when it is through.</param>
public sealed record RehearsedStep(
    RunbookStep Step,
    string Number,
    int Starts,
    int Ends,
    StepOutcome Outcome,
    string Message,
    IReadOnlyList<GuestId> Away
);
