using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Stations;
using Yuntak.Data;

namespace Yuntak.Web.Shared;

/// <summary>Everything a page shows: the two heads and what follows from them. Made once for each pair of revisions.</summary>
public sealed class Desk
{
    private readonly Once<Assessment> assessment;
    private readonly Once<string?> trouble;
    private readonly Once<Rehearsal> rehearsal;
    private readonly Once<Rehearsal> allFaults;
    private readonly Once<int> changes;
    private readonly Once<Verdict> verdict;

    internal Desk(Head draft, Head asBuilt, Assessments assessments, Lab? before)
    {
        Draft = draft;
        AsBuilt = asBuilt;
        assessment = new(() => assessments.Of(draft.Lab, asBuilt.Lab));
        trouble = new(() => Try(() => assessment.Value));
        rehearsal = new(() => Rehearsal.Of(Runbook));
        allFaults = new(() => Rehearsal.Of(Runbook, allFaults: true));
        changes = new(() => LabDifference.Between(RunbookBuilder.Settled(asBuilt.Lab, draft.Lab), draft.Lab).Count(c => c.NeedsWork));
        verdict = new(() => Verdict.Between(Then(assessments, before), Assessment));
    }

    /// <summary>What is planned.</summary>
    public Head Draft { get; }

    /// <summary>What stands.</summary>
    public Head AsBuilt { get; }

    /// <summary>The lab that is planned.</summary>
    public Lab Lab => Draft.Lab;

    /// <summary>What follows from it.</summary>
    public Assessment Assessment => assessment.Value;

    /// <summary>Why nothing follows from it: something in it that Yuntak cannot work out. Null when all is well. What needs no sums, the history and the lab file, works all the same.</summary>
    public string? Trouble => trouble.Value;

    /// <summary>The steps from as built to draft.</summary>
    public Runbook Runbook => Assessment.Runbook!;

    /// <summary>The steps against simulated hosts.</summary>
    public Rehearsal Rehearsal => rehearsal.Value;

    /// <summary>The same with every fault tried wherever it can strike.</summary>
    public Rehearsal WithAllFaults => allFaults.Value;

    /// <summary>How many changes lie between as built and draft.</summary>
    public int Changes => changes.Value;

    /// <summary>What the last change did.</summary>
    public Verdict Verdict => verdict.Value;

    /// <summary>The findings of a station.</summary>
    public IEnumerable<Finding> FindingsOf(Station station) => Assessment.Findings.Where(f => f.Rule.Station == station);

    /// <summary>What followed from the lab before the last change; from the lab now, where nothing could be worked out from that one.</summary>
    private Assessment Then(Assessments assessments, Lab? before) =>
        before is not null && Try(() => assessments.Of(before, AsBuilt.Lab)) is null ? assessments.Of(before, AsBuilt.Lab) : Assessment;

    private static string? Try(Func<Assessment> make)
    {
        try
        {
            make();
            return null;
        }
        catch (Exception e) when (e is not (OutOfMemoryException or OperationCanceledException))
        {
            return $"Yuntak cannot work this lab out ({e.GetType().Name}: {e.Message.TrimEnd('.')}). Take the last change back, or bring an earlier one back; nothing is lost.";
        }
    }
}
