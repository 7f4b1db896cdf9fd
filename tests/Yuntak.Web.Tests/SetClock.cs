namespace Yuntak.Web.Tests;

/// <summary>A clock that stands still until it is set.</summary>
internal sealed class SetClock : TimeProvider
{
    public DateTimeOffset Now { get; set; } = new(2026, 1, 1, 0, 0, 0, TimeSpan.Zero);

    public override DateTimeOffset GetUtcNow() => Now;
}
