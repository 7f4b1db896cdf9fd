namespace Yuntak.Data;

/// <summary>What kind of image some bytes are, by how they begin and by nothing somebody says of them.</summary>
internal static class ImageType
{
    /// <summary>The media type of an image every browser shows; null for anything else, drawings that could run something among them.</summary>
    /// <remarks>PNG: W3C, Portable Network Graphics, 5.2; JPEG: ITU-T T.81, B.1.1.3 (start of image, then another marker); WebP: RFC 9649, 2.4.</remarks>
    public static string? Of(ReadOnlySpan<byte> content) =>
        content.StartsWith((ReadOnlySpan<byte>)[0x89, .. "PNG\r\n"u8, 0x1A, (byte)'\n']) ? "image/png"
        : content.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xD8, 0xFF]) ? "image/jpeg"
        : content.Length > 12 && content.StartsWith("RIFF"u8) && content[8..].StartsWith("WEBP"u8) ? "image/webp"
        : null;
}
