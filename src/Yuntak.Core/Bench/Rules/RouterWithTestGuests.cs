using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Bench.Rules;

/// <summary>The router does not live on the host one tinkers with.</summary>
internal sealed class RouterWithTestGuests : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.router-with-test-guests",
            Severity.Mind,
            Station.Bench,
            Says: "A router guest does not share its host with test machines.",
            Because: "When that host is restarted the household is offline, and so is the one who restarted it.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let router = host.Guests.FirstOrDefault(g => g.Follows(ProfileBook.Router))
        where router is not null
        from test in host.Guests
        where test.Follows(ProfileBook.TestMachine)
        select Info.On(
            Subject.Of(test.Guest),
            $"{test.Guest.Name} is tried out beside the router",
            $"{router.Guest.Name} and {test.Guest.Name} share {host.Host.Name}: a restart after an experiment takes the household offline.",
            () =>
                from answer in FitCheck.OnEveryHost(lab, test.Guest)
                where answer.CanGo && answer.After.Host.Id != host.Host.Id
                select new Fix($"Move {test.Guest.Name} to {answer.After.Host.Name}", GuestEdits.Place(test.Guest.Id, answer.After.Host.Id))
        );
}
