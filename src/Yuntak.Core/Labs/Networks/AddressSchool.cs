namespace Yuntak.Core.Labs;

/// <summary>How guests of a network come by addresses that stay.</summary>
public enum AddressSchool
{
    /// <summary>Reserved where addresses are handed out, by hardware address.</summary>
    Reserved,

    /// <summary>Set inside each guest.</summary>
    Fixed,
}
