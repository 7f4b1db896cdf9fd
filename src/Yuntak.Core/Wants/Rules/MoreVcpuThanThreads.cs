using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A guest never gets more virtual processors than its host has threads.</summary>
internal sealed class MoreVcpuThanThreads : IRule
{
    private static readonly RuleLimit Limit = new(1, "virtual processor", "for each thread of the host");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.more-vcpu-than-threads",
            Severity.Stop,
            Station.Wants,
            Says: "No guest has more virtual processors than its host has threads.",
            Because: "The extra ones can never run at the same time, and hosts refuse to start such a guest.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let threads = host.Host.Processor.Threads
        from guest in host.Guests
        where Limit.Notices(guest.Vcpu / (double)threads)
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} asks for more processors than {host.Host.Name} has",
            $"{guest.Vcpu} virtual processors wanted, {Numbers.Count(threads, "thread")} there.",
            () =>
                [
                    new Fix(
                        $"Give it {threads}",
                        GuestEdits.Change(guest.Guest.Id, g => g with { Overrides = g.Overrides with { Vcpu = threads } })
                    ),
                ],
            guest.AdvisedVcpu
        );
}
