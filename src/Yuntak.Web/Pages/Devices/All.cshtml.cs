using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Profiles;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Devices;

/// <summary>All claims at once: what would be chosen with the least collateral, and for what cannot be met the smallest change that would let it.</summary>
public sealed class AllModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private DeviceAssignment? assigned;

    public override Station? Here => Station.Devices;

    /// <summary>What would be chosen.</summary>
    public DeviceAssignment Assigned => assigned ??= DeviceAssignment.Of(Desk.Lab, Desk.Assessment.Devices);

    /// <summary>The claims that would be met and are open so far.</summary>
    public int New => Assigned.ToTake.Count;

    public void OnGet() { }

    /// <summary>Makes the smallest change that would let a claim.</summary>
    public Task<IActionResult> OnPostChangeAsync(string guest, string need, string change)
    {
        // Looked up in what was shown, before the store holds its writer.
        var unmet = Assigned.Unmet.FirstOrDefault(u =>
            u.Change is not null && u.Guest.Id.Value == guest && ProfileWords.Needs.Word(u.Need) == need && u.SmallestChange == change
        );
        return ChangeAsync(
            lab =>
                unmet is null
                    ? throw new Refused("That claim is met already, or can no longer be met this way.")
                    : new Changed(unmet.Change!(lab), $"{unmet.Guest.Name}, for its {unmet.Need.Words()}: {unmet.SmallestChange}"),
            "/Devices/All"
        );
    }
}
