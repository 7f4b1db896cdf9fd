using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Disks;

/// <summary>Disks and pools of every host: what joins what, where the room went, how likely it is lost, when it is full.</summary>
public sealed class IndexModel(DeskService desks, LabStore store, TimeProvider clock) : LabPageModel(desks, store)
{
    private const int Years = 5;

    public override Station? Here => Station.Disks;

    /// <summary>The pool that is open, if any.</summary>
    public PoolBudget? Open { get; private set; }

    /// <summary>The disk that is open, with its host, if any.</summary>
    public (Host Host, Disk Disk)? OpenDisk { get; private set; }

    /// <summary>What was typed about the open pool; kept when it was refused.</summary>
    public PoolForm Form { get; private set; } = null!;

    /// <summary>The day it is.</summary>
    public DateOnly Today => clock.Today();

    /// <summary>Years that a chart of growth shows.</summary>
    public static int YearsShown => Years;

    /// <summary>What the open flash disk is rated for, as typed.</summary>
    [BindProperty(Name = "rated", SupportsGet = true)]
    public string? Rated { get; set; }

    /// <summary>What is written to it a day, as typed.</summary>
    [BindProperty(Name = "daily", SupportsGet = true)]
    public string? Daily { get; set; }

    /// <summary>How much of it is used, as typed.</summary>
    [BindProperty(Name = "used", SupportsGet = true)]
    public string? UsedOfIt { get; set; }

    /// <summary>Its years of warranty, as typed.</summary>
    [BindProperty(Name = "warranty", SupportsGet = true)]
    public string? Warranty { get; set; }

    /// <summary>How long the open flash disk lasts; null while that was not asked.</summary>
    public (double Years, double DriveWrites, double Spare)? Wear { get; private set; }

    /// <summary>Why that cannot be worked out.</summary>
    public string? WearProblem { get; private set; }

    public IActionResult OnGet(string? host, string? pool, string? disk)
    {
        OpenUp(host, pool, disk);
        if (OpenDisk is { } open && !string.IsNullOrWhiteSpace(Rated))
        {
            try
            {
                Wear = WearOf(open.Disk);
            }
            catch (EditRefused refused)
            {
                WearProblem = refused.Message;
            }
        }

        return Page();
    }

    private (double Years, double DriveWrites, double Spare) WearOf(Disk disk)
    {
        var rated = Typed.Size(Rated, "Rated for", Prefixes.Decimal, "TB");
        var daily = Typed.Size(string.IsNullOrWhiteSpace(Daily) ? "40 GB" : Daily, "Written a day", Prefixes.Decimal, "GB");
        var used = string.IsNullOrWhiteSpace(UsedOfIt) ? disk.Size : Typed.Size(UsedOfIt, "Of it used", Prefixes.Decimal, "GB");
        var warranty = Typed.OptionalNumber(Warranty, "Warranty, years") is > 0 and var years ? years : 5;
        return daily == ByteSize.Zero || used == ByteSize.Zero || disk.Size == ByteSize.Zero
            ? throw new EditRefused("Nothing written, or nothing used: it lasts.")
            : (
                FlashWear.Years(rated, daily),
                FlashWear.DriveWritesPerDay(rated, disk.Size, warranty),
                FlashWear.OverProvisioning(disk.Size, used)
            );
    }

    /// <summary>Keeps what was said of a pool.</summary>
    public async Task<IActionResult> OnPostPoolAsync(string host, string pool)
    {
        OpenUp(host, pool, null);
        if (Open is null)
        {
            return NotFound();
        }

        Form = PoolForm.Read(Request.Form);
        return await ChangeFromFormAsync(
            PoolEdits.Change(new HostId(host), pool, Form.ToPool),
            $"/Disks?host={Uri.EscapeDataString(host)}&pool={Uri.EscapeDataString(Form.Name.Trim())}"
        );
    }

    /// <summary>Moves a disk into a pool, or out of the one it is in.</summary>
    public Task<IActionResult> OnPostMoveAsync(string host, string disk, string? pool) =>
        ChangeAsync(PoolEdits.MoveDisk(new HostId(host), disk, string.IsNullOrEmpty(pool) ? null : pool), then: Back(host, "disk", disk));

    /// <summary>Replaces a disk of a pool by another.</summary>
    public Task<IActionResult> OnPostReplaceAsync(string host, string pool, string disk, string? by) =>
        ChangeAsync(
            string.IsNullOrEmpty(by)
                ? _ => throw new EditRefused("Choose the disk that takes its place.")
                : PoolEdits.ReplaceDisk(new HostId(host), pool, disk, by),
            then: Back(host, "pool", pool)
        );

    /// <summary>Makes a pool of a layout that was chosen.</summary>
    public Task<IActionResult> OnPostMakeAsync(string host, string name, string layout, PoolFamily family, string[] disk) =>
        ChangeAsync(
            lab =>
            {
                var (kind, groups) = DiskText.Layout(layout);
                return HostEdits.AddPool(new HostId(host), new Pool(name, kind, family, Ordered(lab, host, disk), Groups: groups))(lab);
            },
            then: Back(host, "pool", name)
        );

    /// <summary>Takes a pool apart.</summary>
    public Task<IActionResult> OnPostApartAsync(string host, string pool) =>
        ChangeAsync(HostEdits.RemovePool(new HostId(host), pool), then: "/Disks");

    /// <summary>Largest first, so that parity of its own goes where it must.</summary>
    private static ValueList<string> Ordered(Lab lab, string host, string[] disks) =>
        [.. disks.OrderByDescending(d => lab.Host(new HostId(host))?.Disks.FirstOrDefault(k => k.Id == d)?.Size ?? default)];

    private static string Back(string host, string what, string id) =>
        $"/Disks?host={Uri.EscapeDataString(host)}&{what}={Uri.EscapeDataString(id)}";

    private void OpenUp(string? host, string? pool, string? disk)
    {
        if (host is null || Desk.Assessment.Host(new HostId(host)) is not { } found)
        {
            return;
        }

        Open = found.Pool(pool);
        if (Open is not null)
        {
            Form = PoolForm.Of(Open.Pool);
        }
        else if (found.Host.Disks.FirstOrDefault(d => d.Id == disk) is { } known)
        {
            OpenDisk = (found.Host, known);
        }
    }
}
