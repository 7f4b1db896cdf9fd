using System.Text;
using Yuntak.Core.Wires;
using Yuntak.Formats.Exports;

namespace Yuntak.Formats.Wires;

/// <summary>The addresses reserved by hardware address, for the place that hands them out.</summary>
public static class ReservationFiles
{
    /// <summary>As ethers(5): hardware address and address on each line.</summary>
    public static string Ethers(HouseWires wires)
    {
        var text = new StringBuilder();
        foreach (var reservation in wires.Reservations)
        {
            text.Append(reservation.Mac).Append(' ').Append(reservation.Address).Append('\n');
        }

        return text.ToString();
    }

    /// <summary>As a table with a header (RFC 4180): name, hardware address, address.</summary>
    public static string Csv(HouseWires wires) =>
        SafeTable.Of(["name", "mac", "address"], wires.Reservations.Select(r => new object[] { r.Name, r.Mac, r.Address }));
}
