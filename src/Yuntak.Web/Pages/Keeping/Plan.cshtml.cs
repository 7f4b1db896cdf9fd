using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.WebUtilities;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Keeping;

/// <summary>Stores, jobs and onward copies: where copies lie, what is copied, when, and how full it gets.</summary>
public sealed class PlanModel(DeskService desks, LabStore store) : KeepingPageModel(desks, store)
{
    /// <summary>With more stores than that only the one that is open shows how it fills.</summary>
    public const int MostCurves = 6;

    private const int RowsAtOnce = 80;

    /// <summary>The store that is open; null for none.</summary>
    public StoreSums? OpenStore { get; private set; }

    /// <summary>The job that is open; null for none.</summary>
    public JobSums? OpenJob { get; private set; }

    /// <summary>Where the layout chooser answers for so much room, with disks as they are sold, one failure survived.</summary>
    public static string WhatToBuy(ByteSize needed) =>
        QueryHelpers.AddQueryString(
            "/Disks/Layouts",
            SoldDisks
                .Worth(needed)
                .Select((size, n) => KeyValuePair.Create($"offer-{n}-size", (string?)Terabytes(size)))
                .Append(new("need", Terabytes(needed)))
                .Append(new("survives", "1"))
        );

    private static string Terabytes(ByteSize size) => FormattableString.Invariant($"{Math.Ceiling(size.Bytes / 1e11) / 10}TB");

    /// <summary>The onward copy that is open; null for none.</summary>
    public OnwardSums? OpenOnward { get; private set; }

    /// <summary>The part of the volumes that is shown.</summary>
    public Paging Parts { get; private set; } = null!;

    /// <summary>Whether stores, jobs or onward copies of the draft differ from what stands.</summary>
    public bool Differs =>
        Desk.AsBuilt.Lab.Hosts.Count > 0
        && (
            Desk.Lab.Stores != Desk.AsBuilt.Lab.Stores
            || Desk.Lab.Jobs != Desk.AsBuilt.Lab.Jobs
            || Desk.Lab.Onward != Desk.AsBuilt.Lab.Onward
        );

    public IActionResult OnGet(string? store, string? job, string? onward, int? part)
    {
        OpenStore = House.Stores.FirstOrDefault(s => s.Store.Name == store);
        OpenJob = OpenStore is null ? House.Jobs.FirstOrDefault(j => j.Job.Name == job) : null;
        OpenOnward = OpenStore is null && OpenJob is null ? House.Onward.FirstOrDefault(o => o.Onward.Key == onward) : null;
        Parts = Paging.Of(House.Volumes.Count, RowsAtOnce, part, "volumes");
        return Page();
    }

    /// <summary>Plans a store, or changes one.</summary>
    public Task<IActionResult> OnPostStoreAsync(string? was, string? lies, string? keysAt) =>
        ChangeAsync(
            lab => KeepingEdits.Store(Typed(lab, was, lies, keysAt), string.IsNullOrEmpty(was) ? null : was)(lab),
            $"/Keeping/Plan?store={Escaped(Names.Clean(Form["name"]))}"
        );

    /// <summary>Takes a store out.</summary>
    public Task<IActionResult> OnPostRemoveStoreAsync(string was) => ChangeAsync(KeepingEdits.RemoveStore(was), "/Keeping/Plan");

    /// <summary>Plans a job, or changes one.</summary>
    public Task<IActionResult> OnPostJobAsync(string? was) =>
        ChangeAsync(
            lab =>
                KeepingEdits.Job(
                    Form.Into(JobShapes.Job, lab.Jobs.FirstOrDefault(j => j.Name == was) ?? JobShapes.Job.Blank),
                    string.IsNullOrEmpty(was) ? null : was
                )(lab),
            $"/Keeping/Plan?job={Escaped(Names.Clean(Form["name"]))}#takes"
        );

    /// <summary>Takes a job out.</summary>
    public Task<IActionResult> OnPostRemoveJobAsync(string was) => ChangeAsync(KeepingEdits.RemoveJob(was), "/Keeping/Plan");

    /// <summary>Ticks what a job takes, of what was shown.</summary>
    public Task<IActionResult> OnPostTakesAsync(string job, string[]? shown, string[]? ticked, string?[]? why, string? part) =>
        ChangeAsync(
            Ticks.Of(House, job, shown ?? [], ticked ?? [], why ?? []),
            $"/Keeping/Plan?job={Escaped(job)}{(part is null ? "" : $"&part={Escaped(part)}")}#takes"
        );

    /// <summary>Plans an onward copy, or changes one.</summary>
    public Task<IActionResult> OnPostOnwardAsync(string? was) =>
        ChangeAsync(
            lab =>
                KeepingEdits.Onward(
                    Form.Into(OnwardShapes.Onward, lab.Onward.FirstOrDefault(o => o.Key == was) ?? OnwardShapes.Onward.Blank),
                    string.IsNullOrEmpty(was) ? null : was
                )(lab),
            "/Keeping/Plan"
        );

    /// <summary>Takes an onward copy out.</summary>
    public Task<IActionResult> OnPostRemoveOnwardAsync(string was) => ChangeAsync(KeepingEdits.RemoveOnward(was), "/Keeping/Plan");

    /// <summary>Says that stores, jobs and onward copies are so already.</summary>
    public Task<IActionResult> OnPostStandsAsync() => StandAsync(draft => Standing.TakeKeeping(draft), "/Keeping/Plan");

    /// <summary>Where a store lies, as one word of the form.</summary>
    public static string Lies(Store? store) =>
        store is null ? ""
        : store.Guest is { } guest ? $"guest:{guest.Value}"
        : store.Box is { } box ? $"box:{box}"
        : store.Carried ? $"carried:{store.Host?.Value}"
        : store.Host is { } host ? $"pool:{Uri.EscapeDataString(host.Value)}/{store.Pool}"
        : "far";

    private Store Typed(Lab lab, string? was, string? lies, string? keysAt)
    {
        var before = lab.Stores.FirstOrDefault(s => s.Name == was) ?? StoreShapes.Store.Blank;
        var typed = Form.Into(
            StoreShapes.Store,
            before,
            ["guest", "host", "pool", "box", "carried", "deduplicates", "encrypted", "unchangeable", "checks-new"]
        ) with
        {
            Deduplicates = Form["deduplicates"] == "true",
            Encrypted = Form["encrypted"] == "true",
            Unchangeable = Form["unchangeable"] == "true",
            ChecksNew = Form["checks-new"] == "true",
            Keys = [.. (keysAt ?? "").Split(';', ',').Select(Names.Clean).Where(k => k.Length > 0)],
            Guest = null,
            Host = null,
            Pool = null,
            Box = null,
            Carried = false,
        };
        var (kind, rest) = (lies ?? "").Split(':', 2) is [var k, var r] ? (k, r) : (lies ?? "", "");
        return kind switch
        {
            "guest" => typed with { Guest = new GuestId(rest) },
            "box" => typed with { Box = rest },
            "carried" => typed with { Carried = true, Host = rest.Length > 0 ? new HostId(rest) : null },
            "pool" when rest.Split('/', 2) is [var host, var pool] => typed with
            {
                Host = new HostId(Uri.UnescapeDataString(host)),
                Pool = pool,
            },
            _ => typed,
        };
    }
}
