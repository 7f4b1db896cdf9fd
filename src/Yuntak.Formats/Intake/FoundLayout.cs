using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Works out how the disks of a copy-on-write pool share their data from the room it shows.</summary>
internal static class FoundLayout
{
    /// <summary>How far the room worked out may lie from the room shown and still be taken for it.</summary>
    private const double Near = 0.12;

    private static readonly PoolLayout[] Candidates =
    [
        PoolLayout.Stripe,
        PoolLayout.Parity1,
        PoolLayout.Parity2,
        PoolLayout.Parity3,
        PoolLayout.StripedMirrors,
        PoolLayout.Mirror,
    ];

    /// <summary>The layout whose room is nearest to what is shown; without that, or with none near, the one most people choose, and words that say so.</summary>
    public static (PoolLayout Layout, string? Unsure) Of(IReadOnlyList<ByteSize> disks, ByteSize? room)
    {
        if (disks.Count < 2)
        {
            return (PoolLayout.Single, null);
        }

        if (room is { } shown)
        {
            var best = Candidates
                .Where(l => l != PoolLayout.StripedMirrors || (disks.Count >= 4 && disks.Count % 2 == 0))
                // Parity over so few disks keeps no more than copies do, and nobody makes it.
                .Where(l => l.StripedParity() == 0 || disks.Count > l.StripedParity() + 1)
                .Select(l => (Layout: l, Room: PoolRoom.Of(l, PoolFamily.CopyOnWrite, disks).AfterReserve))
                .Where(c => c.Room > ByteSize.Zero)
                .Select(c => (c.Layout, Off: Math.Abs(1 - c.Room.ShareOf(shown).Value)))
                .Where(c => c.Off < Near)
                .OrderBy(c => c.Off)
                .ToList();
            if (best.Count > 0)
            {
                return (best[0].Layout, "its layout was worked out from its room");
            }
        }

        return (
            disks.Count switch
            {
                2 => PoolLayout.Mirror,
                < 5 => PoolLayout.Parity1,
                _ => PoolLayout.Parity2,
            },
            "its layout is a guess: say the right one under Disks"
        );
    }
}
