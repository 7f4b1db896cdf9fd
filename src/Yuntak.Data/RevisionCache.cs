using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>The revisions used last, unpacked. Revisions never change, so what is here is never stale.</summary>
internal sealed class RevisionCache
{
    private readonly Recent<long, (RevisionRow Row, Lazy<Lab> Lab)> known = new(32);

    public RevisionRow? Find(long revision) => known.TryFind(revision, out var entry) ? entry.Row : null;

    public void Keep(RevisionRow row) => Entry(row);

    public Lab LabOf(RevisionRow row) => Entry(row).Lab.Value;

    private (RevisionRow Row, Lazy<Lab> Lab) Entry(RevisionRow row) =>
        known.Keep(row.Id, (row, new Lazy<Lab>(() => LabJson.Read(row.Content, row.SchemaVersion))));
}
