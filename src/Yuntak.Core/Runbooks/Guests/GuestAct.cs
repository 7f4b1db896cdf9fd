using System.Text.Json.Nodes;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>Something done with a guest that asks for no more than the guest and its host.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host it is done on; null while it is on none.</param>
internal abstract record GuestAct(GuestId Guest, HostId? Host) : Act
{
    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("guest", Guest.Value), Value("host", Host?.Value)];

    internal override HostId? On => Host;
}
