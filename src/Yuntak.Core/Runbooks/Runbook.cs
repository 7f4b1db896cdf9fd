namespace Yuntak.Core.Runbooks;

/// <summary>The ordered steps that turn what stands (as built) into the draft.</summary>
/// <param name="Lab">The lab's name.</param>
/// <param name="Sections">In order.</param>
public sealed record Runbook(string Lab, IReadOnlyList<RunbookSection> Sections)
{
    /// <summary>All steps, in order.</summary>
    public IEnumerable<RunbookStep> Steps => Sections.SelectMany(s => s.Steps);

    /// <summary>Steps not ticked off.</summary>
    public int Open => Sections.Sum(s => s.Open);

    /// <summary>Whether a step may be ticked off now: it is open, and what comes before it is done.</summary>
    public bool CanTick(RunbookStep step) => !step.Done && (step.After is null || Steps.All(s => s.Id != step.After || s.Done));
}
