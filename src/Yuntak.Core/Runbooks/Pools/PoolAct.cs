using System.Text.Json.Nodes;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>Something done with a pool of a host.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool's name.</param>
internal abstract record PoolAct(HostId Host, string Pool) : Act
{
    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("host", Host.Value), Value("pool", Pool)];

    internal override HostId? On => Host;
}
