using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>The revisions used last, unpacked. Revisions never change, so what is here is never stale.</summary>
internal sealed class RevisionCache
{
    private readonly Recent<long, (RevisionRow Row, Lazy<Lab> Lab)> known = new(32);

    public RevisionRow? Find(long revision) => known.TryFind(revision, out var entry) ? entry.Row : null;

    public void Keep(RevisionRow row) => Entry(row);

    /// <summary>Keeps a revision with the lab it was made of, so that it need not be unpacked.</summary>
    public void Keep(RevisionRow row, Lab lab) => known.Keep(row.Id, (row, new Lazy<Lab>(lab)));

    /// <exception cref="Refused">It is damaged.</exception>
    public Lab LabOf(RevisionRow row) => Entry(row).Lab.Value;

    private (RevisionRow Row, Lazy<Lab> Lab) Entry(RevisionRow row) => known.Keep(row.Id, (row, new Lazy<Lab>(() => Unpacked(row))));

    private static Lab Unpacked(RevisionRow row) =>
        LabJson.TryRead(row.Content, row.SchemaVersion)
        ?? throw new Refused($"The change «{row.Sentence}» (revision {row.Id}) is damaged and cannot be read. Nothing was changed.");
}
