using System.Xml.Linq;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Wants;

namespace Yuntak.Web.Drawing.Devices;

/// <summary>A guest at the lower edge of the loom, with what it has in a few words.</summary>
/// <param name="sizing">The guest.</param>
/// <param name="verdicts">Its claims.</param>
internal sealed class LoomGuest(Sizing sizing, IReadOnlyList<ClaimVerdict> verdicts)
{
    /// <summary>How high a guest's block is.</summary>
    public const double High = 36;

    private const double Letter = 6.1;

    /// <summary>Its claims.</summary>
    public IReadOnlyList<ClaimVerdict> Verdicts => verdicts;

    /// <summary>The guest.</summary>
    public Guest Guest => sizing.Guest;

    /// <summary>How wide its block is.</summary>
    public double Width => Math.Max(92, (Math.Max(Guest.Name.Length * 1.1, Says.Length) * Letter) + 20);

    /// <summary>What stands below its name.</summary>
    private string Says =>
        string.Join(
            " + ",
            verdicts
                .Select(v =>
                    !v.Asked!.Claim.Chosen
                        ? $"{v.Need.Words()}?"
                        : v.Way switch
                        {
                            ClaimWay.Whole => "whole",
                            ClaimWay.UsbId => "by id",
                            ClaimWay.UsbPort => $"by port {v.Device}",
                            ClaimWay.Node => "shared node",
                            _ => "slice",
                        }
                )
                .Distinct(StringComparer.Ordinal)
                .Take(3)
        );

    /// <summary>Draws it.</summary>
    public XElement Draw(double x, double y, string link) =>
        LoomTray.Touching(
            Svg.Link(
                link,
                Svg.Group(
                    "loom-guest",
                    [
                        .. Shapes.Block(x, y, Width, High, Guest.Kind, sizing.Leading.Family.Css()),
                        Svg.Text(x + (Width / 2), y + 15, "block-name", Guest.Name),
                        Svg.Text(x + (Width / 2), y + 28, "block-value", Says),
                    ]
                )
            ),
            string.Join(' ', verdicts.Select(LoomDrawing.Token))
        );
}
