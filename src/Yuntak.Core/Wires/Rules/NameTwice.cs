using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A name on the network means one thing.</summary>
internal sealed class NameTwice : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.name-twice",
            Severity.Stop,
            Station.Wires,
            Says: "A name on the network means one thing.",
            Because: "Which of them is reached is chance.",
            Source: new Source("RFC 1034, 3.1")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from name in Named(lab.Lab).GroupBy(n => n.Name, StringComparer.Ordinal)
        where name.Select(n => n.Who).Distinct().Skip(1).Any()
        let last = name.Last().Who
        select Info.On(
            WireFixes.SubjectOf(lab, last),
            $"«{name.Key}» is the name of {string.Join(" and of ", name.Select(n => $"{n.Who.Kind.ToString().ToLowerInvariant()} {n.Who.Name}").Distinct())}",
            $"On the network both are {name.Key}.{lab.Lab.Settings.Zone}. Call one of them otherwise.",
            () =>
                WireFixes.GuestOf(lab, last) is { } guest && guest.Aliases.Contains(name.Key)
                    ?
                    [
                        new Fix(
                            $"{guest.Name} without that name",
                            GuestEdits.Change(guest.Id, g => g with { Aliases = g.Aliases.Without(a => a == name.Key) })
                        ),
                    ]
                    : []
        );

    /// <summary>Who is called what on the network: hosts, boxes, and guests that have an address of their own or further names.</summary>
    private static IEnumerable<(string Name, Holder Who)> Named(Lab lab) =>
        lab
            .Hosts.Select(h => (Names.Slug(h.Name), Holder.Of(h)))
            .Concat(lab.Boxes.Select(b => (Names.Slug(b.Name), Holder.Of(b))))
            .Concat(lab.Guests.Where(g => g.Interfaces.Count > 0).Select(g => (Names.Slug(g.Name), Holder.Of(g))))
            .Concat(lab.Guests.SelectMany(g => g.Aliases.Select(a => (a, Holder.Of(g)))));
}
