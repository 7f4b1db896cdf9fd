using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Stations;
using Yuntak.Data;

namespace Yuntak.Web.Shared;

/// <summary>Lays out the desk for a page.</summary>
public sealed class DeskService(LabStore store, Assessments assessments)
{
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

        var desk = new Desk(draft, asBuilt, assessments, await BeforeAsync(draft, cancel));
        latest = desk;
        return desk;
    }

    /// <summary>The assessment of a revision, from what stands now; null when there is none of that key.</summary>
    public async Task<Assessment?> AssessmentAsync(long revision, CancellationToken cancel = default) =>
        await store.LabAtAsync(revision, cancel) is { } lab
            ? assessments.Of(lab, (await store.HeadAsync(Pointer.AsBuilt, cancel)).Lab)
            : null;

    /// <summary>The lab before the last change; null for the first, and for one that cannot be read any more.</summary>
    private async Task<Lab?> BeforeAsync(Head draft, CancellationToken cancel)
    {
        try
        {
            return draft.Parent is { } parent ? await store.LabAtAsync(parent, cancel) : null;
        }
        catch (Refused)
        {
            return null;
        }
    }
}
