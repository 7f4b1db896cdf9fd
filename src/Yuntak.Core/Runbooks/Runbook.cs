using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>The ordered steps that turn what stands (as built) into the draft.</summary>
public sealed class Runbook
{
    private readonly HashSet<string> open;

    internal Runbook(Plan plan, IReadOnlyList<RunbookSection> sections)
    {
        (Plan, Lab, Sections) = (plan, plan.Draft.Name, sections);
        open = Steps.Where(s => !s.Done).Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
    }

    /// <summary>What it was worked out from.</summary>
    internal Plan Plan { get; }

    /// <summary>The lab's name.</summary>
    public string Lab { get; }

    /// <summary>In order.</summary>
    public IReadOnlyList<RunbookSection> Sections { get; }

    /// <summary>All steps, in order.</summary>
    public IEnumerable<RunbookStep> Steps => Sections.SelectMany(s => s.Steps);

    /// <summary>Steps not ticked off.</summary>
    public int Open => open.Count;

    /// <summary>Whether a step may be ticked off now: it is open, it can be done, and what comes before it is done.</summary>
    public bool CanTick(RunbookStep step) => !step.Done && step.Act.CanBeDone && !step.After.Any(open.Contains);
}
