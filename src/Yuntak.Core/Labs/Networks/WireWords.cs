using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>The words for what is planned on networks.</summary>
public static class WireWords
{
    /// <summary>What networks are for.</summary>
    public static readonly WordTable<NetworkPurpose> Purposes = new(
        (NetworkPurpose.Household, "household", "household"),
        (NetworkPurpose.Servers, "servers", "servers"),
        (NetworkPurpose.Cameras, "cameras", "cameras"),
        (NetworkPurpose.Guests, "guests", "visitors"),
        (NetworkPurpose.Backup, "backup", "copies"),
        (NetworkPurpose.Trying, "trying", "trying things"),
        (NetworkPurpose.Outside, "outside", "outside")
    );

    /// <summary>How guests come by addresses that stay.</summary>
    public static readonly WordTable<AddressSchool> Schools = new(
        (AddressSchool.Reserved, "reserved", "reserved by hardware address"),
        (AddressSchool.Fixed, "fixed", "set inside each guest")
    );

    /// <summary>What ports are ports of.</summary>
    public static readonly WordTable<WireProtocol> Protocols = new((WireProtocol.Tcp, "tcp", "TCP"), (WireProtocol.Udp, "udp", "UDP"));

    /// <summary>Who vouches for a service.</summary>
    public static readonly WordTable<CertificateKind> Certificates = new(
        (CertificateKind.None, "none", "none: in the clear"),
        (CertificateKind.Own, "own", "the service's own: the browser warns at the first visit"),
        (CertificateKind.Public, "public", "a public one, for a name")
    );

    /// <summary>The schools of network folders.</summary>
    public static readonly WordTable<ShareProtocol> Shares = new(
        (ShareProtocol.Addresses, "addresses", "by address"),
        (ShareProtocol.Accounts, "accounts", "by account")
    );

    /// <summary>Who mounts a share.</summary>
    public static readonly WordTable<MountBy> Mounts = new(
        (MountBy.Host, "host", "by its host, handed in"),
        (MountBy.Guest, "guest", "by the guest itself")
    );

    /// <summary>What a network is for, in words.</summary>
    public static string Words(this NetworkPurpose purpose) => Purposes.Display(purpose);

    /// <summary>How guests come by addresses, in words.</summary>
    public static string Words(this AddressSchool school) => Schools.Display(school);

    /// <summary>The word a file has for a protocol.</summary>
    public static string Word(this WireProtocol protocol) => Protocols.Word(protocol);
}
