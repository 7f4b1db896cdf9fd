using Yuntak.Core.Findings;
using Yuntak.Core.Keeping;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Keeping;

/// <summary>What the pages of the station have in common.</summary>
public abstract class KeepingPageModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Keeping;

    /// <summary>The copies of the draft.</summary>
    public HouseKeeping House => HouseKeeping.Of(Desk.Assessment);

    private protected FormFields Form => FormFields.Of(Request.Form);

    /// <summary>A part of an address.</summary>
    public static string Escaped(string text) => Uri.EscapeDataString(text);
}
