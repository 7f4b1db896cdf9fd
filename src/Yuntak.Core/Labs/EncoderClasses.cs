namespace Yuntak.Core.Labs;

/// <summary>What each sort of video encoder does, for when nobody measured it; from memory.</summary>
internal static class EncoderClasses
{
    /// <summary>What a sort of encoder does, in Mpx/s.</summary>
    public static double Megapixels(this EncoderClass encoder) =>
        encoder switch
        {
            EncoderClass.RecentGraphics => 1_800,
            EncoderClass.OlderGraphics => 600,
            EncoderClass.Card => 2_500,
            EncoderClass.None => 0,
        };
}
