using NodaTime;
using NodaTime.TimeZones;

namespace Yuntak.Core.Schedules;

/// <summary>
/// The clock on the wall of a house, through the days it is put forward and back. A time that a night skips counts as the moment the clock is put forward; one that a night has
/// twice counts once, the first time.
/// </summary>
public sealed class HouseClock
{
    /// <summary>The zone of a lab that did not say where it is.</summary>
    public const string Usual = "Etc/UTC";

    private static readonly ZoneLocalMappingResolver Resolver = Resolvers.CreateMappingResolver(
        Resolvers.ReturnEarlier,
        Resolvers.ReturnStartOfIntervalAfter
    );

    private readonly DateTimeZone zone;

    /// <summary>The clock of a zone; of one that is not known the usual.</summary>
    /// <param name="zone">A name of the zone database, such as Europe/Lisbon.</param>
    public HouseClock(string zone) => this.zone = DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) ?? DateTimeZone.Utc;

    /// <summary>Whether a text names a zone.</summary>
    public static bool IsZone(string text) => DateTimeZoneProviders.Tzdb.GetZoneOrNull(text) is not null;

    /// <summary>The names of zones that people live in, in the order of the alphabet.</summary>
    public static IEnumerable<string> Zones =>
        (TzdbDateTimeZoneSource.Default.ZoneLocations ?? []).Select(z => z.ZoneId).Append(Usual).Distinct().Order(StringComparer.Ordinal);

    /// <summary>A time on the wall, in seconds since 1970 that really went by.</summary>
    public double Seconds(DateTime wall) =>
        new LocalDateTime(wall.Year, wall.Month, wall.Day, wall.Hour, wall.Minute, wall.Second)
            .InZone(zone, Resolver)
            .ToInstant()
            .ToUnixTimeTicks() / (double)NodaConstants.TicksPerSecond;

    /// <summary>What the clock on the wall shows at a moment.</summary>
    /// <param name="seconds">Seconds since 1970 that really went by.</param>
    public DateTime Wall(double seconds) =>
        Instant.FromUnixTimeTicks((long)Math.Round(seconds * NodaConstants.TicksPerSecond)).InZone(zone).ToDateTimeUnspecified();
}
