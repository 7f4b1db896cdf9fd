using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Data;
using Yuntak.Formats.Definitions;
using Yuntak.Web.Pages.Bench;
using Yuntak.Web.Pages.Disks;
using Yuntak.Web.Pages.Runbook;
using Yuntak.Web.Pages.Wants;
using Yuntak.Web.Shared;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Pages.Kit;

/// <summary>The hosts as drawings whose things can be opened and corrected, and reading one from its own tools.</summary>
[RequestSizeLimit(YuntakApp.LongestRequest)]
public sealed class IndexModel(DeskService desks, LabStore store, ReadingDesk readings, TimeProvider clock) : LabPageModel(desks, store)
{
    /// <summary>The longest pasted text that is sent back when it could not be read.</summary>
    private const int LongestEcho = 200_000;

    public override Station? Here => Station.Kit;

    /// <summary>The part of the hosts that is asked for.</summary>
    [BindProperty(Name = "part", SupportsGet = true)]
    public int? Part { get; set; }

    /// <summary>Which hosts are shown.</summary>
    public Paging Parts => Paging.OfHosts(Desk.Lab, Part, Request);

    public string? Pasted { get; private set; }

    /// <summary>The host that the text is said to be of: its id, «new», or empty when Yuntak is to find out.</summary>
    public string Of { get; private set; } = "";

    public IReadOnlyList<string> Problems { get; private set; } = [];

    /// <summary>The thing that is open beside the drawings, if any.</summary>
    public OpenThing? Open { get; private set; }

    public void OnGet(string? host, string? look, string? again)
    {
        Of = again ?? "";
        Show(host, look);
    }

    public async Task<IActionResult> OnPostReadAsync(IFormFile? file, string? text, string? of)
    {
        var (key, reading) = await readings.TakeInAsync(text, file, HttpContext.RequestAborted);
        if (key is { } kept)
        {
            return Redirect($"/Kit/Reading/{kept}{(string.IsNullOrEmpty(of) ? "" : "?host=" + Uri.EscapeDataString(of))}");
        }

        (Pasted, Of) = (text is { Length: > LongestEcho } ? text[..LongestEcho] : text, of ?? "");
        Problems = DefinitionReader.Is(text ?? "")
            ? ["This defines guests, not a host. Say on which host they run: there «What runs on it» takes them over.", .. reading.Problems]
            : [.. reading.Problems];
        return Page();
    }

    /// <summary>Corrects one fact of a host. A refusal shows the panel again with what was typed.</summary>
    public Task<IActionResult> OnPostCorrectAsync(string host, string look, string fact, string? value)
    {
        Show(host, look, fact, value);
        return ChangeFromFormAsync(KitEdits.Correct(new HostId(host), fact, value ?? "", clock.Today()), Back(host, look));
    }

    public Task<IActionResult> OnPostDropAsync(string host, string look, string fact) =>
        ChangeAsync(KitEdits.DropCorrection(new HostId(host), fact), Back(host, look));

    /// <summary>Hands a card to a machine whole, or takes it back.</summary>
    public Task<IActionResult> OnPostHandOverAsync(string host, string look, string address, string? guest) =>
        ChangeAsync(
            KitEdits.HandOver(new HostId(host), address, string.IsNullOrEmpty(guest) ? null : new GuestId(guest)),
            Back(host, look)
        );

    private static string Back(string host, string look) => $"/Kit?host={Uri.EscapeDataString(host)}&look={Uri.EscapeDataString(look)}";

    private void Show(string? host, string? look, string? fact = null, string? typed = null)
    {
        var found = host is null ? null : Desk.Lab.Host(new HostId(host));
        if (found is not null && look is not null && KitFacts.Of(found, look) is { Count: > 0 } facts)
        {
            Open = new OpenThing(found, look, facts, fact, typed);
        }
    }
}
