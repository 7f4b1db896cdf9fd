using System.Collections.Immutable;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>
/// Simulated hosts with the guests on them. They take what the acts of a runbook do and refuse as real ones would; there is no process, no file and no clock behind
/// them. Whatever is lost is written down and never comes back by itself.
/// </summary>
internal sealed partial class SimHouse
{
    private readonly Dictionary<HostId, SimHost> hosts = [];
    private readonly Dictionary<GuestId, SimGuest> guests = [];
    private readonly Dictionary<GuestId, ImmutableList<GuestId>> inside = [];
    private readonly HashSet<GuestId> down = [];
    private readonly Dictionary<(HostId Host, string Pool), SimVolume> parked = [];

    /// <summary>Folders that are exported, by name, as they are.</summary>
    public ImmutableDictionary<string, NetworkShare> Shares { get; set; } = ImmutableDictionary<string, NetworkShare>.Empty;

    /// <summary>Ways in from outside that are open.</summary>
    public ImmutableHashSet<Forward> Ways { get; set; } = [];

    /// <summary>What is reserved where addresses are handed out.</summary>
    public ImmutableHashSet<Reservation> Reserved { get; set; } = [];

    /// <summary>Stores, jobs and onward copies, by what they are called, as they are set up.</summary>
    public ImmutableDictionary<string, string> Kept { get; set; } = ImmutableDictionary<string, string>.Empty;

    /// <summary>What was done about copies that leaves nothing set up: first copies, keys laid away, drills.</summary>
    public ImmutableHashSet<string> Tried { get; set; } = [];

    /// <summary>Shares whose exporter does not answer.</summary>
    public ImmutableHashSet<string> SharesAway { get; set; } = [];

    /// <summary>Addresses that something nobody planned answers at.</summary>
    public ImmutableHashSet<string> TakenAddresses { get; set; } = [];

    /// <summary>What was lost, a line each; empty as long as nobody came to harm.</summary>
    public ImmutableList<string> Lost { get; set; } = [];

    /// <summary>The disk somebody has before them in place of the one that is named; null for the one named.</summary>
    public string? WrongDisk { get; set; }

    /// <summary>The guests that served when the work began and do not run now.</summary>
    public IReadOnlySet<GuestId> Down => down;

    /// <summary>All hosts.</summary>
    public IEnumerable<SimHost> Hosts => hosts.Values;

    /// <summary>All guests.</summary>
    public IEnumerable<SimGuest> Guests => guests.Values;

    /// <summary>The same, to go ahead on without changing this.</summary>
    public SimHouse Copy()
    {
        var copy = new SimHouse
        {
            Shares = Shares,
            Ways = Ways,
            Reserved = Reserved,
            Kept = Kept,
            Tried = Tried,
            SharesAway = SharesAway,
            TakenAddresses = TakenAddresses,
            Lost = Lost,
            WrongDisk = WrongDisk,
        };
        foreach (var (id, host) in hosts)
        {
            copy.hosts[id] = host.Copy();
        }

        foreach (var (id, guest) in guests)
        {
            copy.guests[id] = guest.Copy();
        }

        foreach (var (id, list) in inside)
        {
            copy.inside[id] = list;
        }

        foreach (var (pool, volume) in parked)
        {
            copy.parked[pool] = volume;
        }

        copy.down.UnionWith(down);
        return copy;
    }

    /// <summary>A host, if it is there.</summary>
    public SimHost? HostIf(HostId? id) => id is { } known ? hosts.GetValueOrDefault(known) : null;

    /// <summary>A host.</summary>
    /// <exception cref="HostRefuses">It is not there, or has no power.</exception>
    public SimHost Host(HostId? id)
    {
        var host = HostIf(id) ?? throw new HostRefuses($"No host answers under the name {id?.Value ?? "(none)"}.");
        return host.On ? host : throw new HostRefuses($"{host.Name} does not answer: it has no power.");
    }

    /// <summary>A guest, if it is on a list.</summary>
    public SimGuest? GuestIf(GuestId id) => guests.GetValueOrDefault(id);

    /// <summary>A guest.</summary>
    /// <exception cref="HostRefuses">No host has it on its list.</exception>
    public SimGuest Guest(GuestId id) => GuestIf(id) ?? throw new HostRefuses($"No guest of that name is on the list: {id.Value}.");

    /// <summary>A pool of a host.</summary>
    /// <exception cref="HostRefuses">The host or the pool is not there.</exception>
    public SimPool Pool(HostId host, string pool) =>
        Host(host).Pools.GetValueOrDefault(pool) ?? throw new HostRefuses($"{Host(host).Name} has no pool called {pool}.");

    /// <summary>The guests whose engine a guest is.</summary>
    public IEnumerable<SimGuest> Inside(GuestId id) => inside.GetValueOrDefault(id, []).Select(g => guests[g]);

    /// <summary>A host is there from now on.</summary>
    public void Join(SimHost host) => hosts.TryAdd(host.Id, host);

    /// <summary>A host is gone.</summary>
    /// <exception cref="HostRefuses">Somebody is on it.</exception>
    public void Leave(HostId id)
    {
        if (guests.Values.FirstOrDefault(g => g.Host == id) is { } left)
        {
            throw new HostRefuses($"{left.Figures.Name} is still on {Host(id).Name}.");
        }

        hosts.Remove(id);
    }

    /// <summary>Something is gone for good.</summary>
    public void Lose(string what) => Lost = Lost.Add(what);

    private void Add(SimGuest guest)
    {
        guests[guest.Id] = guest;
        Enter(guest);
    }

    private void Enter(SimGuest guest)
    {
        if (guest.Figures.RunsIn is { } outer)
        {
            inside[outer] = inside.GetValueOrDefault(outer, []).Add(guest.Id);
        }
    }

    private void Exit(SimGuest guest)
    {
        if (guest.Figures.RunsIn is { } outer && inside.TryGetValue(outer, out var list))
        {
            inside[outer] = list.Remove(guest.Id);
        }
    }

    /// <summary>Takes room of a pool.</summary>
    /// <exception cref="HostRefuses">There is not as much.</exception>
    private SimVolume Take(HostId host, string pool, ByteSize size, int written)
    {
        var there = Pool(host, pool);
        if (size > there.Free && size > ByteSize.Zero)
        {
            throw new HostRefuses($"No space left on device: {size} wanted in {pool}, {there.Free} are free.");
        }

        there.Used += size;
        return new(host, pool, size, written);
    }

    private void Give(SimVolume? volume)
    {
        if (volume is not null && HostIf(volume.Host)?.Pools.GetValueOrDefault(volume.Pool) is { } pool)
        {
            pool.Used -= volume.Size;
        }
    }
}
