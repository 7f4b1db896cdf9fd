using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
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
        var found = await Store.RevisionAsync(Pointer.Draft, revision);
        return await ChangeAsync(_ =>
            found is { } earlier
                ? new Changed(earlier.Lab, $"brought back: {earlier.Sentence}")
                : throw new Refused("That revision is not there.")
        );
    }
}
