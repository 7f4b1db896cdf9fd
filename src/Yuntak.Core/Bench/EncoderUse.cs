using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>What is asked of the video encoders within reach of some guests of a host: of a machine those handed to it, of all containers together those the host keeps.</summary>
/// <param name="Guests">The guests that leave conversions to them; never empty.</param>
/// <param name="Cards">The graphics cards within their reach.</param>
/// <param name="Asked">What the guests ask for, in Mpx/s.</param>
public sealed record EncoderUse(IReadOnlyList<Sizing> Guests, IReadOnlyList<PciFunction> Cards, Figure<double> Asked)
{
    /// <summary>What the encoders do together, in Mpx/s; null while somebody has yet to say it of one of them.</summary>
    public double? Capacity => Cards.Count == 0 || Cards.Any(c => c.EncodeMegapixels is null) ? null : Cards.Sum(c => c.EncodeMegapixels);

    /// <summary>Whether they are asked for more than they do.</summary>
    public bool Over => Asked.Value > Capacity;

    /// <summary>The uses of a host's encoders.</summary>
    public static IEnumerable<EncoderUse> Of(HostAssessment host)
    {
        var graphics = host.Host.Hardware.Functions.Where(f => f.IsGraphics).ToList();
        var handedOver = host.Guests.SelectMany(g => g.Guest.Devices).ToHashSet(StringComparer.Ordinal);
        var converting = host.Guests.Where(g => g.LeftToEncoder > 0).ToList();
        foreach (var machine in converting.Where(g => g.Guest.Kind == GuestKind.Machine))
        {
            yield return Of([machine], [.. graphics.Where(f => machine.Guest.Devices.Contains(f.Address))]);
        }

        var containers = converting.Where(g => g.Guest.Kind != GuestKind.Machine).ToList();
        if (containers.Count > 0)
        {
            yield return Of(containers, [.. graphics.Where(f => !handedOver.Contains(f.Address))]);
        }
    }

    private static EncoderUse Of(IReadOnlyList<Sizing> guests, IReadOnlyList<PciFunction> cards) =>
        new(
            guests,
            cards,
            Figure.Of(
                "asked of the video encoder",
                guests.Sum(g => g.LeftToEncoder),
                "Σ pixels of what is converted, in Mpx/s",
                () =>
                    guests
                        .Select(g => new FigureInput(g.Guest.Name, g.LeftToEncoder))
                        .Concat(cards.Select(c => new FigureInput(c.Name ?? c.Address, c.EncodeMegapixels ?? 0, Origin.Entered))),
                Source.CommonPractice
            )
        );
}
