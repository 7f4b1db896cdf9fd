namespace Yuntak.Core.Wires;

/// <summary>What may hold an address or answer on a port.</summary>
public enum HolderKind
{
    /// <summary>A host itself.</summary>
    Host,

    /// <summary>A guest.</summary>
    Guest,

    /// <summary>A box outside the lab.</summary>
    Box,
}
