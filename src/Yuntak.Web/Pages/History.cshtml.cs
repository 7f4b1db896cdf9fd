using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Edits;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages;

/// <summary>Every change, and the way back to any of them.</summary>
public sealed class HistoryModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private const int Most = 60;

    public IReadOnlyList<RevisionLine> Draft { get; private set; } = [];

    public IReadOnlyList<RevisionLine> Built { get; private set; } = [];

    public IReadOnlyList<LabChange> Changes => LabDifference.Between(Desk.AsBuilt.Lab, Desk.Lab);

    public async Task OnGetAsync()
    {
        Draft = await Store.HistoryAsync(Pointer.Draft, Most);
        Built = await Store.HistoryAsync(Pointer.AsBuilt, Most);
    }

    public async Task<IActionResult> OnPostRestoreAsync(long revision)
    {
        var lines = await Store.HistoryAsync(Pointer.Draft, int.MaxValue);
        var line = lines.FirstOrDefault(l => l.Revision == revision);
        var lab = line is null ? null : await Store.LabAtAsync(revision);
        return await ChangeAsync(_ =>
            lab is null ? throw new EditRefused("That revision is not there.") : new Changed(lab, $"brought back: {line!.Sentence}")
        );
    }
}
