using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages;

/// <summary>Shows two changes made at the same time and lets the person choose.</summary>
public sealed class ClashModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private Lab? mine;
    private Lab? common;

    public long MineRevision { get; private set; }

    public IReadOnlyList<LabChange> Theirs { get; private set; } = [];

    public IReadOnlyList<LabChange> Mine { get; private set; } = [];

    public bool CanDoBoth { get; private set; }

    public IReadOnlyList<string> Clashes { get; private set; } = [];

    public async Task<IActionResult> OnGetAsync(long mine)
    {
        if (!await FindAsync(mine))
        {
            return NotFound();
        }

        Theirs = LabDifference.Between(common!, Desk.Lab);
        Mine = LabDifference.Between(common!, this.mine!);
        CanDoBoth = LabMerge.ThreeWay(common!, Desk.Lab, this.mine!, out var clashes) is not null;
        Clashes = clashes;
        return Page();
    }

    public IActionResult OnPostKeep() => Redirect("/Bench");

    public async Task<IActionResult> OnPostMineAsync(long mine) =>
        await FindAsync(mine) ? await ChangeAsync(_ => new Changed(this.mine!, $"instead: {Words()}"), then: "/Bench") : NotFound();

    public async Task<IActionResult> OnPostBothAsync(long mine)
    {
        if (!await FindAsync(mine))
        {
            return NotFound();
        }

        return await ChangeAsync(
            lab =>
                LabMerge.ThreeWay(common!, lab, this.mine!, out var clashes) is { } both
                    ? new Changed(both, $"as well: {Words()}")
                    : throw new Refused($"They cannot both be done any more: both change {string.Join(", ", clashes)}."),
            then: "/Bench"
        );
    }

    private string Words()
    {
        var changes = LabDifference.Between(common!, mine!).Select(c => c.Sentence).ToList();
        return changes.Count == 0 ? "nothing" : string.Join("; ", changes.Take(3));
    }

    private async Task<bool> FindAsync(long revision)
    {
        MineRevision = revision;
        var aside = await Store.AsideAsync(revision);
        (common, mine) = aside ?? default;
        return aside is not null;
    }
}
