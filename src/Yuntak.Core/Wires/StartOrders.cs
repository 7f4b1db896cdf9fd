using Yuntak.Core.Labs;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Wires;

/// <summary>In which order guests start with their host: by what they are, and after whoever exports what they mount.</summary>
internal static class StartOrders
{
    private const int Deepest = 20;

    /// <summary>The order of a guest; small numbers start first.</summary>
    /// <param name="lab">The lab.</param>
    /// <param name="sizing">The guest.</param>
    /// <param name="sized">The size of another guest.</param>
    public static int Of(Lab lab, Sizing sizing, Func<GuestId, Sizing> sized) => Of(lab, sizing, sized, Deepest);

    private static int Of(Lab lab, Sizing sizing, Func<GuestId, Sizing> sized, int deep)
    {
        var own = sizing.Profiles.Min(p => p.StartOrder);
        // Two that mount from each other have no order; they are left as they are.
        return deep == 0
            ? own
            : sizing
                .Guest.Mounts.Select(m => lab.Shares.FirstOrDefault(s => s.Name == m.Share)?.From.Guest)
                .Where(g => g is { } id && id != sizing.Guest.Id && lab.Guest(id) is not null)
                .Select(g => Of(lab, sized(g!.Value), sized, deep - 1) + 1)
                .Append(own)
                .Max();
    }
}
