using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Keeping;

/// <summary>One page for the household, for when the person who looks after the lab is not there.</summary>
public sealed class SheetModel(DeskService desks, LabStore store) : KeepingPageModel(desks, store)
{
    private const int MostRows = 24;

    /// <summary>The services people use, those that must run first.</summary>
    public IEnumerable<GuestKeeping> Services => House.Guests.OrderBy(g => g.Guest.Importance).Take(MostRows);

    /// <summary>What a guest is for, in words.</summary>
    public string For(Guest guest) =>
        string.Join(" and ", guest.Wants.Select(w => Desk.Lab.Book.Find(w.ProfileId)?.Name.ToLowerInvariant() ?? w.ProfileId).Distinct());
}
