using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A port outside leads to one place.</summary>
internal sealed class SameWayIn : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.way-in-twice",
            Severity.Stop,
            Station.Wires,
            Says: "A port outside leads to one place, or to a reverse proxy that tells by the name.",
            Because: "The router passes it on to one of them; the other is never reached.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from same in lab.Lab.Forwards.GroupBy(f => (f.FromPort, f.Protocol))
        let first = same.GroupBy(f => (f.Through ?? f.To, Target: f.Through is null ? f.ToPort : f.FromPort)).ToList()
        where first.Count > 1
        let guest = lab.Lab.Guest(same.Last().To)
        where guest is not null
        select Info.On(
            Subject.Of(guest),
            $"Port {same.Key.FromPort} outside leads to {string.Join(" and ", same.Select(f => lab.Lab.Guest(f.To)?.Name).Distinct())}",
            "Pass all of them to one reverse proxy, each by a name of its own, or take another port outside.",
            () => same.Select(f => new Fix($"Close the way to {lab.Lab.Guest(f.To)?.Name}", ReachEdits.Close(f.Key)))
        );
}
