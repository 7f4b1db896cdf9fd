namespace Yuntak.Core.Labs;

/// <summary>What a network is for.</summary>
public enum NetworkPurpose
{
    /// <summary>What people's own devices are on.</summary>
    Household,

    /// <summary>Services.</summary>
    Servers,

    /// <summary>Cameras, which see their recorder and nothing else.</summary>
    Cameras,

    /// <summary>Visitors.</summary>
    Guests,

    /// <summary>Copies.</summary>
    Backup,

    /// <summary>Trying things, behind a router guest and a bridge without a port.</summary>
    Trying,

    /// <summary>What lies beyond the router: the provider's side.</summary>
    Outside,
}
