using System.Globalization;

namespace Yuntak.Data.Opening;

/// <summary>Goes on from what can still be read of a damaged database. The damaged files are kept.</summary>
public static class Recovery
{
    /// <summary>What <see cref="GoOnAsync"/> would go on from, in words; changes nothing.</summary>
    public static string Offer(string folder) => Offer(folder, Saved.Of(DataFolder.Database(folder)));

    private static string Offer(string folder, Saved saved) =>
        saved.Newest(Pointer.Draft) is { } draft
            ? $"the last change of the draft that can be read, number {draft.Number} («{draft.Sentence}», {Day(draft.At)})"
        : Copies.Newest(folder) is { } copy ? $"the newest copy that was kept, {copy}"
        : "an empty lab, because nothing in it can be read";

    /// <summary>Keeps the damaged files under another name and goes on from what can be read.</summary>
    /// <param name="folder">The data folder, which this process alone holds.</param>
    /// <param name="clock">The time.</param>
    /// <returns>What was done, in sentences.</returns>
    public static async Task<IReadOnlyList<string>> GoOnAsync(string folder, TimeProvider clock)
    {
        var database = DataFolder.Database(folder);
        var saved = Saved.Of(database);
        var offer = Offer(folder, saved);
        var fresh = DataFolder.Fresh(folder);
        if (saved.Newest(Pointer.Draft) is not null)
        {
            await FillAsync(fresh, saved);
        }
        else if (Copies.Newest(folder) is { } copy)
        {
            File.Copy(copy, fresh);
        }

        var aside = string.Create(CultureInfo.InvariantCulture, $"damaged-{clock.GetUtcNow().UtcDateTime:yyyyMMdd'T'HHmmss}-");
        foreach (
            var file in Directory
                .EnumerateFiles(folder, DataFolder.FileName + "*")
                .Where(f => !f.StartsWith(fresh, StringComparison.Ordinal))
                .ToList()
        )
        {
            File.Move(file, Path.Combine(folder, aside + Path.GetFileName(file)));
        }

        List<string> said =
        [
            $"The damaged data is kept as {Path.Combine(folder, aside + DataFolder.FileName)}.",
            $"Yuntak goes on from {offer}.",
        ];
        if (File.Exists(fresh))
        {
            File.Move(fresh, database);
            if (saved.Newest(Pointer.Draft) is not null)
            {
                said.Add(saved.Words);
            }

            if (saved.Revisions.Count > 0 && saved.Newest(Pointer.AsBuilt) is null)
            {
                said.Add(
                    "What stands (as built) could not be read and is empty now: check it against your machines before you follow the runbook."
                );
            }
        }

        return said;
    }

    private static async Task FillAsync(string fresh, Saved saved)
    {
        Schema.Make(fresh);
        await using var db = new DatabaseFile(fresh, pooled: false).CreateDbContext();
        var lab = new LabRow();
        db.Labs.Add(lab);
        await db.SaveChangesAsync();
        // There is one lab; a row that says otherwise is wrong in that and may be right in all else.
        saved.Revisions.ForEach(r => r.LabId = lab.Id);
        db.Revisions.AddRange(saved.Revisions);
        db.Photos.AddRange(saved.Photos);
        db.Readings.AddRange(saved.Readings.DistinctBy(r => r.Hash ?? $"{r.Id}"));
        var draft = saved.Newest(Pointer.Draft)!;
        var built = saved.Newest(Pointer.AsBuilt);
        if (built is null)
        {
            var name = LabJson.Read(draft.Content, draft.SchemaVersion).Name;
            built = new RevisionRow
            {
                LabId = lab.Id,
                Pointer = Pointer.AsBuilt,
                Number = 1,
                At = draft.At,
                Sentence = "begun anew: what stood could not be read",
                SchemaVersion = LabJson.Version,
                Content = LabJson.Write(Core.Labs.Lab.Empty(name)),
            };
            db.Revisions.Add(built);
        }

        await db.SaveChangesAsync();
        (lab.DraftRevision, lab.AsBuiltRevision) = (draft.Id, built.Id);
        await db.SaveChangesAsync();
    }

    private static string Day(DateTime at) => at.ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture);
}
