using System.Collections.Concurrent;
using Yuntak.Core.Bench;
using Yuntak.Data;

namespace Yuntak.Web.Shared;

/// <summary>Lays out the desk for a page, and remembers the assessments of the revisions used last.</summary>
public sealed class DeskService(LabStore store)
{
    private const int Most = 16;
    private readonly ConcurrentDictionary<long, Assessment> assessments = new();
    private readonly ConcurrentQueue<long> order = new();
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

    private Assessment Of(long revision, Func<Assessment> make)
    {
        if (assessments.TryGetValue(revision, out var known))
        {
            return known;
        }

        var made = assessments.GetOrAdd(revision, _ => make());
        order.Enqueue(revision);
        while (assessments.Count > Most && order.TryDequeue(out var oldest))
        {
            assessments.TryRemove(oldest, out _);
        }

        return made;
    }
}
