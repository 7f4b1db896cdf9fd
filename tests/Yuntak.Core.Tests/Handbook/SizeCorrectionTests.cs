using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Handbook;

/// <summary>The corrections from practice in chapter 2 of the handbook, one by one.</summary>
public class SizeCorrectionTests
{
    [Theory]
    [Trade]
    [InlineData("automation-hub")]
    [InlineData("router")]
    [InlineData("backup-server")]
    [InlineData("camera-recorder")]
    [InlineData("desktop")]
    [InlineData("test-machine")]
    public void Some_services_get_two_processors_as_a_machine(string profile)
    {
        Size(profile, GuestKind.Machine, ("cameras", 1), ("line-rate", 0.1)).Vcpu.ShouldBeGreaterThanOrEqualTo(2);
        if (profile is "automation-hub" or "camera-recorder")
        {
            Size(profile, GuestKind.AppStack, ("cameras", 1)).Vcpu.ShouldBe(1);
        }
    }

    [Fact]
    [Trade]
    public void Every_machine_carries_half_a_GiB_and_8_GiB_of_disk_on_top_whatever_the_profile()
    {
        foreach (var profile in ProfileBook.Standard.All.Where(p => p.Id is not "automation-hub" and not "app-engine"))
        {
            var container = Size(profile.Id, GuestKind.SystemContainer);
            var machine = Size(profile.Id, GuestKind.Machine);
            (machine.ExpectedMemory - container.ExpectedMemory).ShouldBe(ByteSize.FromMiB(512), profile.Id);
            (machine.SystemDisk - container.SystemDisk).ShouldBe(ByteSize.FromGiB(8), profile.Id);
        }
    }

    [Fact]
    public void A_hub_grows_with_devices_past_50_and_with_add_ons()
    {
        // From memory: 0.01 core and 4 MiB a device past 50, 64 MiB an add-on.
        var usual = Size("automation-hub", GuestKind.AppStack, ("devices", 50));
        Size("automation-hub", GuestKind.AppStack, ("devices", 0)).ExpectedMemory.ShouldBe(usual.ExpectedMemory);
        var large = Size("automation-hub", GuestKind.AppStack, ("devices", 150), ("add-ons", 2));
        (large.ExpectedMemory - usual.ExpectedMemory).ShouldBe(ByteSize.FromMiB(528));
        (large.BusyCores.Value - usual.BusyCores.Value).ShouldBe(1, 1e-9);
    }

    [Theory]
    [Reference("handbook, chapter 2: 10 × (248.8 / 2 + 62.2) = 1,866 and 10 × 1.5 × 248.8 = 3,732 Mpx/s")]
    [InlineData("conversions-2160p", 1866)]
    [InlineData("conversions-2160p-kept", 3732)]
    public void Ten_2160p_conversions_ask_that_much_of_an_encoder(string load, double mpx) =>
        Size("media-library", GuestKind.SystemContainer, (load, 10), ("conversions-1080p", 0)).EncodeMegapixels.Value.ShouldBe(mpx, 1);

    [Fact]
    [Trade]
    public void Conversions_cost_a_third_of_a_core_beside_an_encoder_and_ten_cores_in_software_with_high_dynamic_range()
    {
        double Busy(params (string, double)[] loads) =>
            Size(
                "media-library",
                GuestKind.SystemContainer,
                [("conversions-1080p", 0), ("conversions-2160p", 2), .. loads]
            ).BusyCores.Value;
        Busy(("software-encoding", 0)).ShouldBe(0.05 + (2 * 0.3), 1e-9);
        Busy(("software-encoding", 1)).ShouldBe(0.05 + (2 * ((248.832 / 2) + 62.208) / 45), 1e-9);
        Busy(("software-encoding", 1), ("high-range", 1)).ShouldBe(0.05 + (2 * 10), 1e-9);
    }

    [Fact]
    [Trade]
    public void Looks_take_80_ms_each_of_the_processor_where_there_is_no_accelerator()
    {
        (string, double)[] loads = [("cameras", 4), ("frames", 5), ("looks", 1)];
        var with = Size("camera-recorder", GuestKind.AppStack, loads);
        var without = Size("camera-recorder", GuestKind.AppStack, [.. loads, ("software-looks", 1)]);
        with.AcceleratorShare.Value.Value.ShouldBe(0.2, 1e-9);
        without.AcceleratorShare.Value.Value.ShouldBe(0);
        (without.BusyCores.Value - with.BusyCores.Value).ShouldBe(4 * 5 * 0.08, 1e-9);
    }

    [Fact]
    [Trade]
    public void A_router_that_looks_into_the_traffic_wants_4_GiB_more_and_its_tunnels_are_a_load()
    {
        var plain = Size("router", GuestKind.Machine);
        (Size("router", GuestKind.Machine, ("inspection", 1)).ExpectedMemory - plain.ExpectedMemory).ShouldBe(ByteSize.FromGiB(4));
        (Size("router", GuestKind.Machine, ("tunnels", 500)).BusyCores.Value - plain.BusyCores.Value).ShouldBe(0.5, 1e-9);
    }

