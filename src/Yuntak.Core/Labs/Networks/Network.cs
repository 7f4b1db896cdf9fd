namespace Yuntak.Core.Labs;

/// <summary>A planned network.</summary>
/// <param name="Name">What people call it, once in a lab.</param>
/// <param name="Prefix">Its addresses, as «10.40.7.0/24» or «fd12:3456:789a::/64»; null where it is not known, as on the provider's side.</param>
/// <param name="Gateway">The router's address in it; null where nothing leads out.</param>
/// <param name="HandedOut">The addresses handed out to whoever asks, as «10.40.7.100-10.40.7.199»; null for none.</param>
/// <param name="Purpose">What it is for.</param>
/// <param name="Tag">Its number where several networks share a wire (IEEE 802.1Q, 1 to 4094); null where it has a wire of its own.</param>
/// <param name="Addresses">How guests come by addresses that stay.</param>
/// <param name="Numbered">Whether a guest's number is the last part of its address.</param>
/// <param name="Mtu">The largest packet in bytes; null for the usual 1,500.</param>
public sealed record Network(
    string Name,
    string? Prefix = null,
    string? Gateway = null,
    string? HandedOut = null,
    NetworkPurpose Purpose = NetworkPurpose.Household,
    int? Tag = null,
    AddressSchool Addresses = AddressSchool.Reserved,
    bool Numbered = false,
    int? Mtu = null
)
{
    /// <summary>The usual largest packet on Ethernet, in bytes (IEEE 802.3).</summary>
    public const int UsualMtu = 1500;
}
