using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>The same want packaged in every way there is, side by side. Times and trade-offs are common practice.</summary>
public static class PackagingWays
{
    private static readonly GuestId EngineId = new("an engine of its own");

    /// <summary>The three plain ways, and the two schools of running an app engine inside a guest.</summary>
    public static IEnumerable<PackagingWay> Of(Sums lab, Guest guest)
    {
        // A home for app stacks is what the others run inside; it is no stack itself and does not run inside another.
        var canBeStack = guest.Wants.All(w => w.ProfileId != ProfileBook.AppEngine);
        foreach (var kind in Enum.GetValues<GuestKind>().Where(k => canBeStack || k != GuestKind.AppStack))
        {
            yield return Plain(lab, guest with { Kind = kind, RunsIn = null, Devices = kind == GuestKind.Machine ? guest.Devices : [] });
        }

        if (canBeStack)
        {
            yield return Nested(lab, guest, GuestKind.SystemContainer);
            yield return Nested(lab, guest, GuestKind.Machine);
        }
    }

    private static PackagingWay Plain(Sums lab, Guest guest)
    {
        var sizing = Sizing.Of(lab.Lab, guest);
        var (starts, shares, apart, needs) = Words(guest.Kind, sizing);
        return new PackagingWay(
            guest.Kind,
            null,
            new MemoryShare(guest, sizing).Committed,
            sizing.Overhead.Value,
            starts,
            shares,
            apart,
            needs,
            [],
            Fits(lab, guest)
        );
    }

    private static PackagingWay Nested(Sums lab, Guest guest, GuestKind outer)
    {
        var stack = guest with { Kind = GuestKind.AppStack, RunsIn = EngineId, Placement = null, Devices = [] };
        var engine = new Guest(
            EngineId,
            EngineId.Value,
            outer,
            [new Want(ProfileBook.AppEngine)],
            SizeOverrides.None,
            lab.Lab.HostOf(guest) is { } host ? new Placement(host.Id) : null
        );
        var with = Sums.Of(lab.Lab with { Guests = [.. lab.Lab.Guests.Where(g => g.Id != guest.Id), stack, engine] });
        var sizing = with.Guest(EngineId);
        var committed = new MemoryShare(engine, sizing).Committed;
        var (starts, _, apart, _) = Words(outer, sizing);
        return new PackagingWay(
            GuestKind.AppStack,
            outer,
            committed,
            committed - sizing.Inner.Aggregate(ByteSize.Zero, (sum, s) => sum + ByteSize.Min(s.ExpectedMemory, s.Memory)),
            starts,
            "the engine, with more app stacks in the same guest",
            apart + "; the stacks inside share a kernel",
            "one guest more to look after and update",
            GivenUp(outer),
            Fits(with, engine with { Placement = null })
        );
    }

    private static List<WayFit> Fits(Sums lab, Guest guest) =>
        [
            .. FitCheck
                .OnEveryHost(lab, guest)
                .Select(a => new WayFit(a.After.Host.Name, a.Fit, a.Limits.Count > 0 ? a.Limits[0].Text : null)),
        ];

    private static (string Starts, string Shares, string Apart, string Needs) Words(GuestKind kind, Sizing sizing)
    {
        var needs = string.Concat(sizing.Profiles.SelectMany(p => p.Needs).Distinct(StringComparer.Ordinal).Select(n => "; " + n));
        return kind switch
        {
            GuestKind.Machine => (
                "in about a minute",
                "nothing: a device goes to it whole or not at all",
                "best kept apart: a kernel of its own",
                "virtualisation switched on; updates of its own" + needs
            ),
            GuestKind.SystemContainer => (
                "in seconds",
                "the host's kernel and graphics chip, with other containers",
                "less kept apart: what breaks the kernel breaks the host",
                "network shares mounted on the host and handed in" + needs
            ),
            GuestKind.AppStack => (
                "in seconds",
                "the host's kernel and graphics chip, with other containers",
                "least kept apart: as much as the engine sees to",
                "an app engine on the host, an image and named folders" + needs
            ),
        };
    }

    /// <summary>What a person gives up by letting an app engine run inside a guest of this kind, one plain sentence each; common practice.</summary>
    public static IReadOnlyList<string> GivenUp(GuestKind outer) =>
        outer == GuestKind.SystemContainer
            ?
            [
                "Nesting must be switched on for the container: the wall between it and the host gets thinner.",
                "Devices must be mapped twice, in the container and in the stack.",
                "It has no network mounts of its own while it stays unprivileged: mount on the host and hand the folder in.",
                "It cannot move while running.",
            ]
            :
            [
                $"Memory for a second kernel, and it is set aside whole: {SizingRules.MachineBaseOverhead} and 1/256 of it besides.",
                "A graphics chip cannot be shared with others: it is handed over whole or not at all.",
                "Data lies in a disk of the machine: the host does not see single files.",
            ];
}
