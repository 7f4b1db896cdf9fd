namespace Yuntak.Web.Starting;

/// <summary>What Yuntak was started with.</summary>
/// <param name="Demo">Fresh demo data, in a folder of its own.</param>
/// <param name="Data">The folder with the data, absolute.</param>
/// <param name="Addresses">Where to listen; at least one.</param>
/// <param name="Open">Whether whoever reaches it may come in without a pass phrase.</param>
/// <param name="Hosts">Names it may be reached by, besides its own.</param>
/// <param name="Tls">Whether pages go over TLS only.</param>
/// <param name="Certificate">A certificate to use; its own when none is named.</param>
/// <param name="Recover">Whether to go on from what can still be read of damaged data.</param>
public sealed record StartOptions(
    bool Demo,
    string Data,
    IReadOnlyList<ListenAddress> Addresses,
    bool Open,
    IReadOnlyList<string> Hosts,
    bool Tls,
    string? Certificate,
    bool Recover
)
{
    /// <summary>Where it listens unless told otherwise: on this machine only.</summary>
    public const string DefaultUrl = "http://127.0.0.1:5480";

    /// <summary>What a setting is called in the environment, with its name in capitals behind it.</summary>
    public const string Prefix = "YUNTAK_";

    /// <summary>Whether anybody but this machine can reach it.</summary>
    public bool Wide => Addresses.Any(a => !a.ThisMachineOnly);
}
