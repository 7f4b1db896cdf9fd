using Yuntak.Core.Findings;
using Yuntak.Core.Kit;

namespace Yuntak.Core.Stations;

/// <summary>A line of the readiness list for one host.</summary>
/// <param name="Item">The line.</param>
/// <param name="State">How it stands.</param>
/// <param name="Evidence">What is known, in words; null when nothing is.</param>
/// <param name="Findings">What is not as it should be.</param>
/// <param name="Checked">The day somebody ticked it; null when nobody did.</param>
public sealed record ReadinessLine(
    ReadinessItem Item,
    ReadinessState State,
    string? Evidence,
    IReadOnlyList<Finding> Findings,
    DateOnly? Checked
);
