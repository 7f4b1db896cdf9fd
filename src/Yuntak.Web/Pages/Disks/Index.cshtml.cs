using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Formats.Intake;
using Yuntak.Web.Pages.Bench;
using Yuntak.Web.Pages.Kit;
using Yuntak.Web.Pages.Runbook;
using Yuntak.Web.Pages.Wants;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Disks;

/// <summary>Disks and pools of every host: what joins what, where the room went, how likely it is lost, when it is full.</summary>
public sealed class IndexModel(DeskService desks, LabStore store, TimeProvider clock) : LabPageModel(desks, store)
{
    private const int Years = 5;

    public override Station? Here => Station.Disks;

    /// <summary>The part of the hosts that is asked for.</summary>
    [BindProperty(Name = "part", SupportsGet = true)]
    public int? Part { get; set; }

    /// <summary>Which hosts are shown.</summary>
    public Paging Parts => Paging.OfHosts(Desk.Lab, Part, Request);

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
            catch (Refused refused)
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
            ? throw new Refused("Nothing written, or nothing used: it lasts.")
            : (
                FlashWear.Years(rated, daily),
                FlashWear.DriveWritesPerDay(rated, disk.Size, warranty),
                FlashWear.OverProvisioning(disk.Size, used)
            );
    }

    /// <summary>Keeps what was said of a pool.</summary>
    /// <param name="host">The host.</param>
    /// <param name="pool">The pool's name so far.</param>
    /// <param name="isSo">Whether it is so already: then what stands is set right too, and no step comes of it.</param>
    public async Task<IActionResult> OnPostPoolAsync(string host, string pool, [FromForm(Name = "is-so")] bool isSo)
    {
        OpenUp(host, pool, null);
        if (Open is null)
        {
            return NotFound();
        }

        Form = PoolForm.Read(Request.Form);
        var then = $"/Disks?host={Uri.EscapeDataString(host)}&pool={Uri.EscapeDataString(Form["name"].Trim())}";
        var result = await ChangeFromFormAsync(PoolEdits.Change(new HostId(host), pool, Form.ToPool, correcting: isSo), then);
        return isSo
            ? await StandTooAsync(result, then, draft => Standing.CorrectPool(draft, new HostId(host), pool, Names.Clean(Form["name"])))
            : result;
    }

    /// <summary>Moves a disk into a pool, or out of the one it is in.</summary>
    public Task<IActionResult> OnPostMoveAsync(string host, string disk, string? pool) =>
        ChangeAsync(PoolEdits.MoveDisk(new HostId(host), disk, string.IsNullOrEmpty(pool) ? null : pool), then: Back(host, "disk", disk));

    /// <summary>Replaces a disk of a pool by another.</summary>
    public Task<IActionResult> OnPostReplaceAsync(string host, string pool, string disk, string? by) =>
        ChangeAsync(
            string.IsNullOrEmpty(by)
                ? _ => throw new Refused("Choose the disk that takes its place.")
                : PoolEdits.ReplaceDisk(new HostId(host), pool, disk, by),
            then: Back(host, "pool", pool)
        );

    /// <summary>Makes a pool of a layout that was chosen.</summary>
    /// <param name="host">The host.</param>
    /// <param name="name">What it is to be called.</param>
    /// <param name="layout">The layout as the chooser writes it.</param>
    /// <param name="family">The family's word.</param>
    /// <param name="disk">Its disks.</param>
    /// <param name="age">The age of its disks as it was typed into the chooser.</param>
    /// <param name="spare">Whether a spare lies ready, as the chooser was told.</param>
    public Task<IActionResult> OnPostMakeAsync(
        string host,
        string name,
        string layout,
        string family,
        string[] disk,
        string? age,
        [FromForm(Name = "spare")] bool spare
    ) =>
        ChangeAsync(
            lab =>
            {
                var (kind, groups) = DiskText.Layout(layout);
                var pool = new Pool(name, kind, LabWords.Families.Read(family, "Family"), Ordered(lab, host, disk), Groups: groups)
                {
                    AgeYears = Typed.OptionalNumber(age, "Their age"),
                    SpareReady = spare,
                };
                return HostEdits.AddPool(new HostId(host), pool)(lab);
            },
            then: Back(host, "pool", name)
        );

    /// <summary>Shares a folder of a pool between guests.</summary>
    public Task<IActionResult> OnPostShareAsync(
        string host,
        string pool,
        string name,
        string size,
        string path,
        string[] guest,
        string[] writes,
        string? owner
    ) =>
        ChangeAsync(
            lab =>
                guest.Length == 0
                    ? throw new Refused("Say which guests use the folder.")
                    : FolderEdits.Add(
                        new SharedFolder(
                            name,
                            new HostId(host),
                            pool,
                            Typed.Size(size, "What is in it", Prefixes.Decimal, "GB"),
                            [.. guest.Distinct().Select(g => new FolderUse(new GuestId(g), path.Trim(), writes.Contains(g)))],
                            string.IsNullOrEmpty(owner) ? null : new GuestId(owner)
                        )
                    )(lab),
            then: Back(host, "pool", pool)
        );

    /// <summary>Shares a folder no longer.</summary>
    public Task<IActionResult> OnPostUnshareAsync(string host, string pool, string folder) =>
        ChangeAsync(FolderEdits.Remove(folder), then: Back(host, "pool", pool));

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