    [Fact]
    [Trade]
    public void A_photo_cloud_that_recognises_wants_two_processors_and_4_GiB_at_least()
    {
        var small = Size("file-cloud", GuestKind.AppStack, ("active", 1), ("recognition", 1));
        small.Vcpu.ShouldBe(2);
        small.Memory.ShouldBe(ByteSize.FromGiB(4));
        Size("file-cloud", GuestKind.AppStack, ("active", 1)).Memory.ShouldBeLessThan(ByteSize.FromGiB(2));
        Size("file-cloud", GuestKind.AppStack, ("active", 40), ("recognition", 1)).Memory.ShouldBeGreaterThan(ByteSize.FromGiB(4));
    }

    [Fact]
    public void A_language_model_wants_1_GiB_for_8000_tokens_and_one_core_beside_a_graphics_card()
    {
        // From memory: 1 GiB more for each 8,000 tokens of context.
        var plain = Size("language-model", GuestKind.Machine);
        (Size("language-model", GuestKind.Machine, ("context", 16_000)).ExpectedMemory - plain.ExpectedMemory).ShouldBe(
            ByteSize.FromGiB(2)
        );
        Size("language-model", GuestKind.Machine, ("main-memory", 0), ("cores", 8)).BusyCores.Value.ShouldBe(1, 1e-9);
        Size("language-model", GuestKind.Machine, ("cores", 8)).BusyCores.Value.ShouldBe(8, 1e-9);
    }

    [Fact]
    [Trade]
    public void The_ceiling_of_a_stack_is_twice_its_expected_use_or_512_MiB_more()
    {
        var small = Size("message-broker", GuestKind.AppStack);
        small.Ceiling.ShouldBe(small.ExpectedMemory + ByteSize.FromMiB(512));
        var large = Size("document-archive", GuestKind.AppStack);
        large.Ceiling.ShouldBe(2L * large.ExpectedMemory);
    }

    [Fact]
    public void Ports_in_profiles_are_those_a_published_standard_gives() =>
        ProfileBook.Standard.All.SelectMany(p => p.Ports).ShouldBeSubsetOf([53, 67, 69, 80, 443, 445, 1883, 2049, 8883]);

    [Fact]
    public void Advice_for_a_machine_stays_within_the_threads_of_its_host_and_says_so()
    {
        var lab = Small
            .Lab(Small.Host("wren", 64, 2, 2))
            .WithGuestOn(Small.Guest("films", "media-library", load: new LoadValue("conversions-2160p", 1)), "wren");
        var size = Sizing.Of(lab, lab.Guests[0]);
        size.Vcpu.ShouldBe(2);
        size.AdvisedVcpu.Formula.ShouldContain("wren has only 2 threads");
        lab.Findings("wants.more-vcpu-than-threads").ShouldBeEmpty("advice never breaks the host it is for");
        lab.Findings("wants.processors-short").Single().Text.ShouldContain("no more threads");

        var desktop = Small.Lab(Small.Host("wren", 64, 2, 2)).WithGuestOn(Small.Guest("screen", "desktop"), "wren");
        desktop.Findings("wants.more-vcpu-than-threads").ShouldBeEmpty();
        desktop.Findings("wants.processors-short").ShouldBeEmpty("two cores at its busiest, two threads there");
    }

    [Fact]
    public void A_guest_never_uses_more_cores_than_its_processors()
    {
        var lab = Small
            .Lab(Small.Host("kiln", 64, 8, 16))
            .WithGuestOn(
                Small.Guest("films", "media-library", load: new LoadValue("conversions-1080p", 8)) with
                {
                    Overrides = new SizeOverrides(Vcpu: 3),
                },
                "kiln"
            );
        Stations.Assessment.Of(lab).Hosts[0].Processor.Peak.Value.Value.ShouldBe(3, 1e-9);
    }

    [Fact]
    public void An_engine_that_waits_for_its_stacks_is_never_called_generous()
    {
        var engine = Small.Guest("engine", "app-engine") with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(16)) };
        var lab = Small.Lab(Small.Host("kiln")).WithGuestOn(engine, "kiln");
        lab.Findings("wants.memory-generous").ShouldBeEmpty();
    }

    [Fact]
    public void The_lines_of_a_figure_add_up_to_it()
    {
        foreach (var profile in ProfileBook.Standard.All)
        {
            foreach (var kind in Enum.GetValues<GuestKind>())
            {
                var size = Size(profile.Id, kind);
                var lines = size.AdvisedMemory.Inputs.Select(i => i.Value).OfType<ByteSize>().ToList();
                ((double)lines.Sum(l => l.Bytes)).ShouldBe(size.ExpectedMemory.Bytes, lines.Count + 1, $"{profile.Id} {kind}");
                size.AdvisedVcpu.Inputs.Select(i => i.Value)
                    .OfType<Cores>()
                    .Sum(c => c.Value)
                    .ShouldBe(size.BusyCores.Value, 1e-9, $"{profile.Id} {kind}");
                lines.ShouldNotContain(ByteSize.Zero, profile.Id);
            }
        }
    }

    private static Sizing Size(string profile, GuestKind kind, params (string Id, double Value)[] loads) =>
        Small.Size(Small.Guest("it", profile, kind, [.. loads.Select(l => new LoadValue(l.Id, l.Value))]));
}
