using Yuntak.Core.Arranging;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Bench.Rules;

/// <summary>What is to keep running has somewhere to go.</summary>
internal sealed class NoRefuge : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.no-refuge",
            Severity.Mind,
            Station.Bench,
            Says: "A guest that must run and is marked to keep running has somewhere to go when its host is away, with everybody else staying where they are.",
            Because: "A host is away sooner or later: for an update, a new disk, or for good.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Guests.Any(g => g.Guest is { Survives: true, Importance: Importance.Must })
        from guest in HostAway.Lost(lab, host.Host.Id)
        select Info.On(
            Subject.Of(guest),
            $"{guest.Name} has nowhere to go without {host.Host.Name}",
            lab.Hosts.Count == 1
                ? $"{host.Host.Name} is the only host. It would take a second one with room for {guest.Name}."
                : $"With {host.Host.Name} away no other host has room and all that {guest.Name} needs, beside its own guests. «If {host.Host.Name} is away», on its board, says why, host by host.",
            () => [new Fix($"{guest.Name} may be away with its host", PlaceEdits.Survives(guest.Id, false))]
        );
}
