using Yuntak.Core.Base;

namespace Yuntak.Core.Profiles;

/// <summary>Films, and what converting them costs: in software, beside a hardware encoder, with high dynamic range. The figures are common practice unless a term says otherwise.</summary>
internal static class MediaLibrary
{
    private const double GBPerTB = 1000;
    private static readonly double Hd = Video.MegapixelsPerSecond(1920, 1080, 30);
    private static readonly double Uhd = Video.MegapixelsPerSecond(3840, 2160, 30);
    private static readonly double SmallHd = Video.MegapixelsPerSecond(1280, 720, 30);

    /// <summary>The profile.</summary>
    public static readonly Profile Profile = new(
        "media-library",
        "media library",
        "Films and music from one shelf, converted for players that need it.",
        Family.Media,
        [
            new("conversions-1080p", "1080p films converted at once", "", "{0} × 1080p converted at once", 1, 0, 40),
            new("conversions-2160p", "2160p films converted at once", "", "{0} × 2160p converted at once", 0, 0, 20),
            new(
                "conversions-2160p-kept",
                "2160p films converted at once that stay 2160p",
                "",
                "{0} × 2160p converted and kept 2160p",
                0,
                0,
                20
            ),
            new("plays", "1080p films played as they are at once", "", "{0} played as they are", 2, 0, 100),
            new("plays-2160p", "2160p films played as they are at once", "", "{0} × 2160p played as they are", 0, 0, 50),
            new("library", "Library", "TB", "{0} of films", 4, 0, 500, 0.5),
            new(ProfileBook.SoftwareEncoding, "Convert without a video encoder", "", "no video encoder", 1, 0, 1, YesNo: true),
            new("high-range", "Films of high dynamic range", "", "high dynamic range", 0, 0, 1, YesNo: true),
        ],
        [new("at rest", 0.05)],
        [
            new("at rest", 0.05),
            .. Converting("1080p → 720p", "conversions-1080p", Video.ConversionCores(Hd, SmallHd)),
            .. Converting("2160p → 1080p", "conversions-2160p", Video.ConversionCores(Uhd, Hd), Video.HighRangeCores),
            .. Converting("2160p → 2160p", "conversions-2160p-kept", Video.ConversionCores(Uhd, Uhd), Video.HighRangeCores),
        ],
        [
            new("library", 2),
            new("1080p conversion", 0.25, ["conversions-1080p"]),
            new("2160p conversion", 0.25, ["conversions-2160p"]),
            new("2160p conversion that stays 2160p", 0.25, ["conversions-2160p-kept"]),
        ],
        [new("system and artwork", 20)],
        [new("library", GBPerTB, ["library"], Trade: false)],
        DayShape.Evening,
        [GuestKind.SystemContainer, GuestKind.AppStack, GuestKind.Machine],
        "A system container can share the host's video encoder with others. Read-only access to the library is enough.",
        Needs: ["a video encoder, to spare the cores"],
        Claims: [new(DeviceNeed.VideoEncoder, Unless: [ProfileBook.SoftwareEncoding])],
        Encode:
        [
            new("1080p ÷ 2 + 720p", Video.Conversion(Hd, SmallHd), ["conversions-1080p"]),
            new("2160p ÷ 2 + 1080p", Video.Conversion(Uhd, Hd), ["conversions-2160p"]),
            new("2160p ÷ 2 + 2160p", Video.Conversion(Uhd, Uhd), ["conversions-2160p-kept"]),
        ],
        Bandwidth:
        [
            new("720p stream", Video.Mbps720, ["conversions-1080p"]),
            new("1080p stream, converted", Video.Mbps1080, ["conversions-2160p"]),
            new("2160p stream, converted", Video.Mbps2160, ["conversions-2160p-kept"]),
            new("1080p stream", Video.Mbps1080, ["plays"]),
            new("2160p stream", Video.Mbps2160, ["plays-2160p"]),
        ],
        Scratch:
        [
            new("1080p film of two hours, converted", Video.ScratchGB(Video.Mbps720), ["conversions-1080p"]),
            new("2160p film of two hours, converted", Video.ScratchGB(Video.Mbps1080), ["conversions-2160p"]),
            new("2160p film of two hours, kept 2160p", Video.ScratchGB(Video.Mbps2160), ["conversions-2160p-kept"]),
        ]
    );

    /// <summary>A conversion costs a little beside a hardware encoder, all of it in software, and more in software with high dynamic range.</summary>
    private static IEnumerable<Term> Converting(string what, string load, double cores, double? highRange = null)
    {
        yield return new($"{what}, beside an encoder", Video.CoresBesideEncoder, [load], Unless: [ProfileBook.SoftwareEncoding]);
        yield return new($"{what} in software", cores, [load, ProfileBook.SoftwareEncoding]);
        if (highRange is { } most)
        {
            yield return new($"{what} in software, high dynamic range", most - cores, [load, ProfileBook.SoftwareEncoding, "high-range"]);
        }
    }
}
