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
    /// <summary>How many lines a page has.</summary>
    public const int Most = 60;

    public IReadOnlyList<RevisionLine> Draft { get; private set; } = [];

    public IReadOnlyList<RevisionLine> Built { get; private set; } = [];

    public IReadOnlyList<LabChange> Changes => LabDifference.Between(Desk.AsBuilt.Lab, Desk.Lab);

    public override bool NeedsSums => false;

    /// <summary>Where the older changes of the draft begin; null when these reach back to the first.</summary>
    public long? OlderDraft => Older(Draft);

    /// <summary>Where the older changes of what stands begin; null when these reach back to the first.</summary>
    public long? OlderBuilt => Older(Built);

    /// <param name="draft">Only changes of the draft older than this one; the newest when left out.</param>
    /// <param name="built">Only changes of what stands older than this one.</param>
    public async Task OnGetAsync(long? draft, long? built)
    {
        Draft = await Store.HistoryAsync(Pointer.Draft, Most, draft);
        Built = await Store.HistoryAsync(Pointer.AsBuilt, Most, built);
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

    private static long? Older(IReadOnlyList<RevisionLine> lines) => lines.Count == Most ? lines[^1].Revision : null;
}
