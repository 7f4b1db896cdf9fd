namespace Yuntak.Core.Labs;

/// <summary>The two schools of network folders.</summary>
public enum ShareProtocol
{
    /// <summary>By address: a machine at an address may, and numbers of users are taken as they come.</summary>
    Addresses,

    /// <summary>By account: a name and a password open it.</summary>
    Accounts,
}
