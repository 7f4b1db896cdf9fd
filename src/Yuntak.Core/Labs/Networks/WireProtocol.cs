namespace Yuntak.Core.Labs;

/// <summary>What a port is a port of.</summary>
public enum WireProtocol
{
    /// <summary>TCP.</summary>
    Tcp,

    /// <summary>UDP.</summary>
    Udp,
}
