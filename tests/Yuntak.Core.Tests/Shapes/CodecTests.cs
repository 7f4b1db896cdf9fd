using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Shapes;

/// <summary>One codec for a value: what it reads it writes, its limits hold both ways, and what it refuses it names with what belongs there.</summary>
public class CodecTests
{
    [Theory]
    [InlineData("1", true)]
    [InlineData("1440", true)]
    [InlineData(" 5 ", true)]
    [InlineData("0", false)]
    [InlineData("1441", false)]
    [InlineData("-1", false)]
    [InlineData("1.5", false)]
    [InlineData("٥", false)]
    [InlineData("99999999999999999999", false)]
    [InlineData("", false)]
    public void Whole_numbers_have_limits_and_are_digits(string text, bool reads) =>
        Codecs.Whole(1, 1_440).TryRead(text, out _).ShouldBe(reads);

    [Theory]
    [InlineData("machine", true)]
    [InlineData("system-container", true)]
    [InlineData("Machine", false)]
    [InlineData("0", false)]
    [InlineData("99", false)]
    [InlineData("", false)]
    public void Words_are_words_and_never_numbers(string text, bool reads) =>
        Codecs.Word(Profiles.ProfileWords.Kinds).TryRead(text, out _).ShouldBe(reads);

    [Fact]
    public void Sizes_are_read_with_their_unit_and_written_to_the_byte()
    {
        var codec = Codecs.Size(Prefixes.Binary, ByteSize.FromMiB(16));
        codec.TryRead("4g", out var size).ShouldBeTrue();
        size.ShouldBe(ByteSize.FromGiB(4));
        codec.Write(new ByteSize(4_294_967_297)).ToString().ShouldBe("4294967297 B");
        codec.TryRead("15 MiB", out _).ShouldBeFalse("less than the least");
        codec.TryRead("lots", out _).ShouldBeFalse();
    }

    [Fact]
    public void What_is_no_number_is_refused_in_words_and_never_throws()
    {
        var codec = Codecs.Number(1, 20);
        codec.Within(double.NaN).ShouldBeFalse();
        codec.Within(double.PositiveInfinity).ShouldBeFalse();
        Should.NotThrow(() => codec.Write(double.NaN));
        codec.Wrong("lots").ShouldBe("a number from 1 to 20 belongs here, not «lots»");
    }

    [Fact]
    public void What_is_typed_into_a_form_is_refused_with_the_label_of_its_field()
    {
        var guest = Small.Guest("notes");
        Should
            .Throw<Refused>(() => GuestShapes.Guest["health-check-minutes"].Set(guest, "0"))
            .Message.ShouldBe("Minutes its health check waits: a whole number from 1 to 1,440 belongs here, not «0».");
        GuestShapes.Guest["health-check-minutes"].Set(guest, "").HealthCheckMinutes.ShouldBeNull();
        GuestShapes.Guest["health-check-minutes"].Set(guest, "7").HealthCheckMinutes.ShouldBe(7);
    }

    [Fact]
    public void Two_changes_of_one_record_are_joined_member_by_member()
    {
        var common = Small.Guest("notes");
        List<string> clashes = [];
        var joined = GuestShapes.Guest.Merge(common, common with { Importance = Importance.Must }, common with { Image = "a:1" }, clashes);
        joined.ShouldBe(common with { Importance = Importance.Must, Image = "a:1" });
        clashes.ShouldBeEmpty();

        GuestShapes.Guest.Merge(common, common with { Image = "b:1" }, common with { Image = "a:1" }, clashes);
        clashes.ShouldBe(["image"]);
    }

    [Fact]
    public void Whatever_is_in_a_lab_says_the_same_after_its_fields_were_copied_one_by_one() =>
        Gens.AnyBuilt.Holds(
            lab =>
            {
                foreach (var guest in lab.Guests)
                {
                    GuestShapes.Guest.Fields.Aggregate(GuestShapes.Guest.Blank, (g, f) => f.Copy(guest, g)).ShouldBe(guest);
                }

                foreach (var host in lab.Hosts)
                {
                    HostShapes.Host.Fields.Aggregate(HostShapes.Host.Blank, (h, f) => f.Copy(host, h)).ShouldBe(host);
                }
            },
            iter: 60
        );
}
