namespace Yuntak.Core.Wires;

/// <summary>How something comes by its address.</summary>
public enum AddressHow
{
    /// <summary>It is set inside.</summary>
    Fixed,

    /// <summary>It is reserved by hardware address.</summary>
    Reserved,

    /// <summary>It is any that is free just then.</summary>
    HandedOut,
}
