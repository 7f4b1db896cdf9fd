using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The assumptions behind the sums that the person may change.</summary>
/// <param name="SecondThreadGain">What a second hardware thread adds to a core, as a share of one core. Published gains lie around 0.15 to 0.30; the default is from memory.</param>
/// <param name="HostBase">Memory the host keeps for itself.</param>
/// <param name="ReadCacheRule">Which school sizes the read cache.</param>
/// <param name="ReadCacheCap">The cap, where the cap is the school.</param>
/// <param name="Zone">The zone the names of the lab are in; the default is the one kept for homes (RFC 8375).</param>
/// <param name="EnergyPrice">What a kilowatt-hour costs, in the currency; the default is only a figure to begin with.</param>
/// <param name="Currency">What money is counted in.</param>
/// <param name="TimeZone">The zone of the clock on the wall, by its name in the zone database.</param>
/// <param name="Wakes">When the house wakes and copies should be done, by the clock on the wall; the default is common practice.</param>
/// <param name="BatchTimes">How many times as likely disks of one batch fail once the first of them has; the default is from memory.</param>
public sealed record LabSettings(
    double SecondThreadGain,
    ByteSize HostBase,
    ReadCacheRule ReadCacheRule,
    ByteSize ReadCacheCap,
    double BatchTimes = 10,
    string Zone = "home.arpa",
    double EnergyPrice = 0.30,
    string Currency = "€",
    string TimeZone = Schedules.HouseClock.Usual,
    string Wakes = "06:30"
)
{
    /// <summary>Whether a text is the name of a zone: host names with dots between them (RFC 1123, 2.1).</summary>
    public static bool IsZone(string text) => WireCodecs.FullName.Within(text);

    /// <summary>The household defaults.</summary>
    public static readonly LabSettings Default = new(0.25, ByteSize.FromGiB(1.5), ReadCacheRule.Cap, ByteSize.FromGiB(4));
}
