namespace Yuntak.Core.Labs;

/// <summary>What somebody wrote down at a step of the runbook: a value only they could know, or a note.</summary>
/// <param name="Step">The id of the step.</param>
/// <param name="Label">The blank it fills; empty for a note.</param>
/// <param name="Text">What was written.</param>
public sealed record StepEntry(string Step, string Label, string Text);
