namespace Yuntak.Formats.Intake;

/// <summary>A stream whose first bytes were looked at already: they come first, then the rest.</summary>
internal sealed class PrefixedStream(ReadOnlyMemory<byte> prefix, Stream rest) : Stream
{
    private ReadOnlyMemory<byte> prefix = prefix;

    public override bool CanRead => true;

    public override bool CanSeek => false;

    public override bool CanWrite => false;

    public override long Length => throw new NotSupportedException();

    public override long Position
    {
        get => throw new NotSupportedException();
        set => throw new NotSupportedException();
    }

    public override int Read(byte[] buffer, int offset, int count) => Read(buffer.AsSpan(offset, count));

    public override int Read(Span<byte> buffer)
    {
        if (prefix.IsEmpty)
        {
            return rest.Read(buffer);
        }

        var count = Math.Min(buffer.Length, prefix.Length);
        prefix.Span[..count].CopyTo(buffer);
        prefix = prefix[count..];
        return count;
    }

    public override void Flush() { }

    public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

    public override void SetLength(long value) => throw new NotSupportedException();

    public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
}
