using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A guest is packaged in a way that the kind of its host runs.</summary>
internal sealed class PackagingNotOffered : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.packaging-not-offered",
            Severity.Mind,
            Station.Wants,
            Says: "A guest is packaged in a way that the kind of its host runs: a plain server runs app stacks and machines, a single board app stacks and system containers.",
            Because: "What a host's system does not bring has to be built by hand, and its updates do not know of it.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from guest in host.Guests.Select(g => g.Guest)
        where !host.Host.Kind.Runs.Contains(guest.Kind)
        select Info.On(
            Subject.Of(guest),
            $"{guest.Name} is {Names.A(guest.Kind.Words())}, and {host.Host.Name} is {Names.A(host.Host.Type.Words())}",
            $"There it runs {string.Join(" or ", host.Host.Kind.Runs.Select(k => $"as {Names.A(k.Words())}"))}. If the host's kind is another, say so in Kit.",
            () =>
                guest.Devices.Count > 0 || lab.Lab.GuestsIn(guest.Id).Any()
                    ? []
                    :
                    [
                        new Fix(
                            $"Make it {Names.A(host.Host.Kind.Runs[0].Words())}",
                            GuestEdits.Change(guest.Id, g => g with { Kind = host.Host.Kind.Runs[0] })
                        ),
                    ]
        );
}
