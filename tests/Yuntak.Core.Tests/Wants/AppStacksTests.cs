using Yuntak.Core.Wants;

namespace Yuntak.Core.Tests.Wants;

public class AppStacksTests
{
    [Theory]
    [InlineData("registry.example/a:1.0", "1.0")]
    [InlineData("a:latest", "latest")]
    [InlineData("registry.example:5000/a", null)]
    [InlineData("registry.example:5000/a:2", "2")]
    [InlineData("a", null)]
    [InlineData("a:", null)]
    [InlineData("a:1@sha256:0123", "1")]
    public void The_tag_is_told_from_a_port(string image, string? tag) => AppStacks.Tag(image).ShouldBe(tag);

    [Theory]
    [InlineData("hearth", "/srv/hearth/data")]
    [InlineData("Two Words", "/srv/two-words/data")]
    [InlineData("../etc", "/srv/etc/data")]
    public void A_data_folder_follows_from_the_name_and_stays_under_srv(string name, string folder) =>
        AppStacks.DefaultFolder(name).HostPath.ShouldBe(folder);
}
