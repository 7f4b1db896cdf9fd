namespace Yuntak.Web.Rooms;

/// <summary>All rooms, in the order of the route. A new station is a line here; menu, search, tests, pictures and benchmark follow.</summary>
public static class House
{
    /// <summary>The rooms.</summary>
    public static readonly IReadOnlyList<Room> Rooms =
    [
        new KitRoom(),
        new WantsRoom(),
        new DisksRoom(),
        new DevicesRoom(),
        new WiresRoom(),
        new BenchRoom(),
        new RunbookRoom(),
        new KeepingRoom(),
        new Hall(),
    ];

    /// <summary>Every page there is.</summary>
    public static IEnumerable<RoomPage> Pages => Rooms.SelectMany(r => r.Pages);
}
