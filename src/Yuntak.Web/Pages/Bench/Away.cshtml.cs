using System.Runtime.CompilerServices;
using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Arranging;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Stations;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Bench;

/// <summary>One host away: where its guests could go, and what would not live.</summary>
public sealed class AwayModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private static readonly ConditionalWeakTable<Assessment, Dictionary<HostId, Arrangement>> Kept = [];

    public override Station? Here => Station.Bench;

    /// <summary>The host that is away.</summary>
    public Host Host { get; private set; } = null!;

    /// <summary>What would become of its guests.</summary>
    public Arrangement Found { get; private set; } = null!;

    /// <summary>The other hosts with them.</summary>
    public IReadOnlyList<GhostBoard> Boards { get; private set; } = [];

    /// <param name="host">The host.</param>
    public IActionResult OnGet(string? host)
    {
        if (Desk.Lab.Host(new HostId(host ?? "")) is not { } away)
        {
            return Redirect("/Bench");
        }

        Host = away;
        Found = Of(Desk.Assessment, away.Id, HttpContext.RequestAborted);
        Boards = GhostBoard.Of(Desk.Assessment, [.. Found.Moves.Select(m => new ArrangeTake(m.Guest.Id, m.Place, m.Kind))], [], away.Id);
        return Page();
    }

    /// <summary>Worked out once for a lab, as all that follows from it.</summary>
    private static Arrangement Of(Assessment lab, HostId away, CancellationToken cancel)
    {
        var known = Kept.GetOrCreateValue(lab);
        lock (known)
        {
            if (!known.TryGetValue(away, out var found))
            {
                known[away] = found = HostAway.Of(lab, away, cancel);
            }

            return found;
        }
    }
}
