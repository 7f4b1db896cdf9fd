using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>What a host is ready for: the list that is gone through before anything is built.</summary>
public sealed class ReadyModel(DeskService desks, LabStore store, TimeProvider clock) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Kit;

    public Host Host { get; private set; } = null!;

    public IReadOnlyList<ReadinessLine> Lines { get; private set; } = [];

    public IActionResult OnGet(string id)
    {
        if (Desk.Assessment.Host(new HostId(id)) is not { } host)
        {
            return NotFound();
        }

        (Host, Lines) = (host.Host, HostReadiness.Of(Desk.Assessment, host));
        return Page();
    }

    /// <summary>Answers a question with yes or no.</summary>
    public Task<IActionResult> OnPostAnswerAsync(string id, string item, bool yes) =>
        ChangeAsync(KitEdits.Answer(new HostId(id), item, yes, clock.Today()), Back(id, item));

    /// <summary>Ticks a line, or takes the tick away.</summary>
    public Task<IActionResult> OnPostTickAsync(string id, string item, bool on) =>
        ChangeAsync(KitEdits.Tick(new HostId(id), item, on ? clock.Today() : null), Back(id, item));

    private static string Back(string id, string item) => $"/Kit/Ready/{Uri.EscapeDataString(id)}#{Uri.EscapeDataString(item)}";
}
