namespace Yuntak.Core.Labs;

/// <summary>Who vouches for a service that is reached encrypted.</summary>
public enum CertificateKind
{
    /// <summary>Nobody: it is not encrypted.</summary>
    None,

    /// <summary>The service itself: the browser warns at the first visit.</summary>
    Own,

    /// <summary>A public authority, for a name that follows the outside address.</summary>
    Public,
}
