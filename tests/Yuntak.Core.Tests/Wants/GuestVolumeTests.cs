using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Wants;

/// <summary>What a guest keeps and where it lies, each kind of place.</summary>
public class GuestVolumeTests
{
    private static readonly FolderMount Config = new("/ember/apps/films/config", "/config");

    [Fact]
    public void A_library_on_a_share_is_one_volume_and_is_brought_in_once()
    {
        var plain = Library(Stack() with { Folders = [Config] });
        var lab = plain.WithGuest(plain.Guests[0].Id, g => g with { Mounts = [new ShareMount("reels", "/reels", Library: true)] }) with
        {
            Shares = [new NetworkShare("reels", new ShareEnd(Host: new HostId("kiln"), Path: "/ember/reels"), Size: ByteSize.FromTB(1))],
        };
        var kept = Kept(lab);
        kept.Select(v => v.Place).ShouldBe([VolumePlace.OwnFolder, VolumePlace.Share]);
        kept[1].Outside.ShouldBe("/ember/reels");
        RunbookBuilder.Build(lab with { Guests = [] }, lab).Steps.Count(s => s.What.StartsWith("Bring")).ShouldBe(1);
    }

    [Fact]
    public void Named_data_folders_are_the_only_ones() => Place(Stack() with { Folders = [Config] }).ShouldBe(VolumePlace.DataFolders);

    [Fact]
    public void Folders_that_are_only_read_hold_none_of_it() =>
        Place(Stack() with { Folders = [Config with { ReadOnly = true }] }).ShouldBe(VolumePlace.OwnFolder);

    [Theory]
    [InlineData(GuestKind.Machine, VolumePlace.OwnDisk)]
    [InlineData(GuestKind.SystemContainer, VolumePlace.OwnFolder)]
    public void Others_have_a_disk_or_a_folder_of_their_own(GuestKind kind, VolumePlace place) =>
        Place(Stack() with { Kind = kind, Folders = [] }).ShouldBe(place);

    [Fact]
    public void Where_no_pool_is_named_it_lies_on_the_system_disk_and_is_no_volume_beside_it()
    {
        var lab = Library(Stack() with { Kind = GuestKind.Machine, Folders = [] });
        var none = lab.WithGuest(lab.Guests[0].Id, g => g with { Placement = g.Placement! with { BulkPool = null } });
        Kept(none).Select(v => v.Place).ShouldBe([VolumePlace.OwnDisk, VolumePlace.SystemDisk]);
        none.Keeping().Volumes.Count.ShouldBe(1);
    }

    [Theory]
    [InlineData("/ember/apps/films/config", "/ember/apps/films")]
    [InlineData("/ember/stacks/films", "/ember/stacks/films")]
    [InlineData("/ember/elsewhere", "/ember/stacks/films")]
    public void A_Compose_file_lies_beside_its_data(string folder, string home)
    {
        var lab = Library(Stack() with { Folders = [new FolderMount(folder, "/config")] });
        GuestVolumes.StackHome(lab, lab.Guests[0]).ShouldBe(home);
    }

    private static Guest Stack() => Small.Guest("films", "media-library", GuestKind.AppStack, new LoadValue("library", 1));

    private static Lab Library(Guest guest) => Small.Lab(Small.Host("kiln", 32, 8, 16, 8)).WithGuestOn(guest, "kiln");

    private static List<GuestVolume> Kept(Lab lab) => [.. GuestVolumes.Of(lab, Assessment.Of(lab).Guests[0])];

    private static VolumePlace Place(Guest guest) => Kept(Library(guest)).Single(v => v.Part == VolumePart.Bulk).Place;
}
