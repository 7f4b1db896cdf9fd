using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>A host typed in by hand, or corrected; its disks and pools.</summary>
public sealed class HostModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Kit;

    /// <summary>The host; null for a new one.</summary>
    public Host? Host { get; private set; }

    public HostForm Form { get; private set; } = HostForm.Empty;

    public string DiskLines { get; private set; } = "";

    public string PoolName { get; private set; } = "";

    public string PoolUsed { get; private set; } = "";

    public PoolLayout PoolLayout { get; private set; } = PoolLayout.Mirror;

    public PoolFamily PoolFamily { get; private set; } = PoolFamily.CopyOnWrite;

    public IReadOnlyList<string> PoolDisks { get; private set; } = [];

    /// <summary>Disks that belong to no pool.</summary>
    public IReadOnlyList<Disk> FreeDisks => [.. Host!.Disks.Where(d => Host.Pools.All(p => !p.DiskIds.Contains(d.Id)))];

    public IActionResult OnGet(string? id)
    {
        if (id is not null && !Find(id))
        {
            return NotFound();
        }

        Form = Host is null ? HostForm.Empty : HostForm.Of(Host);
        return Page();
    }

    public async Task<IActionResult> OnPostAsync(string? id, string? disks, bool propose, string[] gone)
    {
        if (id is not null && !Find(id))
        {
            return NotFound();
        }

        Form = HostForm.Read(Request.Form);
        DiskLines = disks ?? "";
        return await ChangeFromFormAsync(
            Host is null ? Add(propose) : HostEdits.Change(Host.Id, h => Corrected(Form.ToHost(h), gone)),
            "/Kit"
        );
    }

    public async Task<IActionResult> OnPostAddPoolAsync(
        string id,
        string? pool,
        string[] disk,
        PoolLayout layout,
        PoolFamily family,
        string? used
    )
    {
        if (!Find(id))
        {
            return NotFound();
        }

        Form = HostForm.Of(Host!);
        (PoolName, PoolUsed, PoolLayout, PoolFamily, PoolDisks) = (pool ?? "", used ?? "", layout, family, disk);
        return await ChangeFromFormAsync(
            lab =>
                HostEdits.AddPool(
                    Host!.Id,
                    new Pool(PoolName, layout, family, [.. disk], Typed.OptionalSize(used, "Already used") ?? default)
                )(lab),
            $"/Kit/Host/{Uri.EscapeDataString(id)}#pools"
        );
    }

    public Task<IActionResult> OnPostRemovePoolAsync(string id, string pool) =>
        ChangeAsync(HostEdits.RemovePool(new HostId(id), pool), then: $"/Kit/Host/{Uri.EscapeDataString(id)}#pools");

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
            host = host with { Disks = [.. DiskText.Read(DiskLines, Form.Name, [])] };
            host = host with { Pools = propose ? PoolProposal.For(host.Disks) : [] };
            return HostEdits.Add(host)(lab);
        };

    private Host Corrected(Host host, string[] gone)
    {
        var kept = host
            .Disks.Without(d => gone.Contains(d.Id))
            .Change(_ => true, d => d with { HoursRun = Typed.OptionalNumber(Hours(d), $"Hours run of {d.Name}") });
        var inPool = host.Pools.FirstOrDefault(p => p.DiskIds.Any(gone.Contains));
        if (inPool is not null)
        {
            throw new EditRefused(
                $"A disk marked as gone belongs to the pool {inPool.Name}. Take that pool apart first, or leave the disk."
            );
        }

        return host with
        {
            Disks = [.. kept, .. DiskText.Read(DiskLines, host.Name, kept)],
        };
    }

    private bool Find(string id)
    {
        Host = Desk.Lab.Host(new HostId(id));
        return Host is not null;
    }
}
