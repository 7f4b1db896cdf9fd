using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices.Rules;

/// <summary>What the rules about devices have in common: which claims they look at, and the changes that settle one.</summary>
internal static class ClaimFixes
{
    /// <summary>The claims whose device and way are chosen.</summary>
    public static IEnumerable<ClaimVerdict> Chosen(HostDevices host) => host.Verdicts.Where(v => v.Asked!.Claim.Chosen);

    /// <summary>Open claims for which a host that was read has no device of the sort. A network port a profile brings along is Kit's matter.</summary>
    public static IEnumerable<ClaimVerdict> NothingFor(HostDevices host) =>
        host.Host.Hardware.Functions.Count == 0
            ? []
            : host.Verdicts.Where(v =>
                v is { CanBe: false, Device: null, Need: not DeviceNeed.Other }
                && !(v.Asked!.By == AskedBy.Profile && v.Need == DeviceNeed.NetworkPort)
            );

    /// <summary>The claim without a device or way.</summary>
    public static AskedClaim Freed(AskedClaim asked) => asked with { Claim = new DeviceClaim(asked.Claim.Need), Number = ClaimCheck.Tried };

    /// <summary>The other ways and devices that could meet a claim, and letting it go.</summary>
    public static IEnumerable<Fix> Of(HostDevices host, ClaimVerdict verdict, string otherwise) =>
        Others(host, verdict).Append(new Fix(otherwise, GiveUp(verdict.Asked!)));

    /// <summary>Ways out when two claims clash: each may be met otherwise, or let go.</summary>
    public static IEnumerable<Fix> Of(HostDevices host, AskedClaim mine, AskedClaim other) =>
        [
            .. Others(host, host.Check.Best(mine)),
            .. Others(host, host.Check.Best(other)),
            new Fix($"{mine.Guest.Name} gives it up", GiveUp(mine)),
            new Fix($"{other.Guest.Name} gives it up", GiveUp(other)),
        ];

    /// <summary>The other ways that could meet a claim with nothing worse about them, the best two.</summary>
    public static IEnumerable<Fix> Others(HostDevices host, ClaimVerdict verdict) =>
        host
            .Check.Ways(verdict.Asked!, every: true)
            .Where(w =>
                (w.Way, w.Device) != (verdict.Way, verdict.Device)
                && w.CanBe
                && !w.Troubles.Overlaps(verdict.Troubles)
                && (w.Answer < verdict.Answer || w.Answer == ClaimAnswer.Possible)
            )
            .Take(2)
            .Select(w => new Fix(
                $"{verdict.Guest.Name} takes {host.Map.NameOf(w.Device!)} {w.Way!.Value.Words()}",
                DeviceEdits.Take(verdict.Guest.Id, verdict.Asked!.Number, verdict.Need, w.Way!.Value, w.Device!)
            ));

    /// <summary>The guest does without what is not there.</summary>
    public static Fix Without(ClaimVerdict open) => new($"{open.Guest.Name} does without", GiveUp(open.Asked!));

    private static Edit GiveUp(AskedClaim asked) => DeviceEdits.GiveUp(asked.Guest.Id, asked.Number, asked.Claim.Need);
}
