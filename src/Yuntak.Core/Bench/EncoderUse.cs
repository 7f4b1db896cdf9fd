using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>What is asked of the video encoders within reach of some guests of a host: of a machine those handed to it, of all containers together those the host keeps.</summary>
/// <param name="Guests">The guests that leave conversions to them; never empty.</param>
/// <param name="Cards">The graphics cards within their reach.</param>
/// <param name="Class">What somebody said of the host's encoder where its capacity is not known; null when nobody did.</param>
/// <param name="Asked">What the guests ask for, in Mpx/s.</param>
public sealed record EncoderUse(IReadOnlyList<Sizing> Guests, IReadOnlyList<PciFunction> Cards, EncoderClass? Class, Figure<double> Asked)
{
    /// <summary>What the encoders do together, in Mpx/s: of each what was measured or said, else what its class does; null while neither is known.</summary>
    public double? Capacity =>
        Cards.Count == 0 ? ByClass
        : Cards.Any(c => c.EncodeMegapixels is null) && ByClass is null ? null
        // A class speaks of the host's encoder: of several cards without a figure it counts once.
        : Cards.Sum(c => c.EncodeMegapixels ?? 0) + (Cards.Any(c => c.EncodeMegapixels is null) ? ByClass : 0);

    private double? ByClass => Class?.Megapixels();

    /// <summary>Whether they are asked for more than they do.</summary>
    public bool Over => Asked.Value > Capacity;

    /// <summary>The uses of a host's encoders.</summary>
    public static IEnumerable<EncoderUse> Of(HostAssessment host)
    {
        var graphics = host.Host.Hardware.Functions.Where(f => f.IsGraphics).ToList();
        var handedOver = host.Guests.SelectMany(g => g.Guest.HandedWhole).ToHashSet(StringComparer.Ordinal);
        var converting = host.Guests.Where(g => g.LeftToEncoder > 0).ToList();
        foreach (var machine in converting.Where(g => g.Guest.Kind == GuestKind.Machine))
        {
            List<PciFunction> handed = [.. graphics.Where(f => machine.Guest.HandedWhole.Contains(f.Address))];
            yield return Of([machine], handed, handed.Count > 0 ? host.Host.Encoder : null);
        }

        var containers = converting.Where(g => g.Guest.Kind != GuestKind.Machine).ToList();
        if (containers.Count > 0)
        {
            List<PciFunction> kept = [.. graphics.Where(f => !handedOver.Contains(f.Address))];
            yield return Of(containers, kept, kept.Count > 0 || graphics.Count == 0 ? host.Host.Encoder : null);
        }
    }

    private static EncoderUse Of(IReadOnlyList<Sizing> guests, IReadOnlyList<PciFunction> cards, EncoderClass? @class) =>
        new(
            guests,
            cards,
            @class,
            Figure.Of(
                "asked of the video encoder",
                guests.Sum(g => g.LeftToEncoder),
                "Σ pixels of what is converted, in Mpx/s",
                () =>
                    guests
                        .Select(g => new FigureInput(g.Guest.Name, g.LeftToEncoder))
                        .Concat(
                            cards
                                .Where(c => c.EncodeMegapixels is not null)
                                .Select(c => new FigureInput(c.Name ?? c.Address, c.EncodeMegapixels!.Value, Origin.Entered))
                        )
                        .Concat(@class is { } sort ? [new FigureInput($"does, as {sort.Words()}", sort.Megapixels(), Origin.Assumed)] : []),
                Source.CommonPractice
            )
        );
}
