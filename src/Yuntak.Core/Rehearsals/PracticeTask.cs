using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;

namespace Yuntak.Core.Rehearsals;

/// <summary>What is practised: a piece of work on one guest.</summary>
/// <param name="Section">The piece of work.</param>
/// <param name="Guest">The guest.</param>
/// <param name="Plan">What the runbook was worked out from.</param>
internal sealed record PracticeTask(RunbookSection Section, GuestId Guest, Plan Plan)
{
    /// <summary>The act of a kind, if the work has one.</summary>
    public T? Act<T>()
        where T : Act => Section.Steps.Select(s => s.Act).OfType<T>().FirstOrDefault();
}
