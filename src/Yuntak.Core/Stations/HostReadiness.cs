using Yuntak.Core.Bench;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Stations;

/// <summary>The readiness list of a host, gone through with what is known of it and what stands out.</summary>
public static class HostReadiness
{
    /// <summary>The list for one host.</summary>
    public static IReadOnlyList<ReadinessLine> Of(Assessment lab, HostAssessment host)
    {
        var findings = lab
            .Findings.Where(f => f.Rule.Station == Station.Kit && f.Concerns(host))
            .ToLookup(f => f.Rule.Id, StringComparer.Ordinal);
        return
        [
            .. Readiness
                .Items.Where(i => i.IsAskedOf(host.Host))
                .Select(i => Line(i, host.Host, [.. i.Rules.SelectMany(r => findings[r])])),
        ];
    }

    private static ReadinessLine Line(ReadinessItem item, Host host, List<Finding> findings)
    {
        var evidence = item.Evidence(host);
        var no = item.Answer is not null && evidence is "no" or "off";
        var state =
            findings.Count > 0 || no ? ReadinessState.Fault
            : evidence is null ? ReadinessState.Asked
            : ReadinessState.Good;
        return new ReadinessLine(item, state, evidence, findings, host.Checks.FirstOrDefault(c => c.Item == item.Id)?.On);
    }
}
