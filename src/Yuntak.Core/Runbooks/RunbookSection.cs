using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>The steps of one piece of work.</summary>
/// <param name="Key">What it is known by: the beginning of the ids of its steps.</param>
/// <param name="Title">What it comes to: «Build tinker on kiln».</param>
/// <param name="Steps">In order.</param>
/// <param name="Cautions">What to know before starting: who loses service and for how long.</param>
/// <param name="Builds">The guest it builds; null when it builds none.</param>
public sealed record RunbookSection(
    string Key,
    string Title,
    IReadOnlyList<RunbookStep> Steps,
    IReadOnlyList<string> Cautions,
    GuestId? Builds = null
)
{
    /// <summary>Minutes of the steps not ticked off.</summary>
    public int MinutesLeft => (int)Math.Min(int.MaxValue, Steps.Where(s => !s.Done && s.Act.CanBeDone).Sum(s => (long)s.Minutes));

    /// <summary>Steps not ticked off.</summary>
    public int Open => Steps.Count(s => !s.Done);
}
