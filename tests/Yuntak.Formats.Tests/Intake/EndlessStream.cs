namespace Yuntak.Formats.Tests;

/// <summary>A stream of so many letters that counts how many were taken.</summary>
internal sealed class EndlessStream(long length) : Stream
{
    public long Given { get; private set; }

    public override bool CanRead => true;

    public override bool CanSeek => false;

    public override bool CanWrite => false;

    public override long Length => length;

    public override long Position
    {
        get => Given;
        set => throw new NotSupportedException();
    }

    public override int Read(byte[] buffer, int offset, int count)
    {
        var got = (int)Math.Min(count, length - Given);
        Array.Fill(buffer, (byte)'a', offset, got);
        Given += got;
        return got;
    }

    public override void Flush() { }

    public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

    public override void SetLength(long value) => throw new NotSupportedException();

    public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
}
