using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Schedules;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Labs;

/// <summary>Codecs of what copies are spoken of with.</summary>
internal static class CopyCodecs
{
    /// <summary>When something is done again and again.</summary>
    public static readonly Codec<string> Times = WireCodecs.FormedAs(
        "times such as 22:30, sun 01:00 or mon,thu 06:00,18:00",
        text => Written(() => CopyTimes.Parse(text).ToString())
    );

    /// <summary>What is kept.</summary>
    public static readonly Codec<string> Keep = WireCodecs.FormedAs(
        "what is kept, such as daily 7, weekly 4, monthly 6 or last 4,",
        text => Written(() => RetentionRule.Parse(text).ToString())
    );

    /// <summary>A zone of the zone database.</summary>
    public static readonly Codec<string> Zone = WireCodecs.FormedAs(
        "a time zone such as Europe/Lisbon",
        text => HouseClock.IsZone(text) ? text : null
    );

    /// <summary>A time of day.</summary>
    public static readonly Codec<string> Clock = WireCodecs.FormedAs(
        "a time of day such as 06:30",
        text =>
            TimeOnly.TryParseExact(text, "HH:mm", CultureInfo.InvariantCulture, DateTimeStyles.None, out var time)
                ? time.ToString("HH:mm", CultureInfo.InvariantCulture)
                : null
    );

    /// <summary>A moment by the clock on the wall, from 1970 to 2199.</summary>
    public static readonly Codec<string> At = WireCodecs.FormedAs("a moment such as 2026-11-26T22:30, from 1970 to 2199,", MomentOf);

    private static string? MomentOf(string text) => Moments.Read(text) is { } at ? Moments.Write(at) : null;

    /// <summary>A text in the one way it is kept; null when it cannot be read.</summary>
    private static string? Written(Func<string> read)
    {
        try
        {
            return read();
        }
        catch (Refused)
        {
            return null;
        }
    }
}
