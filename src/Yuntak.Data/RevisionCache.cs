using System.Collections.Concurrent;
using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>The revisions used last, unpacked. Revisions never change, so what is here is never stale.</summary>
internal sealed class RevisionCache
{
    private const int Most = 32;
    private readonly ConcurrentDictionary<long, (RevisionRow Row, Lazy<Lab> Lab)> known = new();
    private readonly ConcurrentQueue<long> order = new();

    public RevisionRow? Find(long revision) => known.TryGetValue(revision, out var entry) ? entry.Row : null;

    public void Keep(RevisionRow row)
    {
        if (!known.TryAdd(row.Id, (row, new Lazy<Lab>(() => LabJson.Read(row.Content, row.SchemaVersion)))))
        {
            return;
        }

        order.Enqueue(row.Id);
        while (known.Count > Most && order.TryDequeue(out var oldest))
        {
            known.TryRemove(oldest, out _);
        }
    }

    public Lab LabOf(RevisionRow row)
    {
        Keep(row);
        return known.TryGetValue(row.Id, out var entry) ? entry.Lab.Value : LabJson.Read(row.Content, row.SchemaVersion);
    }
}
