using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wants;

/// <summary>Asks what a service should do and how much of it, and shows the size it comes to.</summary>
public sealed class GuestModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Wants;

    /// <summary>The guest being changed; null for a new one.</summary>
    public string? Id { get; private set; }

    /// <summary>The profiles of its wants; none until one is chosen.</summary>
    public IReadOnlyList<Profile> Profiles { get; private set; } = [];

    public GuestForm Form { get; private set; } = null!;

    /// <summary>The size the form comes to; null while something in it is wrong.</summary>
    public Sizing? Sizing { get; private set; }

    /// <summary>Why there is no size.</summary>
    public string? SizeProblem { get; private set; }

    /// <summary>The profiles there are.</summary>
    public ProfileBook Book => Desk.Lab.Book;

    /// <summary>The guests an app stack's engine could run in.</summary>
    public IEnumerable<Guest> Outers => Desk.Lab.Guests.Where(g => g.Kind != GuestKind.AppStack && g.Id.Value != Id);

    /// <summary>The same want packaged in every way.</summary>
    public IEnumerable<PackagingWay> SideBySide => PackagingWays.Of(Desk.Assessment, Sizing!.Guest);

    /// <summary>What the load typed is compared with: the guest as it is kept or, for a new one, the load a household usually has; null when they are the same.</summary>
    public (string Name, Sizing Sizing)? Compared
    {
        get
        {
            var other = Id is null ? WithUsualLoad(Sizing!.Guest) : Desk.Lab.Guest(new GuestId(Id))!;
            return other.Wants == Sizing!.Guest.Wants && other.Kind == Sizing.Guest.Kind && other.Overrides == Sizing.Guest.Overrides
                ? null
                : (Id is null ? "a usual household" : "as it is kept", Sizing.Of(Desk.Lab, other));
        }
    }

    public IActionResult OnGet(string? id, string? profile)
    {
        if (id is not null)
        {
            return Edit(id) is { } guest ? Show(guest) : NotFound();
        }

        if (profile is not null && Book.Find(profile) is { } chosen)
        {
            Profiles = [chosen];
            Form = GuestForm.New(
                chosen,
                Request
                    .Query.Where(q => q.Key.StartsWith("load-0-", StringComparison.Ordinal))
                    .Select(q => KeyValuePair.Create(q.Key, q.Value.ToString()))
            );
            TrySize(posted: false);
        }

        return Page();
    }

    /// <summary>Sizes what is in the form, without keeping it.</summary>
    public IActionResult OnPostSize(string? id)
    {
        if (id is not null && Edit(id) is null)
        {
            return NotFound();
        }

        ReadForm();
        TrySize(posted: true);
        return Page();
    }

    /// <summary>Adds one want more to the form, without keeping it yet.</summary>
    public IActionResult OnPostAlso(string? id, string? also)
    {
        if (id is not null && Edit(id) is null)
        {
            return NotFound();
        }

        ReadForm();
        if (Book.Find(also ?? "") is { } added)
        {
            Profiles = [.. Profiles, added];
        }

        TrySize(posted: true);
        return Page();
    }

    /// <summary>Makes one of its wants a guest of its own.</summary>
    public Task<IActionResult> OnPostSplitAsync(string id, int want) =>
        ChangeAsync(GuestEdits.Split(new GuestId(id), want), then: "/Wants");

    public async Task<IActionResult> OnPostAsync(string? id, string? then)
    {
        var before = id is null ? null : Edit(id);
        if (id is not null && before is null)
        {
            return NotFound();
        }

        ReadForm();
        if (Profiles.Count == 0)
        {
            return Page();
        }

        TrySize(posted: true);
        var result = await ChangeFromFormAsync(Keep(before, place: then == "bench"), "/Wants");
        return then == "bench" && result is RedirectResult { Url: "/Wants" }
            ? Redirect($"/Bench?guest={Uri.EscapeDataString(await IdNowAsync(id))}")
            : result;
    }

    public Task<IActionResult> OnPostRemoveAsync(string id) => ChangeAsync(GuestEdits.Remove(new GuestId(id)), then: "/Wants");

    private async Task<string> IdNowAsync(string? id) =>
        id ?? (await Store.HeadAsync(Pointer.Draft)).Lab.Guests.Last(g => g.Name == Names.Clean(Form["name"])).Id.Value;

    private Guest? Edit(string id)
    {
        var guest = Desk.Lab.Guest(new GuestId(id));
        if (guest is not null)
        {
            Id = id;
            Profiles = [.. guest.Wants.Select(w => Book.Get(w.ProfileId))];
        }

        return guest;
    }

    private PageResult Show(Guest guest)
    {
        Form = GuestForm.Of(guest);
        TrySize(posted: false);
        return Page();
    }

    private void ReadForm()
    {
        Form = GuestForm.Read(Request.Form);
        Profiles = [.. Request.Form["profile"].Select(p => Book.Find(p ?? "")).OfType<Profile>()];
    }

    private void TrySize(bool posted)
    {
        if (Profiles.Count == 0)
        {
            return;
        }

        try
        {
            Sizing = Sizing.Of(Desk.Lab, Form.ToGuest(Profiles, Id is null ? null : Desk.Lab.Guest(new GuestId(Id)), posted));
        }
        catch (Refused refused)
        {
            SizeProblem = refused.Message;
        }
    }

    /// <summary>The kind of guest the app stack's engine runs in, as the form says; null for none.</summary>
    public GuestKind? WithinNow =>
        Form.OwnEngine ?? (Form.Kind == GuestKind.AppStack ? Desk.Lab.Guest(new GuestId(Form.Engine))?.Kind : null);

    /// <summary>The host the guest is on now, itself or inside another.</summary>
    public Host? HostNow => Id is null ? null : Desk.Lab.HostOf(Desk.Lab.Guest(new GuestId(Id))!);

    /// <summary>What is asked of the video encoders the guest uses, with what was typed.</summary>
    public IEnumerable<EncoderUse> Encoders =>
        HostNow is { } host && Sizing is { LeftToEncoder: > 0 } sizing
            ? EncoderUse
                .Of(FitCheck.Of(Desk.Assessment, sizing.Guest, host).After)
                .Where(u => u.Guests.Any(g => g.Guest.Id == sizing.Guest.Id))
            : [];

    /// <summary>How long a machine that starts from it fetches, in seconds; null while it is on no host whose link or disk is known.</summary>
    public Figure<double>? FetchTime => HostNow is { } host && Sizing is { } sizing ? FetchTimes.Of(sizing, host) : null;

    /// <summary>Two sizes beside each other, figure by figure.</summary>
    public static IEnumerable<(string Label, string Was, string Now)> Rows(Sizing was, Sizing now) =>
        new (string, string, string)[]
        {
            ("memory", was.Memory.ToString(), now.Memory.ToString()),
            ("processors", $"{was.Vcpu}", $"{now.Vcpu}"),
            ("kept busy", was.BusyCores.ToString(), now.BusyCores.ToString()),
            ("system disk", was.SystemDisk.ToString(), now.SystemDisk.ToString()),
            ("bulk data", was.Bulk.ToDecimalString(), now.Bulk.ToDecimalString()),
            ("scratch space", was.Scratch.Value.ToDecimalString(), now.Scratch.Value.ToDecimalString()),
            ("to convert, Mpx/s", Numbers.Short(was.EncodeMegapixels.Value), Numbers.Short(now.EncodeMegapixels.Value)),
            ("over the network", was.Bandwidth.Value.ToString(), now.Bandwidth.Value.ToString()),
        }.Where(r => r.Item2 != r.Item3 || r.Item1 is "memory" or "processors");

    private static Guest WithUsualLoad(Guest guest) => guest with { Wants = [.. guest.Wants.Select(w => w with { Load = [] })] };

    /// <summary>Hands a device of its host to the guest whole, or takes it back.</summary>
    public Task<IActionResult> OnPostHandOverAsync(string id, string address, string? back) =>
        ChangeAsync(
            lab =>
                lab.Guest(new GuestId(id)) is { Placement.Host: var host }
                    ? KitEdits.HandOver(host, address, string.IsNullOrEmpty(back) ? new GuestId(id) : null)(lab)
                    : throw new Refused("It is on no host yet: place it first, then hand it what is there."),
            then: $"/Wants/Guest/{Uri.EscapeDataString(id)}#devices"
        );

    /// <summary>The devices of its host that a machine could be handed whole, bridges apart; none while it is no machine or on no host.</summary>
    public IEnumerable<PciFunction> Devices =>
        Id is not null && HostNow is { } host && Desk.Lab.Guest(new GuestId(Id)) is { Kind: GuestKind.Machine }
            ? host.Hardware.Functions.Where(f => PciClasses.KindOf(f.ClassCode) != "bridge")
            : [];

    /// <summary>Who has a device of its host whole; null for the host itself.</summary>
    public Guest? Holder(PciFunction device) =>
        HostNow is { } host ? Desk.Lab.GuestsOn(host.Id).FirstOrDefault(g => g.HandedWhole.Contains(device.Address)) : null;

    private Edit Keep(Guest? before, bool place) =>
        lab =>
        {
            var changed = Kept(before, lab);
            var id = before?.Id ?? changed.Lab.Guests[^1].Id;
            // Asked to place it: on the host that takes it best. Where none has room the bench says why.
            return
                place
                && changed.Lab.Guest(id) is { Placement: null, RunsIn: null } guest
                && FitCheck.Best(Sums.Of(changed.Lab), guest) is { } best
                ? new Changed(
                    GuestEdits.Place(id, best.After.Host.Id)(changed.Lab).Lab,
                    $"{changed.Sentence}; it goes on {best.After.Host.Name}"
                )
                : changed;
        };

    private Changed Kept(Guest? before, Lab lab)
    {
        var changed = before is null
            ? GuestEdits.Add(Form.ToGuest(Profiles, null, posted: true))(lab)
            : GuestEdits.Change(before.Id, g => Form.ToGuest(Profiles, g, posted: true))(lab);
        if (Form.OwnEngine is not { } kind)
        {
            return changed;
        }

        var nested = NestingEdits.RunInEngineOfItsOwn(before?.Id ?? changed.Lab.Guests[^1].Id, kind)(changed.Lab);
        return new Changed(nested.Lab, before is null ? $"{changed.Sentence}; {nested.Sentence}" : nested.Sentence);
    }
}
