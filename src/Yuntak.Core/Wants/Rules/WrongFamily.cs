using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>An image made for one processor family does not start on another.</summary>
internal sealed class WrongFamily : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.wrong-family",
            Severity.Stop,
            Station.Wants,
            Says: "A guest's image is made for the processor family of its host.",
            Because: "It does not start; at best it is emulated, ten times slower.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from guest in host.AllGuests
        where guest.Guest.MadeFor is { } family && !ProcessorFamily.Runs(host.Host.Processor.Architecture, family)
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} is made for another processor than {host.Host.Name} has",
            $"Its image is for {guest.Guest.MadeFor}, and {host.Host.Name} is {host.Host.Processor.Architecture}. Look for the same image for {host.Host.Processor.Architecture}, or another host.",
            () => Moves(lab, guest)
        );

    private static IEnumerable<Fix> Moves(Sums lab, Sizing guest) =>
        lab
            .Hosts.Where(h => ProcessorFamily.Runs(h.Host.Processor.Architecture, guest.Guest.MadeFor!))
            .Where(h => FitCheck.Of(lab, guest.Guest, h.Host) is { CanGo: true } answer && answer.Fit <= Fit.Tight)
            .Take(1)
            .Select(h => new Fix($"Move {guest.Guest.Name} to {h.Host.Name}", GuestEdits.Place(guest.Guest.Id, h.Host.Id)));
}
