using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>Who mounts a share is among those who may.</summary>
internal sealed class NotAllowed : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.share-not-allowed",
            Severity.Stop,
            Station.Wires,
            Says: "Who mounts a share that is exported by address is among those who may.",
            Because: "It is refused at the first mount. When the host mounts for a guest it is the host's address that asks.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from share in lab.Lab.Shares
        from user in ShareSums.Users(lab.Lab, share)
        let who = ShareSums.Mounter(lab.Lab, user.Guest, user.Mount)
        where who is not null && who != ShareSums.Exporter(lab.Lab, share) && !ShareSums.Allows(lab.Wires, share, who)
        select Info.On(
            Subject.Of(user.Guest),
            $"{who.Name} may not use {share.Name}",
            $"{ShareSums.ExporterName(lab.Lab, share)} lets {(share.Allow.Count == 0 ? "nobody" : string.Join(", ", share.Allow))} use it, and {who.Name}, which mounts it for {user.Guest.Name}, asks from {lab.Wires.AddressOf(who)?.ToString() ?? "an address nobody knows yet"}.",
            () =>
                [
                    new Fix(
                        $"Let {who.Name} use it",
                        ReachEdits.Allow(share.Name, lab.Wires.AddressOf(who)?.ToString() ?? Names.Slug(who.Name))
                    ),
                ]
        );
}
