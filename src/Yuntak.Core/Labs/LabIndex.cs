using Yuntak.Core.Base;
using Yuntak.Core.Units;

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
        AllFolders = lab.Shares.Count == 0 ? lab.Folders : Joined(lab.Folders, [.. lab.Shares.Select(s => AsFolder(lab, s))]);
    }

    /// <summary>A folder that is shared over the network under its own name is one folder: used by all, as large as the larger of both says.</summary>
    private static ValueList<SharedFolder> Joined(ValueList<SharedFolder> folders, List<SharedFolder> shares)
    {
        static bool IsSame(SharedFolder folder, SharedFolder share) =>
            share.Pool.Length > 0 && (folder.Name, folder.Host, folder.Pool) == (share.Name, share.Host, share.Pool);
        return
        [
            .. folders.Select(f =>
                shares.Find(s => IsSame(f, s)) is { } share
                    ? f with
                    {
                        Size = ByteSize.Max(f.Size, share.Size),
                        Uses = [.. f.Uses, .. share.Uses.Where(u => f.Uses.All(k => k.Guest != u.Guest))],
                    }
                    : f
            ),
            .. shares.Where(s => !folders.Any(f => IsSame(f, s))),
        ];
    }

    /// <summary>Folders with those shares that are somebody's library: a share is counted once, where it lies.</summary>
    public ValueList<SharedFolder> AllFolders { get; }

    public Host? Host(HostId id) => hosts.GetValueOrDefault(id);

    public Guest? Guest(GuestId id) => guests.GetValueOrDefault(id);

    public IEnumerable<Guest> On(HostId id) => on[id];

    public IEnumerable<Guest> In(GuestId id) => inside[id];

    /// <summary>What a host exports lies in the pool its path leads to; what a guest or a box exports is counted with that one.</summary>
    private SharedFolder AsFolder(Lab lab, NetworkShare share)
    {
        var host = share.From.Host is { } id ? Host(id) : null;
        var pool = host?.PoolAt(share.From.Path);
        return new SharedFolder(
            share.Name,
            host?.Id ?? new HostId(""),
            pool?.Name ?? "",
            pool is null ? ByteSize.Zero : share.Size ?? ByteSize.Zero,
            [
                .. lab
                    .Guests.SelectMany(g => g.Mounts.Where(m => m.Share == share.Name).Select(m => (Guest: g, Mount: m)))
                    .Select(u => new FolderUse(u.Guest.Id, u.Mount.At, !share.ReadOnly, u.Mount.Library)),
            ]
        );
    }
}
