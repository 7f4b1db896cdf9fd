namespace Yuntak.Web.Rooms;

/// <summary>
/// A page as the demo has it. Tests of every page, tests of accessibility, the benchmark and the pictures walk these and keep no lists of their own.
/// </summary>
/// <param name="Path">Its path and query.</param>
/// <param name="Pictures">The pictures made of it.</param>
public sealed record RoomPage(string Path, params IReadOnlyList<Picture> Pictures)
{
    /// <summary>Whether it is there only once the demo's tower was read again.</summary>
    public bool AfterReading { get; init; }

    /// <summary>Whether it is a page of its own, with its own time and its own contrast: not a variant that only a wrong or empty address leads to.</summary>
    public bool IsView { get; init; } = true;
}
