using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices;

/// <summary>
/// Ways and devices for all claims of a lab at once, so that nothing clashes. What is chosen already stays while it can; then as many claims as can be are met, said ones
/// before those a profile brings along; then as little as can be goes along, and as little memory as can be is pinned.
/// </summary>
/// <param name="Met">The claims that are met, each with its device and way, host by host.</param>
/// <param name="Unmet">The claims that cannot be.</param>
/// <param name="Optimal">Whether it is proven that nothing better is to be had.</param>
public sealed record DeviceAssignment(IReadOnlyList<ClaimVerdict> Met, IReadOnlyList<UnmetClaim> Unmet, bool Optimal)
{
    /// <summary>The open claims it meets, without those that would clash with a chosen claim that cannot be met: who has it says first what becomes of that.</summary>
    public IReadOnlyList<ClaimVerdict> ToTake { get; private init; } = [];

    /// <summary>The assignment for all hosts of a lab.</summary>
    public static DeviceAssignment Of(Lab lab) => Of(lab, [.. lab.Hosts.Select(h => new HostDevices(lab, h))]);

    /// <summary>The assignment for hosts whose devices were looked into already. Devices never leave their host, so each host is a matter of its own.</summary>
    public static DeviceAssignment Of(Lab lab, IReadOnlyList<HostDevices> hosts)
    {
        List<ClaimVerdict> met = [];
        List<UnmetClaim> unmet = [];
        List<ClaimVerdict> toTake = [];
        var optimal = true;
        foreach (var host in hosts.Where(h => h.Check.Asked.Count > 0))
        {
            var choice = ClaimChoice.Of(host.Check);
            optimal &= choice.Optimal;
            met.AddRange(choice.Chosen.OfType<ClaimVerdict>());
            var open = host.Check.Asked.Where((_, n) => choice.Chosen[n] is null).ToList();
            toTake.AddRange(host.Check.FitBeside(choice.Chosen.OfType<ClaimVerdict>().Where(v => !v.Asked!.Claim.Chosen)));
            if (open.Count > 0)
            {
                var change = new SmallestChange(Without(With(lab, choice.Chosen.OfType<ClaimVerdict>()), open), host.Map, hosts);
                unmet.AddRange(open.Select(change.For));
            }
        }

        return new DeviceAssignment(met, unmet, optimal) { ToTake = toTake };
    }

    /// <summary>The part of it that is about some hosts.</summary>
    public DeviceAssignment On(IEnumerable<HostId> hosts)
    {
        var wanted = hosts.ToHashSet();
        return this with
        {
            Met = [.. Met.Where(v => wanted.Contains(v.Host))],
            Unmet = [.. Unmet.Where(u => wanted.Contains(u.Host.Id))],
            ToTake = [.. ToTake.Where(v => wanted.Contains(v.Host))],
        };
    }

    /// <summary>The lab without claims that cannot be met: what was chosen and cannot be had holds nothing.</summary>
    private static Lab Without(Lab lab, List<AskedClaim> unmet) =>
        unmet.Aggregate(lab, (l, asked) => l.WithGuest(asked.Guest.Id, g => ClaimTaking.Without(g, asked)));

    /// <summary>The lab with claims chosen as they were assigned.</summary>
    internal static Lab With(Lab lab, IEnumerable<ClaimVerdict> met) =>
        met.GroupBy(v => v.Guest.Id)
            .Aggregate(
                lab,
                (l, of) =>
                    l.WithGuest(of.Key, g => of.Aggregate(g, (guest, v) => ClaimTaking.Taken(guest, v.Asked!, v.Way!.Value, v.Device!)))
            );
}
