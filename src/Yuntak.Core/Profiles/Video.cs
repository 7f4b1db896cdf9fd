using Yuntak.Core.Figures;
using Yuntak.Core.Units;

namespace Yuntak.Core.Profiles;

/// <summary>The cost of converting video in software, in cores.</summary>
public static class Video
{
    /// <summary>Millions of pixels a second one core encodes at a quick preset; common practice.</summary>
    public const double EncodeMegapixelsPerCore = 45;

    /// <summary>Decoding weighs half as much as encoding the same pixels; common practice.</summary>
    public const double DecodeWeight = 0.5;

    /// <summary>Pixels a second of a moving picture, in millions.</summary>
    public static double MegapixelsPerSecond(int width, int height, double framesPerSecond) => width * height * framesPerSecond / 1e6;

    /// <summary>Cores a conversion keeps busy even where a hardware encoder does the work; common practice.</summary>
    public const double CoresBesideEncoder = 0.3;

    /// <summary>Cores that one conversion of 2160p with high dynamic range keeps busy in software; common practice.</summary>
    public const double HighRangeCores = 10;

    /// <summary>What one conversion asks of an encoder, in Mpx/s: decode of the source at half weight, encode of the target.</summary>
    /// <param name="source">Source in Mpx/s.</param>
    /// <param name="target">Target in Mpx/s.</param>
    public static double Conversion(double source, double target) => (source * DecodeWeight) + target;

    /// <summary>Cores that one running conversion keeps busy: decode of the source at half weight, encode of the target.</summary>
    /// <param name="source">Source in Mpx/s.</param>
    /// <param name="target">Target in Mpx/s.</param>
    public static double ConversionCores(double source, double target) => Conversion(source, target) / EncodeMegapixelsPerCore;

    /// <summary>Usual bitrates in Mbit/s; common practice.</summary>
    public const double Mbps720 = 4;

    /// <summary>Usual bitrate of 1080p in Mbit/s; common practice.</summary>
    public const double Mbps1080 = 10;

    /// <summary>Usual bitrate of 2160p in Mbit/s; common practice.</summary>
    public const double Mbps2160 = 40;

    /// <summary>What is read of the library, in Mbit/s, for each film that is converted: the source, and not what is sent out. Null for loads that send what they read.</summary>
    public static double? SourceMbps(string load) =>
        load switch
        {
            "conversions-1080p" => Mbps1080,
            "conversions-2160p" or "conversions-2160p-kept" => Mbps2160,
            _ => null,
        };

    /// <summary>A whole film, for the worst case of a conversion's scratch space; common practice.</summary>
    public const double FilmHours = 2;

    /// <summary>The share of a link's goodput that streams may take; common practice.</summary>
    public const double LinkShare = 0.7;

    /// <summary>GB of scratch space that a running conversion may need: bitrate × length of the film.</summary>
    public static double ScratchGB(double mbps) => mbps / 1000 / 8 * FilmHours * 3600;
}
