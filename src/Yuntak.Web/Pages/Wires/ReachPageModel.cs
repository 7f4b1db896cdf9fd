using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wires;

/// <summary>The forms about ways in, boxes, other places and shares.</summary>
public abstract class ReachPageModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    /// <summary>Opens a way in.</summary>
    public Task<IActionResult> OnPostForwardAsync() =>
        ChangeAsync(lab => ReachEdits.Open(Form.Into(ReachShapes.Forward, ReachShapes.Forward.Blank))(lab), "/Wires");

    /// <summary>Closes a way in.</summary>
    public Task<IActionResult> OnPostCloseAsync(string key) => ChangeAsync(ReachEdits.Close(key), "/Wires");

    /// <summary>Adds or changes a box.</summary>
    public Task<IActionResult> OnPostBoxAsync(string? was, string? at) =>
        ChangeAsync(
            lab =>
                ReachEdits.Box(
                    Form.Into(ReachShapes.Box, lab.Boxes.FirstOrDefault(b => b.Name == was) ?? ReachShapes.Box.Blank) with
                    {
                        Addresses =
                        [
                            .. Words(at)
                                .Select(a =>
                                    IpText.Read(a)?.ToString()
                                    ?? throw new Refused($"An address such as 10.40.7.1 belongs here, not «{Names.Short(Names.Clean(a))}».")
                                ),
                        ],
                    },
                    string.IsNullOrEmpty(was) ? null : was
                )(lab),
            "/Wires"
        );

    /// <summary>Takes a box out.</summary>
    public Task<IActionResult> OnPostNoBoxAsync(string was) => ChangeAsync(ReachEdits.RemoveBox(was), "/Wires");

    /// <summary>Joins another place.</summary>
    public Task<IActionResult> OnPostSiteAsync(string? prefixes) =>
        ChangeAsync(
            lab => ReachEdits.Site(Form.Into(ReachShapes.Site, ReachShapes.Site.Blank) with { Prefixes = [.. Words(prefixes)] })(lab),
            "/Wires"
        );

    /// <summary>Lets another place go.</summary>
    public Task<IActionResult> OnPostNoSiteAsync(string name) => ChangeAsync(ReachEdits.RemoveSite(name), "/Wires");

    /// <summary>Shares a folder.</summary>
    public Task<IActionResult> OnPostShareAsync(string from, string? who) =>
        ChangeAsync(
            lab =>
            {
                var share = Form.Into(ReachShapes.Share, ReachShapes.Share.Blank);
                var end = (from ?? "").Split(':', 2) switch
                {
                    ["guest", var id] => new ShareEnd(Guest: new GuestId(id)),
                    ["host", var id] => new ShareEnd(Host: new HostId(id)),
                    ["box", var name] => new ShareEnd(Box: name),
                    _ => throw new Refused("Say where the share lies: at a host, a guest or a box."),
                };
                return ReachEdits.Share(
                    share with
                    {
                        From = Form.Into(ReachShapes.End, end, ["guest", "host", "box"]),
                        Allow = [.. Words(who)],
                    }
                )(lab);
            },
            "/Wires"
        );

    /// <summary>Changes who may use a share and how; who uses it goes on.</summary>
    public Task<IActionResult> OnPostChangeShareAsync(string was, string? who) =>
        ChangeAsync(
            lab => ReachEdits.ChangeShare(was, s => Form.Into(ReachShapes.Share, s) with { Allow = [.. Words(who)] })(lab),
            "/Wires"
        );

    /// <summary>No longer shares a folder.</summary>
    public Task<IActionResult> OnPostNoShareAsync(string name) => ChangeAsync(ReachEdits.RemoveShare(name), "/Wires");

    /// <summary>A guest uses a share.</summary>
    public Task<IActionResult> OnPostMountAsync(string guest, bool? library) =>
        ChangeAsync(
            lab =>
                ReachEdits.Mount(
                    new GuestId(guest),
                    Form.Into(ReachShapes.Mount, ReachShapes.Mount.Blank, ["library"]) with
                    {
                        Library = library == true,
                    }
                )(lab),
            Guest(guest)
        );

    /// <summary>A guest no longer uses a share.</summary>
    public Task<IActionResult> OnPostUnmountAsync(string guest, string share) =>
        ChangeAsync(ReachEdits.Unmount(new GuestId(guest), share), Guest(guest));

    /// <summary>What was typed into a field that takes several, with blanks, commas or semicolons between.</summary>
    private protected static string[] Words(string? typed) => (typed ?? "").Split([' ', ',', ';'], StringSplitOptions.RemoveEmptyEntries);

    private protected FormFields Form => FormFields.Of(Request.Form);

    private protected static string Guest(string id) => $"/Wires?guest={Uri.EscapeDataString(id)}";

    private protected static string Host(string id) => $"/Wires?host={Uri.EscapeDataString(id)}";

    private protected static string Network(string name) => $"/Wires?network={Uri.EscapeDataString(name)}";
}
