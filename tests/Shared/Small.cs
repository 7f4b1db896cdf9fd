using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Tests;

/// <summary>Small labs for tests, built with the same edits as on screen.</summary>
internal static class Small
{
    /// <summary>A host with a boot disk and one flash pool.</summary>
    public static Host Host(string name, double gib = 16, int cores = 4, int threads = 8, double poolTB = 2) =>
        new(
            new HostId(name),
            name,
            "",
            new HostFacts(
                new Processor("x86_64", 1, cores, threads, true),
                ByteSize.FromGiB(gib),
                [
                    new Disk($"{name}-boot", "sda", ByteSize.FromGB(240), DiskKind.SataFlash, ["/"]),
                    new Disk($"{name}-data", "nvme0n1", ByteSize.FromTB(poolTB), DiskKind.NvmeFlash),
                ],
                NetworkPorts: 2,
                BatteryBackup: true
            ),
            new HostPlan([new Pool("ember", PoolLayout.Single, PoolFamily.BlockArray, [$"{name}-data"])])
        );

    /// <summary>A guest with one want.</summary>
    public static Guest Guest(string name, string profile = "wiki", GuestKind kind = GuestKind.Machine, params LoadValue[] load) =>
        new(
            new GuestId(name),
            name,
            kind,
            [new Want(profile, [.. load])],
            SizeOverrides.None,
            Folders: kind == GuestKind.AppStack ? [new FolderMount($"/srv/{name}", "/data")] : []
        );

    /// <summary>The size of a guest by the profiles that come with Yuntak.</summary>
    public static Sizing Size(Guest guest) => Sizing.Of(guest, ProfileBook.Standard);

    /// <summary>A lab of these hosts, with nobody on them.</summary>
    public static Lab Lab(params Host[] hosts) =>
        hosts.Aggregate(Core.Labs.Lab.Empty("test lab"), (lab, host) => lab.With(HostEdits.Add(host)));

    /// <summary>The lab with disks pulled out of its first host.</summary>
    public static Lab Losing(this Lab lab, params string[] disks) =>
        lab.WithHost(lab.Hosts[0].Id, h => h with { Disks = h.Disks.Without(d => disks.Contains(d.Id)) });

    /// <summary>The lab after an edit.</summary>
    public static Lab With(this Lab lab, Edit edit) => edit(lab).Lab;

    /// <summary>The lab with a guest added and put on a host.</summary>
    public static Lab WithGuestOn(this Lab lab, Guest guest, string host) =>
        lab.With(GuestEdits.Add(guest with { Placement = null }))
            .With(GuestEdits.Place(new GuestId(Names.Slug(guest.Name)), new HostId(host)));

    /// <summary>The findings of one rule; of those about the way to the plan, from what the lab marks as standing.</summary>
    public static IReadOnlyList<Finding> Findings(this Lab lab, string rule)
    {
        var plain = Assessment.Of(lab, Copied.Today);
        return
        [
            .. (rule.StartsWith("runbook.", StringComparison.Ordinal) ? plain.From(Core.Runbooks.Standing.Of(lab)) : plain).Findings.Where(
                f => f.Rule.Id == rule
            ),
        ];
    }

    /// <summary>The one finding of a rule.</summary>
    public static Finding Finding(this Lab lab, string rule) => lab.Findings(rule).Single();
}
