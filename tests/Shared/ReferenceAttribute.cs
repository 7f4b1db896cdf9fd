using Xunit.v3;
using Yuntak.Core.Base;
using Yuntak.Core.Figures;

namespace Yuntak.Tests;

/// <summary>Names the published source a test checks against.</summary>
[AttributeUsage(AttributeTargets.Method | AttributeTargets.Class)]
internal sealed class ReferenceAttribute(string source) : Attribute, ITraitAttribute
{
    public string Source { get; } = source;

    public IReadOnlyCollection<KeyValuePair<string, string>> GetTraits() => [new("reference", Source)];
}
