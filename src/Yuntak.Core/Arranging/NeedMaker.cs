using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Arranging;

/// <summary>
/// The devices a guest has to have on a host. What is chosen is kept, or met again elsewhere; what is open has to be met where any host has it, as the rules have it:
/// a host whose hardware was not read has what nobody knows.
/// </summary>
internal sealed class NeedMaker(Sums sums, IReadOnlyList<HostRoom> rooms)
{
    private readonly Dictionary<GuestId, IReadOnlyList<AskedClaim>> asked = [];
    private readonly Dictionary<(GuestId, GuestKind, int Claim), IReadOnlyList<IReadOnlyList<ClaimVerdict>>> elsewhere = [];

    /// <summary>What a guest needs on a host with the ways to meet it there, and what is missing there.</summary>
    /// <param name="room">The host.</param>
    /// <param name="now">The guest as it is.</param>
    /// <param name="there">The guest as it would be on the host.</param>
    /// <param name="stays">Whether it is there now, packaged so.</param>
    public (IReadOnlyList<SeatNeed> Needs, IReadOnlyList<FitLimit> Missing) On(HostRoom room, Sizing now, Sizing there, bool stays)
    {
        List<SeatNeed> needs = [];
        List<FitLimit> missing = [];
        foreach (var claim in Asked(now.Guest))
        {
            if (stays && claim.Claim.Chosen)
            {
                var ways = Check(room).Alone(claim).Where(v => v.CanBe).ToList();
                needs.AddRange(ways.Count > 0 ? [new SeatNeed(claim, ways)] : []);
                missing.AddRange(ways.Count > 0 ? [] : [NotHad(claim, room, now)]);
            }
            else
            {
                Open(room, now, there, claim, needs, missing);
            }
        }

        if (!stays)
        {
            // What a stack has through the guest it runs in stays in the host of both.
            missing.AddRange(
                now.Inner.SelectMany(s => Asked(s.Guest).Where(a => a.Claim.Chosen))
                    .Select(a => new FitLimit(
                        $"{a.Guest.Name}, inside {now.Guest.Name}, has a {a.Claim.Need.Words()} of another host",
                        $"let {a.Guest.Name} give up its {a.Claim.Need.Words()}"
                    ))
            );
        }

        return (needs, missing);
    }

    private void Open(HostRoom room, Sizing now, Sizing there, AskedClaim claim, List<SeatNeed> needs, List<FitLimit> missing)
    {
        if (
            claim.Claim is { Need: DeviceNeed.Other, Device: not null }
            && sums.Lab.HostOf(now.Guest) is { } home
            && home.Id != room.Host.Id
        )
        {
            missing.Add(
                new($"{now.Guest.Name} has the device at {claim.Claim.Device} of {home.Name}", $"let {now.Guest.Name} give that device up")
            );
            return;
        }

        var all = Elsewhere(now.Guest, there.Guest, claim);
        var ways = all[room.Number];
        var known = room.Host.Hardware.Functions.Count > 0;
        if (ways.Count > 0)
        {
            needs.Add(new SeatNeed(claim, ways));
        }
        else if (
            claim.Claim.Chosen
            || (known && !(claim is { By: AskedBy.Profile, Claim.Need: DeviceNeed.NetworkPort }) && all.Any(w => w.Count > 0))
        )
        {
            missing.Add(NotHad(claim, room, now));
        }
    }

    private FitLimit NotHad(AskedClaim claim, HostRoom room, Sizing now)
    {
        var words = Base.Names.A(claim.Claim.Need.Words());
        var why = Check(room).Best(Freed(claim, claim.Guest));
        return room.Host.Hardware.Functions.Count == 0
                ? new($"{now.Guest.Name} needs {words}, and what is inside {room.Host.Name} was not read", $"read {room.Host.Name}")
            : why.Device is null
                ? new($"{now.Guest.Name} needs {words}, and {room.Host.Name} has none that was read", $"{words} in {room.Host.Name}")
            : new(
                $"{now.Guest.Name} needs {words}: {string.Join("; ", why.Reasons.Take(2))}",
                $"another {claim.Claim.Need.Words()} in {room.Host.Name}"
            );
    }

    private IReadOnlyList<AskedClaim> Asked(Guest guest)
    {
        if (!asked.TryGetValue(guest.Id, out var claims))
        {
            asked[guest.Id] = claims = GuestClaims.Of(sums.Lab, guest);
        }

        return claims;
    }

    /// <summary>The ways to meet a claim on every host, whoever else is there.</summary>
    private IReadOnlyList<IReadOnlyList<ClaimVerdict>> Elsewhere(Guest now, Guest there, AskedClaim claim)
    {
        var key = (now.Id, there.Kind, claim.Number);
        if (!elsewhere.TryGetValue(key, out var ways))
        {
            var freed = Freed(claim, there);
            // A machine that may shrink gives memory back, and one with a device that reaches all of it cannot.
            elsewhere[key] = ways = [
                .. rooms.Select(r =>
                    Check(r)
                        .Alone(freed)
                        .Where(v => v.CanBe && !(there.MayShrinkTo is not null && v.Way is ClaimWay.Whole or ClaimWay.Slice))
                        .ToList()
                ),
            ];
        }

        return ways;
    }

    private static AskedClaim Freed(AskedClaim claim, Guest guest) =>
        claim with
        {
            Guest = guest,
            Claim = new DeviceClaim(claim.Claim.Need, Device: claim.Claim.Need == DeviceNeed.Other ? claim.Claim.Device : null),
            Number = ClaimCheck.Tried,
        };

    private ClaimCheck Check(HostRoom room) => sums.Devices[room.Number].Check;
}
