using System.Text.Json.Nodes;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>Something done on a host that asks for no more than the host itself.</summary>
/// <param name="Host">The host.</param>
internal abstract record HostAct(HostId Host) : Act
{
    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("host", Host.Value)];

    internal override HostId? On => Host;
}
