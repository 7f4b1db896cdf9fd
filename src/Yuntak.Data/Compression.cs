using System.IO.Compression;

namespace Yuntak.Data;

/// <summary>Compresses what is stored.</summary>
internal static class Compression
{
    public static byte[] Pack(byte[] plain)
    {
        using var packed = new MemoryStream();
        using (var brotli = new BrotliStream(packed, CompressionLevel.Fastest))
        {
            brotli.Write(plain);
        }

        return packed.ToArray();
    }

    public static byte[] Unpack(byte[] packed)
    {
        using var brotli = new BrotliStream(new MemoryStream(packed), CompressionMode.Decompress);
        using var plain = new MemoryStream();
        brotli.CopyTo(plain);
        return plain.ToArray();
    }
}
