namespace Yuntak.Core.Labs;

/// <summary>The hosts and guests of a lab by what they are asked for by. Made once for a lab that is asked; of things that are there twice the first counts.</summary>
internal sealed class LabIndex
{
    private readonly Dictionary<HostId, Host> hosts = [];
    private readonly Dictionary<GuestId, Guest> guests = [];
    private readonly ILookup<HostId, Guest> on;
    private readonly ILookup<GuestId, Guest> inside;

    /// <param name="lab">The lab.</param>
    public LabIndex(Lab lab)
    {
        foreach (var host in lab.Hosts)
        {
            hosts.TryAdd(host.Id, host);
        }

        foreach (var guest in lab.Guests)
        {
            guests.TryAdd(guest.Id, guest);
        }

        on = lab.Guests.Where(g => g.Placement is not null).ToLookup(g => g.Placement!.Host);
        inside = lab.Guests.Where(g => g.RunsIn is not null).ToLookup(g => g.RunsIn!.Value);
    }

    public Host? Host(HostId id) => hosts.GetValueOrDefault(id);

    public Guest? Guest(GuestId id) => guests.GetValueOrDefault(id);

    public IEnumerable<Guest> On(HostId id) => on[id];

    public IEnumerable<Guest> In(GuestId id) => inside[id];
}
