namespace Yuntak.Core.Labs;

/// <summary>A class of PCI functions.</summary>
/// <param name="Code">Base class, or base class and sub-class: «0c», «0c03».</param>
/// <param name="Name">Its published name.</param>
/// <param name="Kind">What Yuntak calls it, in one word.</param>
public sealed record PciClass(string Code, string Name, string Kind);
