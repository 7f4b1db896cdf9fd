using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices;

/// <summary>For a claim that cannot be met: why, and the smallest change that would let it. Each change is tried, not guessed.</summary>
internal sealed class SmallestChange
{
    private readonly Lab lab;
    private readonly IReadOnlyList<HostDevices> hosts;
    private readonly ClaimCheck check;

    /// <param name="lab">The lab with all claims met that can be, and without the others.</param>
    /// <param name="map">The map of the host.</param>
    /// <param name="hosts">All hosts.</param>
    public SmallestChange(Lab lab, DeviceMap map, IReadOnlyList<HostDevices> hosts)
    {
        this.hosts = hosts;
        // Only who is on the host matters here, and each change that is tried is a lab of its own.
        this.lab = lab with
        {
            Guests = [.. lab.GuestsOn(map.Host.Id).SelectMany(g => lab.GuestsIn(g.Id).Prepend(g))],
        };
        check = ClaimCheck.On(this.lab, map);
    }

    private Host Host => check.Map.Host;

    /// <summary>The reason and the change for one claim.</summary>
    public UnmetClaim For(AskedClaim asked)
    {
        var now = asked with { Number = ClaimCheck.Added };
        var best = check.Best(now);
        var change = Changes(now).FirstOrDefault();
        return new UnmetClaim(
            asked.Guest,
            asked.Claim.Need,
            Host,
            string.Join("; ", best.Reasons),
            change.Words
                ?? $"{(DeviceSorts.MayBeUsb(asked.Claim.Need) ? "plug" : "put")} {Names(asked.Claim.Need)} into {Host.Name}, and read it again",
            change.Change
        );
    }

    private static string Names(DeviceNeed need) => need == DeviceNeed.Other ? "the device" : Base.Names.A(need.Words());

    private IEnumerable<(string Words, Func<Lab, Lab>? Change)> Changes(AskedClaim asked)
    {
        var freed = asked with
        {
            Claim = new DeviceClaim(asked.Claim.Need, Device: asked.Claim.Need == DeviceNeed.Other ? asked.Claim.Device : null),
        };
        if (asked.Claim.Way is not null || asked.Claim.Device is not null)
        {
            // The way is the smaller change, another device the larger one.
            foreach (var way in new[] { asked with { Claim = asked.Claim with { Way = null } }, freed })
            {
                if (check.Best(way) is { CanBe: true } other)
                {
                    yield return (
                        $"take {check.Map.NameOf(other.Device!)} {other.Way!.Value.Words()}",
                        l => l.WithGuest(asked.Guest.Id, g => ClaimTaking.Taken(g, asked, other.Way!.Value, other.Device!))
                    );
                }
            }
        }

        // Only who has what one of its ways would take stands in its way.
        List<ClaimVerdict> alone = [.. check.Alone(asked).Where(v => v.CanBe)];
        foreach (
            var other in check.Asked.Where(a => a.Guest.Id != asked.Guest.Id && a.Claim.Chosen && alone.Exists(v => check.Clash(v, a)))
        )
        {
            if (InPlaceOf(other, asked) is { } words)
            {
                yield return words;
            }
        }

        if (Host.Hardware.Isolation == false && With(Host.With(Host.Hardware with { Isolation = true }), freed))
        {
            yield return ($"switch I/O isolation on in the firmware of {Host.Name}", null);
        }

        if (StickElsewhere(asked) is { } moved)
        {
            yield return (moved, null);
        }

        foreach (
            var kind in Enum.GetValues<GuestKind>()
                .Where(k => k != asked.Guest.Kind && asked.Guest.RunsIn is null && lab.GuestsIn(asked.Guest.Id).FirstOrDefault() is null)
        )
        {
            if (check.Best(freed with { Guest = asked.Guest with { Kind = kind } }) is { CanBe: true } so)
            {
                yield return (
                    $"make {asked.Guest.Name} {Base.Names.A(kind.Words())}",
                    l => l.WithGuest(asked.Guest.Id, g => ClaimTaking.Taken(g, asked, so.Way!.Value, so.Device!) with { Kind = kind })
                );
            }
        }

        foreach (var elsewhere in hosts.Where(h => h.Host.Id != Host.Id))
        {
            if (asked.Guest.RunsIn is null && elsewhere.Check.Best(freed) is { CanBe: true } there)
            {
                yield return (
                    $"move {asked.Guest.Name} to {elsewhere.Host.Name}, which has {elsewhere.Map.NameOf(there.Device!)}, or bring that device over",
                    null
                );
            }
        }
    }

