namespace Yuntak.Core.Labs;

/// <summary>A port something answers on.</summary>
/// <param name="Port">The port others use.</param>
/// <param name="Protocol">What it is a port of.</param>
/// <param name="Address">The one address it answers at; null for all.</param>
/// <param name="Inside">For an app stack: the port inside its container; null when it is the same.</param>
/// <param name="Page">Whether it is a page for looking after the thing itself, not for those it serves.</param>
/// <param name="Encrypted">Whether what is said there is encrypted; null while nobody said.</param>
/// <param name="Login">Whether it asks who is there; null while nobody said.</param>
public sealed record Listen(
    int Port,
    WireProtocol Protocol = WireProtocol.Tcp,
    string? Address = null,
    int? Inside = null,
    bool Page = false,
    bool? Encrypted = null,
    bool? Login = null
);
