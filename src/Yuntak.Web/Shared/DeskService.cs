using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Data;

namespace Yuntak.Web.Shared;

/// <summary>Lays out the desk for a page, and remembers the assessments of the revisions used last.</summary>
public sealed class DeskService(LabStore store)
{
    private readonly Recent<long, Lazy<Assessment>> assessments = new(16);
    private Desk? latest;

    /// <summary>The desk as it stands now.</summary>
    public async Task<Desk> LoadAsync(CancellationToken cancel = default)
    {
        var draft = await store.HeadAsync(Pointer.Draft, cancel);
        var asBuilt = await store.HeadAsync(Pointer.AsBuilt, cancel);
        if (latest is { } known && known.Draft.Revision == draft.Revision && known.AsBuilt.Revision == asBuilt.Revision)
        {
            return known;
        }

        var assessment = Of(draft.Revision, () => Assessment.Of(draft.Lab));
        var parent = draft.Parent is { } p ? await store.LabAtAsync(p, cancel) : null;
        var desk = new Desk(
            draft,
            asBuilt,
            assessment,
            () => parent is null ? assessment : Of(draft.Parent!.Value, () => Assessment.Of(parent))
        );
        latest = desk;
        return desk;
    }

    /// <summary>The assessment of a revision; null when there is none of that key.</summary>
    public async Task<Assessment?> AssessmentAsync(long revision, CancellationToken cancel = default) =>
        await store.LabAtAsync(revision, cancel) is { } lab ? Of(revision, () => Assessment.Of(lab)) : null;

    private Assessment Of(long revision, Func<Assessment> make) => assessments.Keep(revision, new Lazy<Assessment>(make)).Value;
}
