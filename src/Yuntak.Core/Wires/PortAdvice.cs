using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>The next sensible free port of a machine.</summary>
internal static class PortAdvice
{
    private const int Above = 8000;
    private const int Last = 32_767;

    /// <summary>
    /// A port nobody has at the same addresses: for one below 1,024 the one 8,000 above it (80 → 8080 is said so for 8,000 + 80), else the next; never one the published
    /// list keeps for something else, and none from where the kernel gives out ports to callers (32,768 on).
    /// </summary>
    /// <param name="wires">The wires of the lab.</param>
    /// <param name="wanted">The port that is taken.</param>
    /// <returns>A port; null when none is left.</returns>
    public static int? Next(HouseWires wires, HeardPort wanted)
    {
        var taken = wires
            .Ports.Where(p =>
                p.Stack == wanted.Stack
                && p.Protocol == wanted.Protocol
                && PortClashes.Meet(PortClashes.Plain(p.Address), PortClashes.Plain(wanted.Address))
            )
            .Select(p => p.Port)
            .ToHashSet();
        var first = wanted.Port < 1024 ? Above + wanted.Port : wanted.Port + 1;
        for (var port = first; port <= Last; port++)
        {
            if (!taken.Contains(port) && (!WellKnown.IsKept(port) || (port == first && wanted.Port < 1024)))
            {
                return port;
            }
        }

        return null;
    }
}
