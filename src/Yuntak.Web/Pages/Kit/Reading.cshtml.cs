using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Data;
using Yuntak.Formats.Intake;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Kit;

/// <summary>Shows what was read from a host's own tools, and takes it on as a host.</summary>
public sealed class ReadingModel(DeskService desks, LabStore store, ReadingStore readings) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Kit;

    public long Number { get; private set; }

    public HostReading Reading { get; private set; } = null!;

    public ValueList<Pool> Pools { get; private set; }

    public HostForm Form { get; private set; } = null!;

    public async Task<IActionResult> OnGetAsync(long number)
    {
        if (!await FindAsync(number))
        {
            return NotFound();
        }

        Form = HostForm.Of(Reading);
        return Page();
    }

    public async Task<IActionResult> OnPostAsync(long number, int[] pool)
    {
        if (!await FindAsync(number))
        {
            return NotFound();
        }

        Form = HostForm.Read(Request.Form) with { HasProcessor = Reading.Processor is not null, HasMemory = Reading.Memory is not null };
        return await ChangeFromFormAsync(
            lab =>
            {
                var host = Form.ToHost(null) with { Disks = [.. Reading.Disks], WasRead = true };
                host = host with
                {
                    Processor = Reading.Processor is { } read
                        ? read with
                        {
                            Virtualisation = host.Processor.Virtualisation,
                        }
                        : host.Processor,
                    Memory = Reading.Memory ?? host.Memory,
                };
                var added = HostEdits.Add(host)(lab);
                var id = added.Lab.Hosts[^1].Id;
                var withPools = Pools.Where((_, n) => pool.Contains(n)).Aggregate(added.Lab, (l, p) => HostEdits.AddPool(id, p)(l).Lab);
                return new Changed(withPools, added.Sentence);
            },
            "/Kit"
        );
    }

    private async Task<bool> FindAsync(long number)
    {
        if (await readings.FindAsync(number) is not { } text)
        {
            return false;
        }

        Number = number;
        Reading = IntakeReader.Read(text);
        Pools = PoolProposal.For(Reading.Disks);
        return true;
    }
}
