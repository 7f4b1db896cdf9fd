using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit;

/// <summary>One thing known of a host that can be looked at and, where a person may know better than the tools, corrected.</summary>
/// <param name="Thing">What it belongs to: «memory», «disks/wwn-0x1», «USB/3-2».</param>
/// <param name="Field">Which of its properties.</param>
/// <param name="Label">The property in words.</param>
/// <param name="Value">The value as it is read back by <paramref name="Set"/>; null when unknown.</param>
/// <param name="Set">The host with the property set from what was typed; null for what is only read, such as a stable id.</param>
/// <param name="Hint">What can be typed.</param>
/// <param name="Choices">The only answers there are; empty for free text.</param>
/// <param name="Switch">Whether it is a switch that is changed rather than a figure that is read wrongly: what is read later counts more than what was said before.</param>
/// <param name="OnlySaid">Whether no tool says it, only a person: it stands until somebody changes it.</param>
public sealed record KitFact(
    string Thing,
    string Field,
    string Label,
    string? Value,
    Func<Host, string, Host>? Set = null,
    string Hint = "",
    ValueList<string> Choices = default,
    bool Switch = false,
    bool OnlySaid = false
)
{
    /// <summary>What it is known by among all facts of its host.</summary>
    public string Key => $"{Thing}/{Field}";
}
