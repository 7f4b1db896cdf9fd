using Yuntak.Core.Labs;

namespace Yuntak.Formats.LabFiles;

/// <summary>Guests and hosts that stores, jobs, drills and copies speak of: by name in a file, by id in the model.</summary>
internal static class CopyNames
{
    /// <summary>A lab with others in their place.</summary>
    public static Lab In(Lab lab, Func<GuestId?, GuestId?> guest, Func<HostId?, HostId?> host) =>
        lab with
        {
            Stores = lab.Stores.Change(
                s => s.Guest is not null || s.Host is not null,
                s => s with { Guest = guest(s.Guest), Host = host(s.Host) }
            ),
            Jobs = lab.Jobs.Change(
                _ => true,
                j => j with { Takes = j.Takes.Change(_ => true, p => p with { Guest = guest(p.Guest), Host = host(p.Host) }) }
            ),
            Drills = lab.Drills.Change(_ => true, d => d with { Guest = guest(d.Guest), Host = host(d.Host) }),
            Copies = lab.Copies.Change(_ => true, c => c with { Guest = guest(c.Guest)!.Value }),
        };
}
