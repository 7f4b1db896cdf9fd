using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Labs;

/// <summary>The fields of a guest that are about devices and what follows from having one.</summary>
internal static class GuestDeviceShapes
{
    /// <summary>What it claims.</summary>
    public static readonly Field<Guest> Claims = new Parts<Guest, DeviceClaim>(
        "claims",
        nameof(Labs.Guest.Claims),
        "claim",
        () => GuestPartShapes.Claim,
        c => $"{ProfileWords.Needs.Word(c.Need)} {c.Device}",
        g => g.Claims,
        (g, v) => g with { Claims = v }
    )
    {
        Most = 40,
        Words = c => $"a {c.Need.Words()}{(c.Device is { } device ? $" ({device})" : "")}{(c.Way is { } way ? $", {way.Words()}" : "")}",
    };

    /// <summary>What it does without.</summary>
    public static readonly Field<Guest> GoesWithout = new ListOf<Guest, DeviceNeed>(
        "goes-without",
        nameof(Labs.Guest.GoesWithout),
        "goes without",
        Codecs.Word(ProfileWords.Needs),
        g => g.GoesWithout,
        (g, v) => g with { GoesWithout = v }
    )
    {
        Most = 8,
    }
        .IsKnown()
        .Explained("needs of its profiles that it does without");

    /// <summary>Whether it moves while it runs.</summary>
    public static readonly Field<Guest> MovesRunning = Of<Guest>
        .Value(
            "moves-running",
            nameof(Labs.Guest.MovesRunning),
            "moves to another host while it runs",
            Codecs.Flag(),
            false,
            g => g.MovesRunning,
            (g, v) => g with { MovesRunning = v }
        )
        .IsKnown();

    /// <summary>Whether backups keep its memory.</summary>
    public static readonly Field<Guest> BackedUpWithMemory = Of<Guest>
        .Value(
            "backed-up-with-memory",
            nameof(Labs.Guest.BackedUpWithMemory),
            "backed up with its memory while it runs",
            Codecs.Flag(),
            false,
            g => g.BackedUpWithMemory,
            (g, v) => g with { BackedUpWithMemory = v }
        )
        .IsKnown();

    /// <summary>What is handed over whole.</summary>
    public static readonly Field<Guest> Devices = new ListOf<Guest, string>(
        "devices",
        nameof(Labs.Guest.Devices),
        "devices handed over whole",
        Codecs.Text(100),
        g => g.Devices,
        (g, v) => g with { Devices = v }
    )
    {
        Most = 64,
        None = "none",
    }.Explained("addresses on the bus of its host; machines only");
}
