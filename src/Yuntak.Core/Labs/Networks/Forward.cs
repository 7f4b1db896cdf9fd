namespace Yuntak.Core.Labs;

/// <summary>A way in from outside: what arrives at a port of the outside address is passed on to a guest.</summary>
/// <param name="FromPort">The port outside.</param>
/// <param name="To">The guest that answers in the end.</param>
/// <param name="Port">Its port; null for the same as outside.</param>
/// <param name="Protocol">What the port is a port of.</param>
/// <param name="Through">The reverse proxy in between; null where there is none.</param>
/// <param name="Name">The name it is called by from outside; several may share one port of a reverse proxy.</param>
/// <param name="Certificate">Who vouches for it at the reverse proxy; null while nobody said.</param>
public sealed record Forward(
    int FromPort,
    GuestId To,
    int? Port = null,
    WireProtocol Protocol = WireProtocol.Tcp,
    GuestId? Through = null,
    string? Name = null,
    CertificateKind? Certificate = null
)
{
    /// <summary>The port of the guest that answers.</summary>
    public int ToPort => Port ?? FromPort;

    /// <summary>What it is known by among the others: the port outside and, behind a reverse proxy, the name.</summary>
    public string Key => $"{FromPort}/{Protocol.Word()}{(Name is null ? "" : $" {Name}")}";
}
