using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>No mishap takes everything.</summary>
internal sealed class NotThreePlaces : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.three-places",
            Severity.Note,
            Station.Keeping,
            Says: "Each guest has copies enough, on several kinds of medium, also elsewhere, also where nobody can change them, and all of them read back.",
            Because: "One mishap takes everything that is in one place, of one kind, or within reach of one account.",
            Source: new Source("CISA / US-CERT, «Data Backup Options», 2012, for the first three; the last two are common practice")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        var short_ = keeping.Guests.Where(g => g is { IsWhole: false, SetUpAnew: false }).ToList();
        return lab.Lab.Jobs.Count == 0 || short_.Count == 0
            ? []
            :
            [
                Info.On(
                    Subject.Of(lab.Lab),
                    $"{Numbers.Count(short_.Count, "guest")} {(short_.Count == 1 ? "is" : "are")} not yet safe from every mishap",
                    $"{string.Join(", ", short_.Take(5).Select(g => g.Guest.Name))}{(short_.Count > 5 ? $" and {short_.Count - 5} more" : "")}: {KeepingSteps.Cheapest(keeping)}"
                ),
            ];
    }
}
