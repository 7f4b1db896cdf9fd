using System.Runtime.CompilerServices;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;

namespace Yuntak.Web.Shared;

/// <summary>The assessments of labs that are in use. A lab is assessed once, before it is kept, and shown from the same assessment.</summary>
public sealed class Assessments(ILogger<Assessments> log, TimeProvider clock)
{
    private readonly ConditionalWeakTable<Lab, Once<Assessment>> known = [];
    private readonly ConditionalWeakTable<Assessment, Assessment> from = [];

    /// <summary>The assessment of a lab.</summary>
    public Assessment Of(Lab lab)
    {
        var today = clock.Today();
        var assessment = known.GetValue(lab, l => new Once<Assessment>(() => Whole(l, today))).Value;
        if (assessment.Today == today)
        {
            return assessment;
        }

        // It was worked out yesterday: copies and drills have grown older since.
        known.AddOrUpdate(lab, new Once<Assessment>(() => Whole(lab, today)));
        return known.GetValue(lab, l => new Once<Assessment>(() => Whole(l, today))).Value;
    }

    /// <summary>The assessment of a lab with the way there from what stands. The newest for each lab is kept.</summary>
    public Assessment Of(Lab lab, Lab stands)
    {
        var plain = Of(lab);
        if (from.TryGetValue(plain, out var whole) && ReferenceEquals(whole.Stands, stands))
        {
            return whole;
        }

        whole = plain.From(stands);
        _ = whole.Findings.Count;
        from.AddOrUpdate(plain, whole);
        return whole;
    }

    /// <summary>Refuses a lab that cannot be worked out, and what no file would be read with again.</summary>
    /// <param name="before">The lab as it is. What was wrong with it already, when other limits held, keeps nobody from changing something else.</param>
    /// <param name="after">The lab as it would be.</param>
    /// <exception cref="Refused">It cannot be kept; the words say why.</exception>
    public void Check(Lab before, Lab after)
    {
        if (LabChecks.AfterChange(before, after, Gone).ToList() is { Count: > 0 } problems)
        {
            var had = LabChecks.Problems(before, Gone).Select(p => p.Text).ToHashSet(StringComparer.Ordinal);
            Problem.Refuse(problems.Where(p => !had.Contains(p.Text)));
        }

        try
        {
            Of(after);
        }
        catch (Exception e) when (e is not (Refused or OutOfMemoryException or OperationCanceledException))
        {
            log.LogError(e, "A lab could not be assessed");
            throw new Refused(
                $"Yuntak cannot work this out ({e.GetType().Name}), so it was not kept and nothing was changed. That is a fault of Yuntak, not yours.",
                e
            );
        }
    }

    /// <summary>A pool may name disks that are gone.</summary>
    private static IReadOnlyCollection<string> Gone(Host host, Pool pool) => pool.DiskIds;

    /// <summary>With everything worked out that pages show.</summary>
    private static Assessment Whole(Lab lab, DateOnly today)
    {
        var assessment = Assessment.Of(lab, today);
        _ = assessment.Findings.Count;
        return assessment;
    }
}
