using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>Who leaves conversions to a video encoder has one within reach. A host whose cards were never listed is not held to it.</summary>
internal sealed class NoEncoder : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.no-encoder",
            Severity.Mind,
            Station.Wants,
            Says: "A guest that leaves its conversions to a video encoder has a graphics card within reach.",
            Because: "Without one the processor converts, and nobody has counted its cores.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Host.Hardware.Functions.Count > 0 || host.Host.Encoder == EncoderClass.None
        from use in EncoderUse.Of(host)
        where use.Cards.Count == 0 && use.Class is null or EncoderClass.None
        from guest in use.Guests
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} has no video encoder within reach",
            guest.Guest.Kind == GuestKind.Machine
                ? $"A machine needs a graphics card handed over whole, and none of {host.Host.Name}'s is."
                : $"{host.Host.Name} has no graphics card, or has handed it to a machine.",
            () =>
                [
                    new Fix(
                        "Count the cores it takes instead",
                        GuestEdits.Change(guest.Guest.Id, g => g with { Wants = [.. g.Wants.Select(w => InSoftware(guest, w))] })
                    ),
                ]
        );

    private static Want InSoftware(Sizing guest, Want want) =>
        guest.Profiles.First(p => p.Id == want.ProfileId).Loads.Any(l => l.Id == ProfileBook.SoftwareEncoding)
            ? want with
            {
                Load = [.. want.Load.Where(l => l.Id != ProfileBook.SoftwareEncoding), new LoadValue(ProfileBook.SoftwareEncoding, 1)],
            }
            : want;
}
