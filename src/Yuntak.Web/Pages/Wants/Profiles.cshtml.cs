using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Data;
using Yuntak.Formats.LabFiles;
using Yuntak.Web.Shared;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Pages.Wants;

/// <summary>Every profile, those of the lab itself marked; files of profiles are read and given out here.</summary>
[RequestSizeLimit(YuntakApp.LongestRequest)]
public sealed class ProfilesModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Wants;

    /// <summary>What was pasted, kept when it was refused.</summary>
    public string? Pasted { get; private set; }

    /// <summary>Everything that is wrong with the file.</summary>
    public IReadOnlyList<string> Problems { get; private set; } = [];

    /// <summary>The profiles by family.</summary>
    public IEnumerable<IGrouping<Family, Profile>> Groups => Desk.Lab.Book.All.GroupBy(p => p.Family).OrderBy(g => g.Key);

    public void OnGet() { }

    /// <summary>Reads a profile file into the lab. One with anything wrong changes nothing.</summary>
    public async Task<IActionResult> OnPostReadAsync(IFormFile? file, string? text)
    {
        Pasted = text;
        var (content, problem) = await HandedIn.ReadAsync(file, text);
        if (content is null)
        {
            Problems = [problem!];
            return Page();
        }

        var reading = ProfileFile.Read(content);
        if (reading.Profiles is { } profiles)
        {
            return await ChangeFromFormAsync(ProfileEdits.Keep(profiles), "/Wants/Profiles");
        }

        Problems = [.. reading.Problems.Select(p => p.ToString())];
        return Page();
    }
}
