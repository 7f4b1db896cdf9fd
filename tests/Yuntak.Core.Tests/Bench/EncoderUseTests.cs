using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Bench;

/// <summary>Who may use which video encoder, and whether it keeps up.</summary>
public class EncoderUseTests
{
    private const string Card = "0000:01:00.0";

    private static readonly Host Kiln = Small
        .Host("kiln", 64, 8, 16)
        .With(
            new Hardware(
                Functions: [new PciFunction(Card, "0300", "Wickerlight G1"), new PciFunction("0000:02:00.0", "0108")],
                Isolation: true
            )
        );

    [Fact]
    public void Containers_share_the_cards_the_host_keeps()
    {
        var use = Use(
            Small.Lab(Kiln).WithGuestOn(Films("a", GuestKind.SystemContainer), "kiln").WithGuestOn(Films("b", GuestKind.AppStack), "kiln")
        );

        use.Guests.Count.ShouldBe(2);
        use.Cards.Single().Address.ShouldBe(Card);
        // 1080p → 720p at 30 frames a second: half of 1920 × 1080 × 30 and all of 1280 × 720 × 30 are 58.752 Mpx/s; two guests with two each.
        use.Asked.Value.ShouldBe(4 * 58.752, 1e-9);
        use.Capacity.ShouldBeNull("nobody has said what the card does");
        use.Over.ShouldBeFalse();
    }

    [Fact]
    public void A_machine_has_only_what_was_handed_to_it_and_then_containers_have_it_no_more()
    {
        var lab = Small
            .Lab(Kiln)
            .WithGuestOn(Films("a", GuestKind.SystemContainer), "kiln")
            .WithGuestOn(Films("m", GuestKind.Machine), "kiln");
        Uses(lab).Single(u => u.Guests[0].Guest.Kind == GuestKind.Machine).Cards.ShouldBeEmpty();

        var handed = lab.With(KitEdits.HandOver(new HostId("kiln"), Card, new GuestId("m")));
        Uses(handed).Single(u => u.Guests[0].Guest.Kind == GuestKind.Machine).Cards.Single().Address.ShouldBe(Card);
        Uses(handed).Single(u => u.Guests[0].Guest.Kind == GuestKind.SystemContainer).Cards.ShouldBeEmpty();
        handed.Findings("wants.no-encoder").Single().Subject.Id.ShouldBe("a");
    }

    [Theory]
    [InlineData("27", true)]
    [InlineData("117.4", true)]
    [InlineData("117.504", false)]
    [InlineData("500", false)]
    public void An_entered_capacity_is_held_against_what_is_asked(string typed, bool over)
    {
        var lab = Small
            .Lab(Kiln)
            .WithGuestOn(Films("a", GuestKind.SystemContainer), "kiln")
            .With(KitEdits.Correct(new HostId("kiln"), $"{KitParts.Cards}/{Card}/encode", typed, new DateOnly(2026, 11, 20)));
        Use(lab).Over.ShouldBe(over);
        lab.Findings("wants.encoder-over").Count.ShouldBe(over ? 1 : 0);
    }

    [Fact]
    public void What_was_said_of_an_encoder_stands_when_the_host_is_read_again()
    {
        var said = KitCorrections.Correct(Kiln, $"{KitParts.Cards}/{Card}/encode", "320", new DateOnly(2026, 11, 20));
        var reading = new HostReading(null, null, [], [new PartReading(KitParts.Cards, 2, [])]) { Hardware = Kiln.Hardware };
        var again = HostMerge.Applied(said, reading);

        again.Hardware.Function(Card)!.EncodeMegapixels.ShouldBe(320);
        KitFacts.CorrectionOf(again, $"{KitParts.Cards}/{Card}/encode").ShouldNotBeNull("it is still mine, not the tools'");
    }

    [Fact]
    public void A_guest_that_converts_with_the_processor_leaves_nothing_to_the_encoder() =>
        Uses(
                Small
                    .Lab(Kiln)
                    .WithGuestOn(Small.Guest("films", "media-library", GuestKind.SystemContainer, new LoadValue("library", 1)), "kiln")
            )
            .ShouldBeEmpty();

    private static Guest Films(string name, GuestKind kind) =>
        Small.Guest(
            name,
            "media-library",
            kind,
            new LoadValue("conversions-1080p", 2),
            new LoadValue("library", 0.1),
            new LoadValue("software-encoding", 0)
        );

    private static EncoderUse Use(Lab lab) => Uses(lab).Single();

    private static List<EncoderUse> Uses(Lab lab) => [.. EncoderUse.Of(Assessment.Of(lab).Hosts[0])];
}
