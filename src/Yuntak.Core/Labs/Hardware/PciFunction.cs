namespace Yuntak.Core.Labs;

/// <summary>A function on the PCI bus.</summary>
/// <param name="Address">Domain, bus, device and function: «0000:03:00.0».</param>
/// <param name="ClassCode">Base class and sub-class, four hexadecimal digits: «0c03».</param>
/// <param name="Name">What the list of ids calls it.</param>
/// <param name="Ids">Vendor and device id: «f0f0:0001».</param>
/// <param name="Group">Its isolation group; null when none was read.</param>
/// <param name="Driver">The kernel driver that has it; null when none does.</param>
/// <param name="Reset">The ways it can be reset, as the kernel lists them; empty when it has none, null when nobody looked.</param>
/// <param name="Slot">The slot it is plugged into, when the board says so.</param>
/// <param name="ConsoleGraphics">Whether the host shows its own console on it.</param>
/// <param name="EncodeMegapixels">For a graphics card: how much its video encoder does in Mpx/s, measured or from its maker; null until somebody says.</param>
/// <param name="Slices">How many virtual functions it can be cut into (single-root I/O virtualisation); null when nobody looked.</param>
public sealed record PciFunction(
    string Address,
    string ClassCode,
    string? Name = null,
    string? Ids = null,
    int? Group = null,
    string? Driver = null,
    string? Reset = null,
    string? Slot = null,
    bool ConsoleGraphics = false,
    double? EncodeMegapixels = null,
    int? Slices = null
)
{
    /// <summary>Whether it draws pictures: a display controller, which is where video encoders sit.</summary>
    public bool IsGraphics => ClassCode.StartsWith("03", StringComparison.Ordinal);
}
