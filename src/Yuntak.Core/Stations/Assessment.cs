using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Stations;

/// <summary>Everything worked out about a lab, once: sizes, budgets and findings. Every page reads from it.</summary>
public sealed class Assessment : Sums
{
    private readonly Once<IReadOnlyList<Finding>> findings;
    private readonly Once<Dictionary<HostId, int>> stops;
    private readonly Once<Runbook>? runbook;

    private Assessment(Lab lab, DateOnly? today)
        : base(lab, today)
    {
        findings = new(() => RuleBook.Check(this, RuleBook.OfPlan));
        stops = new(CountStops);
    }

    private Assessment(Assessment plain, Lab stands)
        : base(plain)
    {
        Stands = stands;
        OfPlan = plain.Findings;
        runbook = new(() => RunbookBuilder.Build(stands, Lab));
        findings = new(() => [.. plain.Findings.Concat(RuleBook.Check(this, RunbookRules.All)).OrderByDescending(f => f.Severity)]);
        stops = new(CountStops);
    }

    /// <summary>What the rules say of the plan alone, however it is reached.</summary>
    internal IReadOnlyList<Finding> OfPlan { get; } = [];

    /// <summary>What stands, where that is known: the way from there to the plan is part of the verdict then.</summary>
    public Lab? Stands { get; }

    /// <summary>The steps from what stands to the plan; worked out when somebody asks. Null where nobody said what stands.</summary>
    public Runbook? Runbook => runbook?.Value;

    /// <summary>What the rule book says, the worst first.</summary>
    public IReadOnlyList<Finding> Findings => findings.Value;

    /// <summary>How many stops concern a host, one of its pools, or a guest on it or inside one on it.</summary>
    public int StopsOf(HostId host) => stops.Value.GetValueOrDefault(host);

    private Dictionary<HostId, int> CountStops() =>
        Findings.Where(f => f.Severity == Severity.Stop).Select(HostOf).OfType<HostId>().CountBy(h => h).ToDictionary();

    private HostId? HostOf(Finding finding) =>
        finding.Subject.Kind switch
        {
            SubjectKind.Host => new HostId(finding.Subject.Id),
            SubjectKind.Pool => new HostId(Uri.UnescapeDataString(finding.Subject.Id.Split('/')[0])),
            SubjectKind.Guest => Lab.Guest(new GuestId(finding.Subject.Id)) is { } guest ? HostOf(guest)?.Host.Id : null,
            SubjectKind.Lab => null,
        };

    /// <summary>Assesses a lab.</summary>
    /// <param name="lab">The lab.</param>
    /// <param name="today">The day it is; null for the newest day the lab knows of.</param>
    public static new Assessment Of(Lab lab, DateOnly? today = null) => new(lab, today);

    /// <summary>The same assessment with the way there from what stands: what its steps cannot do without losing something is found too.</summary>
    public Assessment From(Lab stands) => new(this, stands);
}
