using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Keeping;

/// <summary>What key opens what, where its copies lie, and when it was tried; to print. Never the key itself.</summary>
public sealed class KeysModel(DeskService desks, LabStore store) : KeepingPageModel(desks, store);
