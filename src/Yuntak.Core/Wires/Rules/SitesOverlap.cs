using Yuntak.Core.Addresses;
using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>Networks joined by a tunnel do not overlap.</summary>
internal sealed class SitesOverlap : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.sites-overlap",
            Severity.Stop,
            Station.Wires,
            Says: "Networks of places that are joined by a tunnel have no address in common.",
            Because: "A packet for the other side goes to your own: nothing there is reached.",
            Source: new Source("RFC 1918, 5")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from pair in Pairs(lab.Lab)
        select Info.On(
            Subject.Of(lab.Lab),
            $"{pair.Mine} and {pair.Theirs} of {pair.Site} overlap",
            $"What {pair.Name} has and what {pair.Site} has are the same addresses. Give one of them another prefix: of your own, an unusual one out of 10.0.0.0/8 is rarely anybody's."
        );

    private static IEnumerable<(string Name, string Mine, string Theirs, string Site)> Pairs(Lab lab)
    {
        List<(string Name, Prefix Prefix)> known =
        [
            .. lab
                .Networks.Where(n => n.Purpose != NetworkPurpose.Outside)
                .Select(n => (n.Name, Prefix.Read(n.Prefix)))
                .Where(n => n.Item2 is not null)
                .Select(n => (n.Name, n.Item2!)),
        ];
        foreach (var site in lab.Sites)
        {
            var theirs = site.Prefixes.Select(Prefix.Read).OfType<Prefix>().ToList();
            foreach (var prefix in theirs)
            {
                foreach (var (name, mine) in known.Where(k => k.Prefix.Overlaps(prefix)))
                {
                    yield return (name, mine.ToString(), prefix.ToString(), site.Name);
                }
            }

            known.AddRange(theirs.Select(p => (site.Name, p)));
        }
    }
}
