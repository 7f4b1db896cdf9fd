using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Runbooks;

/// <summary>A virtual disk only ever grows; its partition and file system do not follow by themselves (common practice).</summary>
public class GrowingDiskTests
{
    [Theory]
    [InlineData(40, true)]
    [InlineData(32, false)]
    public void A_machine_s_larger_disk_is_grown_inside_too_and_never_set_back(double gib, bool grows)
    {
        var step = Change(GuestKind.Machine, gib);
        step.Values.Any(v => v.Value.Contains("resize2fs")).ShouldBe(grows);
        step.WayBack.Contains("old figures").ShouldBe(!grows);
    }

    [Fact]
    public void A_container_s_room_follows_by_itself() =>
        Change(GuestKind.SystemContainer, 40).Values.ShouldNotContain(v => v.Value.Contains("resize2fs"));

    private static RunbookStep Change(GuestKind kind, double gib)
    {
        Lab With(double disk, double memory) =>
            Small
                .Lab(Small.Host("kiln", 32))
                .WithGuestOn(
                    Small.Guest("notes", kind: kind) with
                    {
                        Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(memory), SystemDisk: ByteSize.FromGiB(disk)),
                    },
                    "kiln"
                );
        return RunbookBuilder.Build(With(32, 1), With(gib, 2)).Steps.First(s => s.Act.Type == "set-figures");
    }
}
