using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>What exports a share runs.</summary>
internal sealed class ShareNowhere : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.share-nowhere",
            Severity.Stop,
            Station.Wires,
            Says: "What exports a share that somebody uses is on a host.",
            Because: "There is nothing to mount.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from share in lab.Lab.Shares
        where share.From.Guest is { } id && lab.Lab.Guest(id) is { } exporter && lab.Lab.HostOf(exporter) is null
        from user in ShareSums.Users(lab.Lab, share)
        select Info.On(
            Subject.Of(user.Guest),
            $"{user.Guest.Name} uses {share.Name}, and {ShareSums.ExporterName(lab.Lab, share)} is on no host",
            $"Put {ShareSums.ExporterName(lab.Lab, share)} on a host, or let {user.Guest.Name} do without it.",
            () => [new Fix($"{user.Guest.Name} without {share.Name}", ReachEdits.Unmount(user.Guest.Id, share.Name))]
        );
}
