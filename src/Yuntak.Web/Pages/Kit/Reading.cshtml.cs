using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>Shows what was read from a host's own tools: for a host that is there, what that changes; else takes it on as a new one.</summary>
public sealed class ReadingModel(DeskService desks, LabStore store, ReadingDesk readings) : LabPageModel(desks, store)
{
    private const string New = "new";

    public override Station? Here => Station.Kit;

    public long Number { get; private set; }

    public HostReading Reading { get; private set; } = null!;

    public ValueList<Pool> Pools { get; private set; }

    /// <summary>How many of the pools, the first ones, were found as they are.</summary>
    public int Found { get; private set; }

    /// <summary>How a pool shares its data out: as somebody chose on the form, else as it was found.</summary>
    public PoolLayout LayoutOf(int pool) =>
        Request.HasFormContentType && LabWords.Layouts.TryRead(Request.Form[$"layout:{pool}"].ToString(), out var said)
            ? said
            : Pools[pool].Layout;

    public HostForm Form { get; private set; } = null!;

    /// <summary>Whether the host runs already. One that is read from its own tools does, unless somebody says otherwise.</summary>
    public bool Stands { get; private set; } = true;

    /// <summary>What it changes of the host it is of; null for a new host.</summary>
    public HostUpdate? Update { get; private set; }

    public async Task<IActionResult> OnGetAsync(long number, string? host)
    {
        if (!await FindAsync(number, host))
        {
            return NotFound();
        }

        Form = HostForm.Of(Reading);
        return Page();
    }

    /// <summary>Takes it on as a new host.</summary>
    public async Task<IActionResult> OnPostAsync(long number, int[] pool, string? stands)
    {
        if (!await FindAsync(number, New))
        {
            return NotFound();
        }

        Form = HostForm.Read(Request.Form, Reading);
        Stands = stands != "no";
        string? taken = null;
        var result = await ChangeFromFormAsync(
            lab =>
            {
                var typed = Form.ToHost(null);
                var read = NewHost.From(Reading, typed.Name, typed.Processor, typed.Memory);
                var host = read with
                {
                    Description = typed.Description,
                    Processor = read.Processor with { Virtualisation = typed.Processor.Virtualisation },
                    NetworkPorts = typed.NetworkPorts,
                    BatteryBackup = typed.BatteryBackup,
                    AddressFixed = typed.AddressFixed,
                    PowersOn = typed.PowersOn,
                    IdleWatts = typed.IdleWatts,
                    FullWatts = typed.FullWatts,
                    Type = typed.Type,
                    BaseMemory = typed.BaseMemory,
                    SystemShare = typed.SystemShare,
                    CoreSpeed = typed.CoreSpeed,
                    Encoder = typed.Encoder,
                };
                var added = HostEdits.Add(host)(lab);
                var id = added.Lab.Hosts[^1].Id;
                taken = id.Value;
                var withPools = Pools
                    .Select((p, n) => p with { Layout = LayoutOf(n) })
                    .Where((_, n) => pool.Contains(n))
                    .Aggregate(added.Lab, (l, p) => HostEdits.AddPool(id, p)(l).Lab);
                return new Changed(withPools, added.Sentence);
            },
            "/Kit"
        );
        // Who has taken a host on that runs says next what runs on it.
        return Stands
            ? await StandTooAsync(
                result,
                "/Kit",
                draft => Standing.TakeHost(draft, draft.Hosts[^1].Id),
                $"/Kit/TakeOver/{Uri.EscapeDataString(taken ?? "")}"
            )
            : result;
    }

    /// <summary>Accepts it for the host it is of.</summary>
    public async Task<IActionResult> OnPostAcceptAsync(long number, string host) =>
        await readings.FindAsync(number) is { } reading ? await AcceptAsync(new HostId(host), reading) : NotFound();

    private async Task<IActionResult> AcceptAsync(HostId host, HostReading reading)
    {
        List<string> found = [];
        var then = "/Kit#kit-board-" + Uri.EscapeDataString(host.Value);
        var stands = Desk.AsBuilt.Lab.Host(host) is not null;
        var result = await ChangeAsync(
            lab =>
            {
                var accepted = KitEdits.Accept(host, reading)(lab);
                found = stands && accepted.Lab.Host(host) is { } read ? [.. TakeOverEdits.NewPools(read).Select(p => p.Name)] : [];
                return found.Count == 0 ? accepted : accepted with { Lab = TakeOverEdits.TakePools(host)(accepted.Lab).Lab };
            },
            then
        );
        // What is found on a host that stands is there too; no step is to make it.
        return found.Count > 0 ? await StandTooAsync(result, then, draft => Standing.TakePools(draft, host, found)) : result;
    }

    private async Task<bool> FindAsync(long number, string? host)
    {
        if (await readings.FindAsync(number) is not { } reading)
        {
            return false;
        }

        (Number, Reading) = (number, reading);
        var of =
            host == New ? null
            : host is null ? HostMatch.Find(Desk.Lab, reading)
            : Desk.Lab.Host(new HostId(host));
        Update = of is null ? null : HostUpdate.Of(Desk.Assessment, of, reading);
        // What was read alone makes no host; its disks and what was found on them are enough for pools.
        var begun = HostShapes.Host.Blank with
        {
            Disks = [.. Reading.Disks],
            Inside = Reading.Hardware,
        };
        Found = PoolProposal.Found(begun).Count;
        Pools = PoolProposal.For(begun);
        return true;
    }
}
