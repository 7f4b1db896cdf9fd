using Yuntak.Core.Devices;
using Yuntak.Core.Findings;
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
}
