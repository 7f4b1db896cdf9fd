using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>An image with the tag «latest» leaves no way back.</summary>
internal sealed class LatestTag : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.latest-tag",
            Severity.Note,
            Station.Wants,
            Says: "Every image is named with a tag of its own, not «latest».",
            Because: "When an update breaks something you need the tag that worked.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests.Select(g => g.Guest)
        where guest.Kind == GuestKind.AppStack && guest.Image is { Length: > 0 } && !guest.Image.Contains('@', StringComparison.Ordinal)
        where AppStacks.Tag(guest.Image!) is null or "latest"
        select Info.On(
            Subject.Of(guest),
            $"{guest.Name} runs whatever is newest",
            $"Its image {guest.Image} has {(AppStacks.Tag(guest.Image!) is null ? "no tag" : "the tag «latest»")}. Write the tag you run, and keep the one before."
        );
}
