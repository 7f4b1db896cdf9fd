using Yuntak.Core.Edits;

namespace Yuntak.Core.Runbooks;

/// <summary>The steps of one change.</summary>
/// <param name="Change">The change.</param>
/// <param name="Title">What it comes to: «Build tinker on kiln».</param>
/// <param name="Steps">In order.</param>
/// <param name="Cautions">What to know before starting: what is wiped, who loses service and for how long.</param>
public sealed record RunbookSection(LabChange Change, string Title, IReadOnlyList<RunbookStep> Steps, IReadOnlyList<string> Cautions)
{
    /// <summary>Minutes of the steps not ticked off.</summary>
    public int MinutesLeft => Steps.Where(s => !s.Done).Sum(s => s.Minutes);

    /// <summary>Steps not ticked off.</summary>
    public int Open => Steps.Count(s => !s.Done);
}
