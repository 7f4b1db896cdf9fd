using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>A host that stands gets other parts. What was read from its own tools since is there already and is no work.</summary>
/// <param name="Before">The host as it stands.</param>
/// <param name="After">The host as it is planned.</param>
internal sealed record FitHost(Host Before, Host After) : Work
{
    /// <inheritdoc/>
    public override string Key => $"fit-host/{After.Id}";

    /// <inheritdoc/>
    public override HostId? Host => After.Id;

    /// <summary>The hosts whose parts differ.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .Draft.Hosts.Select(after => (Before: plan.AsBuilt.Host(after.Id), After: after))
            .Where(pair => pair.Before is not null)
            .Select(pair => new FitHost(pair.Before!, pair.After))
            .Where(work => work.Acts(plan).Count > 0);

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Fit {After.Name} out";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) =>
        After.Memory < Before.Memory || After.Processor.Threads < Before.Processor.Threads
            ? Runbooks.Phase.HostShrinks
            : Runbooks.Phase.HostGrows;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        ValueList<GuestId> guests = [.. plan.AsBuilt.GuestsOn(After.Id).Select(g => g.Id)];
        List<Act> acts = [];
        if (Before.Memory != After.Memory && !Known.ReadSince(Before, After, KitParts.Memory))
        {
            acts.Add(new FitMemory(After.Id, After.Memory, guests));
        }

        if (!HostShapes.Processor.SameButKnown(Before.Processor, After.Processor) && !Known.ReadSince(Before, After, KitParts.Processor))
        {
            acts.Add(new FitProcessor(After.Id, After.Processor, guests));
        }

        if (!Known.ReadSince(Before, After, KitParts.Disks))
        {
            acts.AddRange(NewDisks.Select(d => new FitDisk(After.Id, d.Id)));
            acts.AddRange(OldDisks.Select(d => new TakeDiskOut(After.Id, d.Id)));
        }

        return acts;
    }

    /// <summary>Disks that come and go into no pool; those that do come with their pool.</summary>
    private IEnumerable<Disk> NewDisks => After.DisksInNoPool.Where(d => Before.Disks.All(b => b.Id != d.Id));

    /// <summary>Disks that go and are in no pool; those that are leave with their pool.</summary>
    private IEnumerable<Disk> OldDisks => Before.DisksInNoPool.Where(d => After.Disks.All(a => a.Id != d.Id));

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan)
    {
        var fresh = NewDisks.ToList();
        var gone = OldDisks.Select(d => d.Id).ToHashSet(StringComparer.Ordinal);
        return stands.WithHost(
            After.Id,
            h =>
                h with
                {
                    Memory = After.Memory,
                    Processor = After.Processor,
                    Disks = [.. h.Disks.Where(d => !gone.Contains(d.Id)), .. fresh.Where(f => h.Disks.All(d => d.Id != f.Id))],
                }
        );
    }
}
