using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Devices;

/// <summary>What a guest's claims become when one of them is met, or given up.</summary>
internal static class ClaimTaking
{
    /// <summary>The guest with a claim met by a device and a way.</summary>
    public static Guest Taken(Guest guest, AskedClaim asked, ClaimWay way, string device)
    {
        var met = asked.Claim with { Way = way, Device = device, Mapped = way == ClaimWay.Node ? asked.Claim.Mapped : null };
        return asked.Claim == met ? guest
            : asked.By == AskedBy.Claim ? guest with { Claims = First(guest.Claims, asked.Claim, met) }
            : Without(guest, asked) with { Claims = guest.Claims.With(met) };
    }

    /// <summary>The guest without a claim: one that was said goes, a device that was listed stays with the host, and what a profile brings is done without.</summary>
    public static Guest Without(Guest guest, AskedClaim asked) =>
        asked.By switch
        {
            AskedBy.Claim => guest with { Claims = First(guest.Claims, asked.Claim, null) },
            AskedBy.Listed => guest with { Devices = guest.Devices.Without(d => d == asked.Claim.Device) },
            AskedBy.Profile => guest,
        };

    /// <summary>The guest with a claim open again.</summary>
    public static Guest Opened(Guest guest, AskedClaim asked) =>
        asked.By switch
        {
            AskedBy.Claim => guest with { Claims = First(guest.Claims, asked.Claim, new DeviceClaim(asked.Claim.Need)) },
            AskedBy.Listed => Without(guest, asked) with { Claims = guest.Claims.With(new DeviceClaim(asked.Claim.Need)) },
            AskedBy.Profile => guest,
        };

    /// <summary>The list with the first of two equal claims changed: a guest may need two of a sort.</summary>
    private static ValueList<DeviceClaim> First(ValueList<DeviceClaim> claims, DeviceClaim was, DeviceClaim? becomes)
    {
        var at = claims.ToList().IndexOf(was);
        return [.. claims.Take(Math.Max(0, at)), .. becomes is null ? [] : new[] { becomes }, .. claims.Skip(at + 1)];
    }
}