    /// <summary>Whether the claim could be met if another gave up what it has, and whether that one could then be met otherwise.</summary>
    private (string Words, Func<Lab, Lab>? Change)? InPlaceOf(AskedClaim other, AskedClaim asked)
    {
        var without = ClaimCheck.On(lab.WithGuest(other.Guest.Id, g => ClaimTaking.Without(g, other)), check.Map);
        if (without.Best(asked) is not { CanBe: true } mine)
        {
            return null;
        }

        var taken = ClaimCheck.On(
            lab.WithGuest(other.Guest.Id, g => ClaimTaking.Without(g, other))
                .WithGuest(
                    asked.Guest.Id,
                    g => g with { Claims = [.. g.Claims, new DeviceClaim(asked.Claim.Need, mine.Way, mine.Device)] }
                ),
            check.Map
        );
        var theirs = taken
            .Ways(other with { Number = ClaimCheck.Added, Guest = lab.Guest(other.Guest.Id)! }, every: true)
            .FirstOrDefault(v => v.CanBe);
        return theirs is not null
            ? (
                $"let {other.Guest.Name} take {check.Map.NameOf(theirs.Device!)} {theirs.Way!.Value.Words()}",
                l => Mine(l.WithGuest(other.Guest.Id, g => ClaimTaking.Taken(g, other, theirs.Way!.Value, theirs.Device!)))
            )
            : (
                $"let {other.Guest.Name} give up {check.Map.NameOf(other.Claim.Device!)}",
                l => Mine(l.WithGuest(other.Guest.Id, g => ClaimTaking.Without(g, other)))
            );

        Lab Mine(Lab changed) => changed.WithGuest(asked.Guest.Id, g => ClaimTaking.Taken(g, asked, mine.Way!.Value, mine.Device!));
    }

    private bool With(Host changed, AskedClaim asked) =>
        ClaimCheck.On(lab.WithHost(Host.Id, _ => changed), DeviceMap.Of(changed)).Best(asked).CanBe;

    /// <summary>A stick can be plugged into a port of another controller.</summary>
    private string? StickElsewhere(AskedClaim asked)
    {
        foreach (
            var port in (asked.Claim.Device is { } named ? [named] : DeviceSorts.Of(Host, asked.Claim.Need)).Where(d =>
                check.Map.At(d) is not null
            )
        )
        {
            var stick = check.Map.At(port)!.Device;
            foreach (var bus in Host.Hardware.UsbBuses.Where(b => b.Controller is not null && b.Controller != check.Map.ControllerOf(port)))
            {
                var free = Enumerable
                    .Range(1, bus.Ports ?? 1)
                    .Select(n => $"{bus.Number}-{n}")
                    .FirstOrDefault(p => check.Map.At(p) is null);
                if (
                    free is not null
                    && With(
                        Host.With(
                            Host.Hardware with
                            {
                                UsbDevices = [.. Host.Hardware.UsbDevices.Where(d => d.Port != port), stick with { Port = free }],
                            }
                        ),
                        asked with
                        {
                            Claim = new DeviceClaim(asked.Claim.Need, asked.Claim.Way == ClaimWay.Whole ? null : asked.Claim.Way, free),
                        }
                    )
                )
                {
                    return $"plug {check.Map.NameOf(port)} into a port of the controller at {bus.Controller}, such as {free}";
                }
            }
        }

        return null;
    }
}
