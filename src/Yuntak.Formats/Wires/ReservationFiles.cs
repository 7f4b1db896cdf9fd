using System.Globalization;
using System.Text;
using CsvHelper;
using Yuntak.Core.Wires;

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
    public static string Csv(HouseWires wires)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture) { NewLine = "\n" };
        using (var csv = new CsvWriter(text, CultureInfo.InvariantCulture, leaveOpen: true))
        {
            foreach (var title in new[] { "name", "mac", "address" })
            {
                csv.WriteField(title);
            }

            csv.NextRecord();
            foreach (var reservation in wires.Reservations)
            {
                csv.WriteField(reservation.Name);
                csv.WriteField(reservation.Mac);
                csv.WriteField(reservation.Address);
                csv.NextRecord();
            }
        }

        return text.ToString().Replace("\r\n", "\n", StringComparison.Ordinal);
    }
}
