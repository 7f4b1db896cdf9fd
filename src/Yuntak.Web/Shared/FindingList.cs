using Yuntak.Core.Findings;
using Yuntak.Core.Stations;

namespace Yuntak.Web.Shared;

/// <summary>What the list of findings shows.</summary>
/// <param name="Page">The page it is on.</param>
/// <param name="Only">Only those of this station; null for all.</param>
public sealed record FindingList(LabPageModel Page, Station? Only)
{
    /// <summary>The most shown at once; a count says how many more there are.</summary>
    public const int Most = 40;

    /// <summary>The findings, the worst first.</summary>
    public IReadOnlyList<Finding> Findings => [.. Page.Desk.Assessment.Findings.Where(f => Only is null || f.Rule.Station == Only)];
}
