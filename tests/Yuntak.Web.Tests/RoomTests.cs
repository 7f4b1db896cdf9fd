using Yuntak.Core.Findings;
using Yuntak.Web.Rooms;

namespace Yuntak.Web.Tests;

/// <summary>What the rooms bring is whole: every station has one, every page is named once, every picture is there and shown.</summary>
public class RoomTests
{
    [Fact]
    public void Every_station_has_one_room_in_the_order_of_the_route() =>
        House.Rooms.Select(r => r.Station).OfType<Station>().ShouldBe(Enum.GetValues<Station>());

    [Fact]
    public void Every_page_belongs_to_its_station_and_is_named_once()
    {
        House.Pages.Select(p => p.Path).ShouldBeUnique();
        foreach (var room in House.Rooms.Where(r => r.Station is not null))
        {
            room.Pages.ShouldNotBeEmpty();
            room.Pages.ShouldAllBe(p =>
                p.Path == $"/{room.Station}" || p.Path.StartsWith($"/{room.Station}/") || p.Path.StartsWith($"/{room.Station}?")
            );
        }
    }

    [Fact]
    public void Pictures_in_the_documentation_are_those_the_rooms_name_and_each_is_shown()
    {
        var pictures = House.Pages.SelectMany(p => p.Pictures).Select(p => p.Name).ToList();
        pictures.ShouldBeUnique();
        pictures.Count.ShouldBeLessThan(20);
        var folder = Path.Combine(Repository.Root, "docs", "screenshots");
        Directory.EnumerateFiles(folder).Select(Path.GetFileNameWithoutExtension).ShouldBe(pictures, ignoreOrder: true);
        var readme = File.ReadAllText(Path.Combine(Repository.Root, "README.md"));
        pictures.ShouldAllBe(p => readme.Contains($"docs/screenshots/{p}.png"));
    }
}
