using Xunit.v3;

namespace Yuntak.Tests;

/// <summary>Marks a test that checks against common practice, with no published source behind it.</summary>
[AttributeUsage(AttributeTargets.Method | AttributeTargets.Class)]
internal sealed class TradeAttribute : Attribute, ITraitAttribute
{
    public IReadOnlyCollection<KeyValuePair<string, string>> GetTraits() => [new("reference", "common practice, no source")];
}
