using Yuntak.Core.Findings;

namespace Yuntak.Core.Stations;

/// <summary>The rules about the way from what stands to the plan. They say something only where it is known what stands.</summary>
internal static class RunbookRules
{
    /// <summary>The rules.</summary>
    public static readonly IReadOnlyList<IRule> All = [new WipeUnsaid(), new RunbookHalts()];
}
