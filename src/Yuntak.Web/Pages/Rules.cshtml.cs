using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages;

/// <summary>The rule book.</summary>
public sealed class RulesModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public void OnGet() { }
}
