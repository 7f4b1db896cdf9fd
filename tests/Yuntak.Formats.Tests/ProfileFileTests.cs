using System.Text;
using CsCheck;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Formats.LabFiles;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests;

/// <summary>Profiles as files: what is written is read back the same, and a wrong one is refused with line and reason.</summary>
public sealed class ProfileFileTests
{
    private const string Mixer = """
        yuntak-profiles: 1
        profiles:
          - id: pigment-mixer
            name: pigment mixer
            summary: Recipes for glazes.
            family: workshop
            advised: [app-stack, machine]
            loads:
              - { id: batches, label: Batches at once, says: "{0} batches", usual: 2, min: 0, max: 20 }
            busy: [{ label: batch, amount: 0.5, per: [batches] }]
            memory:
              - { label: mixer, amount: 0.5 }
              - { label: own system, amount: 1, only: [machine] }
            shape: working-day

        """;

    [Fact]
    public void Any_profile_is_written_and_read_back_the_same() =>
        Gens.AnyProfile.Holds(
            profile =>
            {
                var text = ProfileFile.ToYaml([profile]);
                var reading = ProfileFile.Read(text);
                reading.Problems.ShouldBeEmpty(text);
                reading.Profiles!.Value.Single().ShouldBe(profile);
            },
            iter: 300
        );

    [Fact]
    public void Every_profile_that_comes_with_Yuntak_is_sound_and_goes_through_a_file()
    {
        var text = ProfileFile.ToYaml(ProfileBook.Standard.All);
        ProfileFile.Read(text).Profiles!.Value.ShouldBe(ProfileBook.Standard.All);
    }

    [Fact]
    public void A_profile_typed_by_hand_sizes_a_guest()
    {
        var book = ProfileBook.With(ProfileFile.Read(Mixer).Profiles!.Value);
        var guest = Small.Guest("mixer", "pigment-mixer", GuestKind.Machine, new LoadValue("batches", 3));

        var sizing = Sizing.Of(guest, book);
        sizing.BusyCores.Value.ShouldBe(1.5, 1e-9);
        // (1.5 + 0.5 for the machine's own system) GiB × 1.15 = 2.3 GiB, up to the next 256 MiB.
        sizing.Memory.ShouldBe(ByteSize.FromGiB(2.5));
        Sizing.Of(guest with { Kind = GuestKind.AppStack }, book).Memory.ShouldBeLessThan(sizing.Memory);
    }

    [Theory]
    [InlineData(
        "amount: 0.5, per",
        "amount: -0.5, per",
        10,
        "profiles[0].busy[0].amount",
        "«batch»: the amount is a number that is not negative"
    )]
    [InlineData("amount: 0.5, per", "amount: half, per", 10, "profiles[0].busy[0].amount", "a number belongs here, not «half»")]
    [InlineData("per: [batches]", "per: [pots]", 10, "profiles[0].busy[0].per", "«batch» grows with «pots», which is not among the loads")]
    [InlineData("family: workshop", "family: garage", 6, "profiles[0].family", "one of house, media")]
    [InlineData("[app-stack, machine]", "[app-stack, cloud]", 7, "profiles[0].advised[1]", "one of machine, system-container")]
    [InlineData("[app-stack, machine]", "[]", 7, "profiles[0].advised", "at least one way of packaging")]
    [InlineData("usual: 2", "usual: 200", 9, "profiles[0].loads[0]", "«batches»: the usual amount lies from the least to the most")]
    [InlineData("max: 20", "max: 1e300", 10, "profiles[0].busy", "is the most that is counted")]
    [InlineData("shape: working-day", "shape: lunch", 14, "profiles[0].shape", "one of flat, evening")]
    [InlineData("shape: working-day", "shape: [0.5, 1]", 14, "profiles[0].shape", "24 numbers from 0 to 1")]
    [InlineData("id: pigment-mixer", "id: Pigment Mixer", 3, "profiles[0].id", "lower case letters, digits")]
    [InlineData("name: pigment mixer", "name: \"\"", 4, "profiles[0].name", "may not be empty")]
    [InlineData("    memory:", "    memroy:", 11, "profiles[0].memroy", "«memroy» is not known here; known are")]
    [InlineData("yuntak-profiles: 1", "yuntak-profiles: 7", 1, "yuntak-profiles", "this Yuntak reads version 1")]
    public void A_wrong_profile_is_refused_with_line_and_reason(string right, string wrong, int line, string path, string says)
    {
        Mixer.ShouldContain(right);
        var reading = ProfileFile.Read(Mixer.Replace(right, wrong));

        reading.Profiles.ShouldBeNull();
        reading.Problems.ShouldContain(p => p.Line == line && p.Path == path && p.Text.Contains(says), string.Join("\n", reading.Problems));
    }

    [Theory]
    [InlineData("", "the file is empty")]
    [InlineData("yuntak-profiles: 1\nprofiles: []", "there is no profile in it")]
    [InlineData("yuntak-profiles: 1\nprofiles: [&a {id: x}, *a]", "references (*name) are not used")]
    public void What_is_no_profile_file_is_refused_in_one_line(string text, string says) =>
        ProfileFile.Read(text).Problems.ShouldContain(p => p.ToString().Contains(says));

    [Fact]
    public void Two_profiles_of_one_id_are_refused() =>
        ProfileFile
            .Read(Mixer + Mixer[(Mixer.IndexOf("profiles:\n", StringComparison.Ordinal) + 10)..])
            .Problems.ShouldHaveSingleItem()
            .Text.ShouldContain("«pigment-mixer» is there twice");

    [Fact]
    public void The_own_profiles_of_a_lab_file_are_read_from_it_too()
    {
        var lab = Lab.Empty("x") with { Profiles = ProfileFile.Read(Mixer).Profiles!.Value };
        ProfileFile.Read(LabFile.ToYaml(lab)).Profiles.ShouldBe(lab.Profiles);
    }

    [Fact]
    public void Mutations_of_a_profile_file_never_throw()
    {
        var mutation =
            from at in Gen.Int[0, Mixer.Length - 1]
            from length in Gen.Int[0, 40]
            from insert in Gen.OneOf(Gen.String[0, 8], Pick.From("{", "}", "[", "]", ":", "\n", "null", "-1", "1e400", "NaN"))
            select Mixer.Remove(at, Math.Min(length, Mixer.Length - at)).Insert(at, insert);
        mutation.Holds(
            t =>
            {
                var reading = ProfileFile.Read(t);
                return reading.Profiles is null == reading.Problems.Count > 0;
            },
            iter: 1000
        );
    }
}
