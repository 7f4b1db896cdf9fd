using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Edits;

/// <summary>Changes to ports, ways in, boxes, other places and shares.</summary>
public static class ReachEdits
{
    /// <summary>Says what a guest answers on.</summary>
    public static Edit Listens(GuestId id, Func<ValueList<Listen>, ValueList<Listen>> change) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            // What followed from its profile until now is written down first, so that one more port does not make the others go.
            ValueList<Listen> known = guest.Listens.Count > 0 ? guest.Listens : [.. PortsOf.Said(Sums.Of(lab).Guest(id))];
            var after = change(known);
            return WireEdits.Checked(
                lab,
                lab.WithGuest(id, g => g with { Listens = after }),
                $"{guest.Name} answers on {(after.Count == 0 ? "no port that is said" : string.Join(", ", after.Select(l => $"{l.Port}/{l.Protocol.Word()}").Distinct()))}"
            );
        };

    /// <summary>Moves a port of a guest to another.</summary>
    public static Edit MovePort(GuestId id, int port, WireProtocol protocol, int to) =>
        Listens(id, all => all.Change(l => l.Port == port && l.Protocol == protocol, l => l with { Port = to, Inside = l.Inside ?? port }));

    /// <summary>Says what a host answers on itself.</summary>
    public static Edit HostListens(HostId id, Func<ValueList<Listen>, ValueList<Listen>> change) =>
        lab =>
        {
            var host = lab.Host(id) ?? throw new Refused("That host is no longer in the lab.");
            var after = change(host.Wires.Listens);
            return WireEdits.Checked(
                lab,
                lab.WithHost(id, h => h with { Wires = h.Wires with { Listens = after } }),
                $"{host.Name} answers on {(after.Count == 0 ? "nothing that is said" : string.Join(", ", after.Select(l => $"{l.Port}/{l.Protocol.Word()}").Distinct()))}"
            );
        };

    /// <summary>A port that was read on a host is one of its app stacks' and not the host's own.</summary>
    public static Edit NotTheHosts(HostId id, int port, WireProtocol protocol) =>
        lab =>
        {
            var host = lab.Host(id) ?? throw new Refused("That host is no longer in the lab.");
            return new Changed(
                lab.WithHost(
                    id,
                    h =>
                        h.With(
                            h.Hardware with
                            {
                                Listeners = h.Hardware.Listeners.Without(l => l.Port == port && l.Protocol == protocol.Word()),
                            }
                        )
                ),
                $"{host.Name}: {port}/{protocol.Word()} is not its own"
            );
        };

    /// <summary>Opens a way in.</summary>
    public static Edit Open(Forward forward) =>
        lab =>
            WireEdits.Checked(
                lab,
                lab with
                {
                    Forwards = lab.Forwards.With(forward),
                },
                $"{forward.FromPort}/{forward.Protocol.Word()} from outside leads to {lab.Guest(forward.To)?.Name}{(forward.Through is { } t ? $", through {lab.Guest(t)?.Name}" : "")}"
            );

    /// <summary>Changes a way in.</summary>
    public static Edit ChangeForward(string key, Func<Forward, Forward> change) =>
        lab =>
        {
            Existing(lab, key);
            return WireEdits.Checked(lab, lab with { Forwards = lab.Forwards.Change(f => f.Key == key, change) }, $"way in {key} changed");
        };

    /// <summary>Closes a way in.</summary>
    public static Edit Close(string key) =>
        lab =>
        {
            var forward = Existing(lab, key);
            return new Changed(
                lab with
                {
                    Forwards = lab.Forwards.Without(f => f.Key == key),
                },
                $"{forward.FromPort}/{forward.Protocol.Word()} from outside no longer leads to {lab.Guest(forward.To)?.Name}"
            );
        };

    /// <summary>Adds a box, or changes the one of that name; what it shares and keeps follows a new name.</summary>
    public static Edit Box(Box box, string? was = null) =>
        lab =>
        {
            var named = box with { Name = Names.Checked(box.Name, "box") };
            var with = was is null
                ? lab with
                {
                    Boxes = lab.Boxes.With(named),
                }
                : lab with
                {
                    Boxes = lab.Boxes.Change(b => b.Name == was, _ => named),
                    Shares = lab.Shares.Change(s => s.From.Box == was, s => s with { From = s.From with { Box = named.Name } }),
                    Stores = lab.Stores.Change(s => s.Box == was, s => s with { Box = named.Name }),
                };
            return WireEdits.Checked(lab, with, $"box {named.Name} {(was is null ? "added" : "changed")}");
        };

    /// <summary>Takes a box out, and what it exports.</summary>
    public static Edit RemoveBox(string name) =>
        lab =>
            lab.Boxes.All(b => b.Name != name)
                ? throw new Refused($"There is no box «{Names.Short(name)}».")
                : WireEdits.Checked(
                    lab,
                    WireEdits.Without(lab with { Boxes = lab.Boxes.Without(b => b.Name == name) }),
                    $"box {name} removed"
                );

    /// <summary>Adds another place.</summary>
    public static Edit Site(RemoteSite site) =>
        lab =>
            WireEdits.Checked(
                lab,
                lab with
                {
                    Sites = [.. lab.Sites.Where(s => s.Name != site.Name), site],
                },
                $"{site.Name} is joined by a tunnel"
            );

    /// <summary>Takes another place out.</summary>
    public static Edit RemoveSite(string name) =>
        lab => new Changed(lab with { Sites = lab.Sites.Without(s => s.Name == name) }, $"{name} is no longer joined");

    /// <summary>Adds a share. What a host exports lies in its pool already, and is not counted twice.</summary>
    public static Edit Share(NetworkShare share) =>
        lab =>
        {
            var named = share with { Name = Names.Checked(share.Name, "share") };
            var pool = named.From.Host is { } id ? lab.Host(id)?.PoolAt(named.From.Path) : null;
            var counted =
                pool is null || named.Size is not { } size
                    ? lab
                    : lab.WithHost(
                        named.From.Host!.Value,
                        h =>
                            h with
                            {
                                Pools = h.Pools.Change(
                                    p => p.Name == pool.Name,
                                    p => p with { AlreadyUsed = ByteSize.Max(ByteSize.Zero, p.AlreadyUsed - size) }
                                ),
                            }
                    );
            return WireEdits.Checked(
                lab,
                counted with
                {
                    Shares = lab.Shares.With(named),
                },
                $"{ShareSums.ExporterName(lab, named)} shares {named.From.Path} as {named.Name}"
            );
        };

    /// <summary>Changes a share; who mounts it, and the job that copies it, follow a new name.</summary>
    public static Edit ChangeShare(string name, Func<NetworkShare, NetworkShare> change) =>
        lab =>
        {
            var after = change(ExistingShare(lab, name));
            return WireEdits.Checked(
                lab,
                lab with
                {
                    Shares = lab.Shares.Change(s => s.Name == name, _ => after),
                    Guests = lab.Guests.Change(
                        g => after.Name != name && g.Mounts.Any(m => m.Share == name),
                        g => g with { Mounts = g.Mounts.Change(m => m.Share == name, m => m with { Share = after.Name }) }
                    ),
                    Jobs = KeepingEdits.Renamed(lab.Jobs, name, after.Name),
                },
                $"share {name} changed"
            );
        };

    /// <summary>Takes a share out; its files stay where they are.</summary>
    public static Edit RemoveShare(string name) =>
        lab =>
        {
            ExistingShare(lab, name);
            return WireEdits.Checked(
                lab,
                WireEdits.Without(lab with { Shares = lab.Shares.Without(s => s.Name == name) }),
                $"{name} is no longer shared"
            );
        };

    /// <summary>Lets somebody use a share.</summary>
    public static Edit Allow(string name, string who) => ChangeShare(name, s => s with { Allow = s.Allow.With(Names.Clean(who)) });

    /// <summary>A guest uses a share, in the place of an earlier use of the same.</summary>
    public static Edit Mount(GuestId id, ShareMount mount) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            return WireEdits.Checked(
                lab,
                lab.WithGuest(id, g => g with { Mounts = [.. g.Mounts.Where(m => m.Share != mount.Share), mount] }),
                $"{guest.Name} sees {mount.Share} at {mount.At}"
            );
        };

    /// <summary>A guest no longer uses a share.</summary>
    public static Edit Unmount(GuestId id, string share) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            return new Changed(
                lab.WithGuest(id, g => g with { Mounts = g.Mounts.Without(m => m.Share == share) }),
                $"{guest.Name} no longer sees {share}"
            );
        };

    private static Forward Existing(Lab lab, string key) =>
        lab.Forwards.FirstOrDefault(f => f.Key == key) ?? throw new Refused($"There is no way in «{Names.Short(key)}».");

    private static NetworkShare ExistingShare(Lab lab, string name) =>
        lab.Shares.FirstOrDefault(s => s.Name == name) ?? throw new Refused($"There is no share «{Names.Short(name)}».");
}
