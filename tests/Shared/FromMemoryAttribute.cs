using Xunit.v3;

namespace Yuntak.Tests;

/// <summary>Marks a test whose expected value was written down from memory.</summary>
[AttributeUsage(AttributeTargets.Method | AttributeTargets.Class)]
internal sealed class FromMemoryAttribute : Attribute, ITraitAttribute
{
    public IReadOnlyCollection<KeyValuePair<string, string>> GetTraits() => [new("reference", "from memory")];
}
