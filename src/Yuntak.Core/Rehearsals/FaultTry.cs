namespace Yuntak.Core.Rehearsals;

/// <summary>A fault that was tried at a step.</summary>
/// <param name="Fault">The fault.</param>
/// <param name="Step">The step it struck.</param>
/// <param name="Number">That step's number in the runbook.</param>
/// <param name="Outcome">Caught, harmless or missed.</param>
/// <param name="Message">What showed it, and what to do then; or what is wrong at the end.</param>
/// <param name="Cost">What it costs where nothing shows it.</param>
/// <param name="Weight">How bad that is, to find the worst step by: larger is worse.</param>
public sealed record FaultTry(FaultInfo Fault, string Step, string Number, StepOutcome Outcome, string Message, string Cost, double Weight);
