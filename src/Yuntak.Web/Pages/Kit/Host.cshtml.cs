using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>A host typed in by hand, or corrected; its disks and pools.</summary>
public sealed class HostModel(DeskService desks, LabStore store, TimeProvider clock) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Kit;

    /// <summary>The host; null for a new one.</summary>
    public Host? Host { get; private set; }

    public HostForm Form { get; private set; } = HostForm.Empty;

    public string DiskLinesTyped { get; private set; } = "";

    public string PoolName { get; private set; } = "";

    public string PoolUsed { get; private set; } = "";

    public string PoolLayout { get; private set; } = LabWords.Layouts.Word(Core.Labs.PoolLayout.Mirror);

    public string PoolFamily { get; private set; } = LabWords.Families.Word(Core.Labs.PoolFamily.CopyOnWrite);

    public IReadOnlyList<string> PoolDisks { get; private set; } = [];

    /// <summary>Disks that belong to no pool.</summary>
    public IReadOnlyList<Disk> FreeDisks => [.. Host!.DisksInNoPool];

    /// <summary>The host that a new one is begun from, if any.</summary>
    public Host? Like { get; private set; }

    public IActionResult OnGet(string? id, string? like)
    {
        Like = id is null && like is not null ? Desk.Lab.Host(new HostId(like)) : null;
        if (id is not null && !Find(id))
        {
            return NotFound();
        }

        Form =
            Host is not null ? HostForm.Of(Host)
            : Like is not null ? HostForm.Of(Like).Named("")
            : HostForm.Empty;
        return Page();
    }

    public async Task<IActionResult> OnPostAsync(string? id, string? like, string? disks, bool propose, string[] gone, string? stands)
    {
        Like = id is null && like is not null ? Desk.Lab.Host(new HostId(like)) : null;
        if (id is not null && !Find(id))
        {
            return NotFound();
        }

        Form = HostForm.Read(Request.Form);
        DiskLinesTyped = disks ?? "";
        SaidToStand = stands == "yes";
        var result = await ChangeFromFormAsync(
            Host is not null ? HostEdits.Change(Host.Id, h => KitCorrections.NoteAll(h, Corrected(Form.ToHost(h), gone), clock.Today()))
                : Like is not null ? Copy(Like.Id)
                : Add(propose),
            "/Kit"
        );
        return Host is null && SaidToStand
            ? await StandTooAsync(result, "/Kit", draft => Standing.TakeHost(draft, draft.Hosts[^1].Id))
            : result;
    }

    public async Task<IActionResult> OnPostAddPoolAsync(
        string id,
        string? pool,
        string[] disk,
        string? layout,
        string? family,
        string? used
    )
    {
        if (!Find(id))
        {
            return NotFound();
        }

        Form = HostForm.Of(Host!);
        (PoolName, PoolUsed, PoolLayout, PoolFamily, PoolDisks) = (pool ?? "", used ?? "", layout ?? "", family ?? "", disk);
        return await ChangeFromFormAsync(
            lab =>
                HostEdits.AddPool(
                    Host!.Id,
                    new Pool(
                        PoolName,
                        LabWords.Layouts.Read(layout, "Layout"),
                        LabWords.Families.Read(family, "Family"),
                        [.. disk],
                        Typed.OptionalSize(used, "Already used") ?? default
                    )
                )(lab),
            $"/Kit/Host/{Uri.EscapeDataString(id)}#pools"
        );
    }

    public Task<IActionResult> OnPostRemovePoolAsync(string id, string pool) =>
        ChangeAsync(HostEdits.RemovePool(new HostId(id), pool), then: $"/Kit/Host/{Uri.EscapeDataString(id)}#pools");

    /// <summary>Whether somebody typing a host in says that it runs already.</summary>
    public bool SaidToStand { get; private set; }

    /// <summary>Whether it is there already.</summary>
    public bool Stands => Host is not null && Desk.AsBuilt.Lab.Host(Host.Id) is not null;

    /// <summary>Says that the host stands, or that it is to be built after all.</summary>
    public Task<IActionResult> OnPostStandAsync(string id, string? stands) =>
        StandAsync(
            draft => stands == "no" ? Standing.LetHostGo(new HostId(id)) : Standing.TakeHost(draft, new HostId(id)),
            $"/Kit/Host/{Uri.EscapeDataString(id)}"
        );

    /// <summary>Says that what is on a disk may go, or takes it back.</summary>
    public Task<IActionResult> OnPostWipeAsync(string id, string disk, string? may) =>
        ChangeAsync(KitEdits.MayBeWiped(new HostId(id), disk, may == "no" ? null : clock.Today()), $"/Kit/Host/{Uri.EscapeDataString(id)}");

    public Task<IActionResult> OnPostRemoveAsync(string id) => ChangeAsync(HostEdits.Remove(new HostId(id)), then: "/Kit");

    /// <summary>What stands in the field for a disk's hours.</summary>
    public string Hours(Disk disk) =>
        Request.HasFormContentType && Request.Form.TryGetValue("hours:" + disk.Id, out var typed)
            ? typed.ToString()
            : disk.HoursRun?.ToString("0", CultureInfo.InvariantCulture) ?? "";

    private Edit Add(bool propose) =>
        lab =>
        {
            var host = Form.ToHost(null);
            host = host with { Disks = [.. DiskLines.Read(DiskLinesTyped, Form["name"], [])] };
            host = host with { Pools = propose ? PoolProposal.For(host) : [] };
            return HostEdits.Add(host)(lab);
        };

    /// <summary>A host like another, with what was typed on top.</summary>
    private Edit Copy(HostId like) =>
        lab =>
        {
            var copied = KitEdits.Copy(like, Names.Checked(Form["name"], "host"))(lab);
            var id = copied.Lab.Hosts[^1].Id;
            var typed = HostEdits.Change(
                id,
                h => Form.ToHost(h) with { Disks = [.. h.Disks, .. DiskLines.Read(DiskLinesTyped, h.Name, h.Disks)] }
            )(copied.Lab);
            return copied with { Lab = typed.Lab };
        };

    private Host Corrected(Host host, string[] gone)
    {
        var kept = host
            .Disks.Without(d => gone.Contains(d.Id))
            .Change(_ => true, d => d with { HoursRun = Typed.OptionalNumber(Hours(d), $"Hours run of {d.Name}") });
        var inPool = host.Pools.FirstOrDefault(p => p.DiskIds.Any(gone.Contains));
        if (inPool is not null)
        {
            throw new Refused($"A disk marked as gone belongs to the pool {inPool.Name}. Take that pool apart first, or leave the disk.");
        }

        return host with
        {
            Disks = [.. kept, .. DiskLines.Read(DiskLinesTyped, host.Name, kept)],
        };
    }

    private bool Find(string id)
    {
        Host = Desk.Lab.Host(new HostId(id));
        return Host is not null;
    }
}
