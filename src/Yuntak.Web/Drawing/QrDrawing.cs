using System.Text;
using QRCoder;

namespace Yuntak.Web.Drawing;

/// <summary>An address as squares a phone reads (ISO/IEC 18004; the library does the coding).</summary>
internal static class QrDrawing
{
    /// <summary>The drawing: dark on light in both themes, since cameras want it so, with the quiet zone of four squares the standard asks for.</summary>
    public static Svg Of(string text)
    {
        using var generator = new QRCodeGenerator();
        using var code = generator.CreateQrCode(text, QRCodeGenerator.ECCLevel.M);
        var rows = code.ModuleMatrix;
        var path = new StringBuilder();
        for (var y = 0; y < rows.Count; y++)
        {
            for (var x = 0; x < rows[y].Length; x++)
            {
                if (rows[y][x])
                {
                    path.Append(System.Globalization.CultureInfo.InvariantCulture, $"M{x} {y}h1v1h-1z");
                }
            }
        }

        return Svg.Of(
            0,
            0,
            rows.Count,
            rows.Count,
            $"The address {text}, for a phone's camera",
            "qr",
            Svg.Rect(0, 0, rows.Count, rows.Count, "qr-light"),
            Svg.Path(path.ToString(), "qr-dark")
        );
    }
}
