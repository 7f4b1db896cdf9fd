namespace Yuntak.Formats.Tests.Intake;

/// <summary>A text that notes, each time more of it is read, how much memory is in use.</summary>
internal sealed class WatchedStream(byte[] text) : MemoryStream(text)
{
    public long MostMemory { get; private set; }

    public override int Read(Span<byte> buffer)
    {
        Watch();
        return base.Read(buffer);
    }

    public override int Read(byte[] buffer, int offset, int count)
    {
        Watch();
        return base.Read(buffer, offset, count);
    }

    private void Watch() => MostMemory = Math.Max(MostMemory, GC.GetTotalMemory(forceFullCollection: false));
}
