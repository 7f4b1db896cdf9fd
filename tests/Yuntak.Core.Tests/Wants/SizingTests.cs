using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Formats.Intake;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Wants;

public class SizingTests
{
    [Theory]
    [Trade]
    [InlineData(100, 128)]
    [InlineData(1000, 1024)]
    [InlineData(1025, 1280)]
    [InlineData(2355.2, 2560)]
    [InlineData(4096, 4096)]
    [InlineData(4097, 4608)]
    [InlineData(16_384, 16_384)]
    [InlineData(16_385, 17_408)]
    public void Memory_is_rounded_up_in_growing_steps(double mib, double rounded) =>
        SizingRules.RoundUp(ByteSize.FromMiB(mib)).ShouldBe(ByteSize.FromMiB(rounded));

    [Theory]
    [Trade]
    [InlineData(0.02, 1)]
    [InlineData(0.8, 1)]
    [InlineData(0.81, 2)]
    [InlineData(1, 2)]
    [InlineData(2, 3)]
    [InlineData(4, 5)]
    [InlineData(5.2, 7)]
    public void Processors_are_a_quarter_more_than_is_busy_rounded_up(double busy, int vcpu) =>
        SizingRules.Vcpu(new Cores(busy)).ShouldBe(vcpu);

    [Fact]
    [Reference("x86-64 architecture manual, 4-level paging: 8-byte entries for 4 KiB pages, at two levels of translation")]
    public void A_machines_page_tables_take_a_256th_of_its_memory()
    {
        const long PageBytes = 4096;
        const long EntryBytes = 8;
        const long Levels = 2;
        var memory = ByteSize.FromGiB(8);
        var tables = memory.Bytes / PageBytes * EntryBytes * Levels;

        (SizingRules.Overhead(GuestKind.Machine, memory, 1) - SizingRules.MachineBaseOverhead).Bytes.ShouldBe(tables);
    }

    [Fact]
    [Trade]
    public void Containers_cost_their_host_little()
    {
        SizingRules.Overhead(GuestKind.SystemContainer, ByteSize.FromGiB(8), 1).ShouldBe(ByteSize.FromMiB(16));
        SizingRules.Overhead(GuestKind.AppStack, ByteSize.FromGiB(8), 3).ShouldBe(ByteSize.FromMiB(24));
    }

    [Fact]
    [Trade]
    public void An_automation_hub_as_a_machine_gets_what_is_plenty_in_practice()
    {
        var sizing = Small.Size(Small.Guest("hearth", "automation-hub"));

        sizing.Vcpu.ShouldBeLessThanOrEqualTo(2);
        sizing.Memory.ShouldBeGreaterThanOrEqualTo(ByteSize.FromGiB(2));
        sizing.SystemDisk.GiB.ShouldBeInRange(30, 40);
    }

    [Fact]
    [Trade]
    public void An_automation_hub_as_an_app_container_stays_near_165_MB()
    {
        var sizing = Small.Size(Small.Guest("hearth", "automation-hub", GuestKind.AppStack));

        sizing.Memory.MiB.ShouldBeInRange(165 / 1.048576, 2 * 165 / 1.048576 + 64);
        sizing.IdleCores.Value.ShouldBeInRange(0.015, 0.05);
    }

    [Fact]
    [Trade]
    public void A_router_for_a_gigabit_line_gets_two_processors()
    {
        var sizing = Small.Size(Small.Guest("gatehouse", "router", GuestKind.Machine, new LoadValue("line-rate", 1)));

        sizing.Vcpu.ShouldBe(2);
        sizing.Memory.ShouldBeGreaterThanOrEqualTo(ByteSize.FromGiB(2));
        sizing.SystemDisk.GiB.ShouldBeInRange(16, 40);
    }

    [Fact]
    [Trade]
    public void A_recorder_of_four_cameras_stays_under_the_two_cores_and_8_GiB_that_ran_well()
    {
        var sizing = Small.Size(Small.Guest("owlwatch", "camera-recorder"));

        sizing.Vcpu.ShouldBeLessThanOrEqualTo(2);
        sizing.Memory.ShouldBeLessThanOrEqualTo(ByteSize.FromGiB(8));
    }

    [Fact]
    [Reference("arithmetic: Mbit/s × 86,400 s ÷ 8")]
    public void One_4_Mbit_camera_fills_43_2_GB_a_day_and_four_fill_2_419_TB_in_a_fortnight()
    {
        Bulk(("cameras", 1), ("bitrate", 4), ("days", 1)).ShouldBe(ByteSize.FromGB(43.2));
        Bulk(("cameras", 4), ("bitrate", 4), ("days", 14)).TB.ShouldBe(2.419, 0.0005);
    }

    [Theory]
    [Reference("arithmetic: width × height × frames a second")]
    [InlineData(1920, 1080, 62.2)]
    [InlineData(3840, 2160, 248.8)]
    [InlineData(1280, 720, 27.6)]
    public void Pixel_rates_at_30_frames(int width, int height, double mpx) =>
        Video.MegapixelsPerSecond(width, height, 30).ShouldBe(mpx, 0.05);

    [Fact]
    [Reference("arithmetic: width × height × frames a second")]
    public void Ten_2160p_encodes_are_2488_million_pixels_a_second() =>
        (10 * Video.MegapixelsPerSecond(3840, 2160, 30)).ShouldBe(2488, 0.5);

    [Fact]
    [Trade]
    public void A_conversion_costs_half_its_source_and_its_target_at_45_Mpx_a_core() =>
        Video.ConversionCores(source: 90, target: 45).ShouldBe(2, 1e-9);

    [Fact]
    [Trade]
    public void Four_cameras_looked_at_five_times_a_second_for_10_ms_keep_a_fifth_of_an_accelerator_busy()
    {
        var sizing = Small.Size(
            Small.Guest("owlwatch", "camera-recorder", GuestKind.AppStack, new LoadValue("cameras", 4), new LoadValue("frames", 5))
        );
        sizing.AcceleratorShare.Value.Value.ShouldBe(0.2, 1e-9);
        sizing.Bandwidth.Value.ShouldBe(DataRate.FromMbps(16));
    }

    [Fact]
    [Reference("arithmetic: 20 Mbit/s × 2 h ÷ 8")]
    public void A_film_of_two_hours_at_20_Mbit_takes_18_GB_of_scratch_space() => Video.ScratchGB(20).ShouldBe(18, 1e-9);

    [Fact]
    [Trade]
    public void Streams_add_up_by_their_usual_bitrates() =>
        Small
            .Size(
                Small.Guest(
                    "films",
                    "media-library",
                    GuestKind.Machine,
                    new LoadValue("conversions-1080p", 0),
                    new LoadValue("plays", 3),
                    new LoadValue("plays-2160p", 1)
                )
            )
            .Bandwidth.Value.ShouldBe(DataRate.FromMbps((3 * 10) + 40));

    [Fact]
    [Trade]
    public void A_model_of_8_billion_parameters_at_4_bits_takes_a_fifth_more_than_its_bits_and_2_GiB()
    {
        var sizing = Of("language-model", [("parameters", 8), ("bits", 4)]);
        sizing.ExpectedMemory.GiB.ShouldBe((8e9 * 4 / 8 * 1.2 / (1L << 30)) + 2 + MachineSystem, 1e-6);
        sizing.Bulk.ShouldBe(ByteSize.FromGB(4));
    }

    [Theory]
    [Trade]
    [InlineData("reverse-proxy", 0.25, 4, 0.05)]
    [InlineData("remote-access", 0.25, 4, 0.15)]
    [InlineData("message-broker", 0.125, 2, 0.02)]
    [InlineData("flow-automation", 0.5, 4, 0.05)]
    [InlineData("container-page", 0.25, 2, 0.03)]
    [InlineData("measurements", 1.02, 8, 0.1)]
    [InlineData("document-archive", 2, 8, 2)]
    [InlineData("music", 0.5, 8, 0.45)]
    [InlineData("web-site", 0.25, 4, 0.05)]
    [InlineData("game-server", 2.5, 10, 1)]
    [InlineData("desktop", 4, 40, 2)]
    public void Further_services_have_the_figures_of_the_trade(string profile, double memoryGiB, double diskGiB, double busy)
    {
        var sizing = Small.Size(Small.Guest("a", profile, ProfileBook.Standard.Get(profile).Advised[0]));
        var machine = sizing.Guest.Kind == GuestKind.Machine;
        sizing.ExpectedMemory.GiB.ShouldBe(memoryGiB + (machine ? MachineSystem : 0), 1e-6);
        sizing.SystemDisk.GiB.ShouldBe(diskGiB + (machine ? 8 : 0));
        sizing.BusyCores.Value.ShouldBe(busy, 1e-9);
    }

    [Fact]
    public void A_sample_takes_one_and_a_half_bytes()
    {
        var sizing = Of("measurements", [("series", 1000), ("a-minute", 4), ("days", 365)]);
        sizing.Bulk.Bytes.ShouldBe((long)(1.5 * 1000 * 4 * 1440 * 365));
        Of("measurements", [("series", 100_000)]).ExpectedMemory.GiB.ShouldBe(2 + MachineSystem, 1e-9);
    }

    [Fact]
    public void Packaging_is_advised_with_reasons_for_every_profile()
    {
        foreach (var profile in ProfileBook.Standard.All)
        {
            var packaging = Packaging.For(profile);
            packaging.Kind.ShouldBe(profile.Advised[0]);
            packaging.Reasons.ShouldAllBe(r => r.EndsWith('.') && r.Length > 10);
            packaging.Reasons.Count.ShouldBeGreaterThan(0);
        }
    }

    [Fact]
    [Trade]
    public void A_network_boot_server_stays_within_what_ran_it()
    {
        var sizing = Small.Size(Small.Guest("bootpost", "network-boot", GuestKind.AppStack));

        sizing.Vcpu.ShouldBe(1);
        sizing.Memory.MiB.ShouldBeInRange(512, 640);
        sizing.SystemDisk.GiB.ShouldBeInRange(8, 64);
    }

    [Fact]
    [Trade]
    public void A_test_machine_holds_its_live_image_and_never_goes_below_2_GiB()
    {
        Memory("test-machine", ("image", 3)).GiB.ShouldBeInRange(3 / 1.0737 + 1, 6);
        Memory("test-machine", ("image", 0.1)).ShouldBe(ByteSize.FromGiB(2.75), "2 GiB with the margin, its own system on top");
    }

    [Fact]
    [Trade]
    public void A_file_cloud_sets_aside_15_percent_for_versions_and_trash() =>
        Small
            .Size(Small.Guest("pressbook", "file-cloud", GuestKind.AppStack, new LoadValue("people", 5), new LoadValue("quota", 600)))
            .Bulk.ShouldBe(ByteSize.FromGB(5 * 600 * 1.15));

    [Fact]
    public void No_size_falls_when_a_load_rises()
    {
        var any =
            from profile in Pick.From([.. ProfileBook.Standard.All.Where(p => p.Loads.Any(l => !l.YesNo))])
            from kind in Gen.Enum<GuestKind>()
            from load in Pick.From([.. profile.Loads.Where(l => !l.YesNo)])
            from low in Gen.Double[0, 1]
            from high in Gen.Double[0, 1]
            select (profile, kind, load, Math.Min(low, high), Math.Max(low, high));

        any.Holds(sample =>
        {
            var (profile, kind, load, low, high) = sample;
            var less = Small.Size(Small.Guest("a", profile.Id, kind, new LoadValue(load.Id, load.Min + (low * (load.Max - load.Min)))));
            var more = Small.Size(Small.Guest("a", profile.Id, kind, new LoadValue(load.Id, load.Min + (high * (load.Max - load.Min)))));
            return more.Vcpu >= less.Vcpu
                && more.Memory >= less.Memory
                && more.SystemDisk >= less.SystemDisk
                && more.Bulk >= less.Bulk
                && more.Overhead.Value >= less.Overhead.Value
                && more.Scratch.Value >= less.Scratch.Value
                && more.EncodeMegapixels.Value >= less.EncodeMegapixels.Value
                && more.Bandwidth.Value.BitsPerSecond >= less.Bandwidth.Value.BitsPerSecond
                && more.AcceleratorShare.Value.Value >= less.AcceleratorShare.Value.Value
                && Enumerable.Range(0, 24).All(h => more.CoresAt(h) >= less.CoresAt(h) - 1e-9);
        });
    }

    [Fact]
    public void Several_services_in_one_guest_add_up()
    {
        var database = Small.Size(Small.Guest("a", "database", GuestKind.SystemContainer));
        var wiki = Small.Size(Small.Guest("b", "wiki", GuestKind.SystemContainer));
        var both = Small.Size(
            Small.Guest("c", "database", GuestKind.SystemContainer) with
            {
                Wants = [new Want("database"), new Want("wiki")],
            }
        );

        both.ExpectedMemory.ShouldBe(database.ExpectedMemory + wiki.ExpectedMemory);
        both.SystemDisk.ShouldBe(database.SystemDisk + wiki.SystemDisk);
        both.BusyCores.Value.ShouldBe(database.BusyCores.Value + wiki.BusyCores.Value, 1e-9);
        both.CoresAt(10).ShouldBe(database.CoresAt(10) + wiki.CoresAt(10), 1e-9);
    }

    [Fact]
    public void An_override_stands_beside_the_advice_and_is_dropped_again()
    {
        var guest = Small.Guest("a", "router");
        var mine = Small.Size(guest with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(2)) });

        mine.Memory.ShouldBe(ByteSize.FromGiB(2));
        mine.AdvisedMemory.Value.ShouldBe(ByteSize.FromGiB(3), "(2 + 0.5) × 1.15, up to the next 256 MiB");
        Small.Size(guest).Memory.ShouldBe(ByteSize.FromGiB(3));
    }

    [Fact]
    public void Every_figure_of_every_profile_opens_its_working()
    {
        foreach (var profile in ProfileBook.Standard.All)
        {
            var sizing = Small.Size(Small.Guest("a", profile.Id, profile.Advised[0]));
            IFigure[] figures = [sizing.AdvisedMemory, sizing.AdvisedVcpu, sizing.AdvisedSystemDisk, sizing.Overhead];
            foreach (var figure in figures)
            {
                figure.Inputs.ShouldNotBeEmpty($"{profile.Id}: {figure.Label}");
                figure.Formula.ShouldNotBeNullOrWhiteSpace();
                figure.Source.Text.ShouldNotBeNullOrWhiteSpace();
                figure.ValueText.ShouldNotBeNullOrWhiteSpace();
            }
        }
    }

    [Fact]
    public void What_nobody_said_is_marked_as_assumed_and_what_was_said_is_not()
    {
        var silent = Small.Size(Small.Guest("a", "media-library")).AdvisedBulk;
        var said = Small.Size(Small.Guest("a", "media-library", GuestKind.Machine, new LoadValue("library", 6))).AdvisedBulk;

        silent.RestsOnAssumptions.ShouldBeTrue();
        said.RestsOnAssumptions.ShouldBeFalse();
    }

    [Fact]
    public void The_day_lies_between_rest_and_full_work()
    {
        foreach (var profile in ProfileBook.Standard.All)
        {
            var sizing = Small.Size(Small.Guest("a", profile.Id));
            for (var hour = 0; hour < DayShape.Hours; hour++)
            {
                sizing.CoresAt(hour).ShouldBeInRange(sizing.IdleCores.Value - 1e-9, sizing.BusyCores.Value + 1e-9, profile.Id);
            }
        }
    }

    [Theory]
    [Trade]
    [InlineData("media-library", 20)]
    [InlineData("backup-server", 2)]
    [InlineData("test-machine", 15)]
    public void Each_service_has_its_hour(string profile, int busiest)
    {
        var sizing = Small.Size(Small.Guest("a", profile));
        Enumerable.Range(0, 24).MaxBy(sizing.CoresAt).ShouldBe(busiest);
    }

    [Fact]
    public void Profiles_hang_together()
    {
        ProfileBook.Standard.All.Select(p => p.Id).ShouldBeUnique();
        foreach (var profile in ProfileBook.Standard.All)
        {
            Term[] terms =
            [
                .. profile.Idle,
                .. profile.Busy,
                .. profile.Memory,
                .. profile.SystemDisk,
                .. profile.Bulk,
                .. profile.Encode,
                .. profile.Bandwidth,
                .. profile.Accelerator,
                .. profile.Scratch,
                .. profile.LeastProcessors,
                .. profile.LeastMemory,
            ];
            terms.ShouldAllBe(t => t.Amount >= 0);
            terms.SelectMany(t => t.Unless).ShouldAllBe(id => profile.Loads.Any(l => l.Id == id && l.YesNo), profile.Id);
            terms.SelectMany(t => t.Per).ShouldAllBe(id => profile.Loads.Any(l => l.Id == id), profile.Id);
            profile.Loads.ShouldAllBe(l => l.Default >= l.Min && l.Default <= l.Max, profile.Id);
            profile
                .Loads.Where(l => !terms.Any(t => t.Per.Contains(l.Id)))
                .ShouldAllBe(
                    l => l.ForTheRecord,
                    $"{profile.Id}: a question that changes nothing is asked for the record only, and says so"
                );
            profile.Loads.Where(l => terms.Any(t => t.Per.Contains(l.Id))).ShouldAllBe(l => !l.ForTheRecord, profile.Id);
            profile.Shape.Weights.Count.ShouldBe(24);
            profile.Shape.Weights.ShouldAllBe(w => w >= 0 && w <= 1);
            profile.Advised.Count.ShouldBeGreaterThan(0);
        }
    }

    [Fact]
    public void One_more_large_conversion_changes_a_media_library_most_and_an_encoder_is_named()
    {
        var step = LoadStep.Heaviest(Lab.Empty("x"), Small.Guest("films", "media-library"))[0];
        step.Load.ShouldBe("2160p films converted at once that stay 2160p 0 → 1");
        var cores = Video.ConversionCores(Video.MegapixelsPerSecond(3840, 2160, 30), Video.MegapixelsPerSecond(3840, 2160, 30));
        step.Adds.ShouldStartWith($"+ {Numbers.Short(cores)} cores, + 256\u202FMiB of memory");
        LoadStep
            .Heaviest(Lab.Empty("x"), Small.Guest("films", "media-library"), most: 9)
            .ShouldContain(s => s.Load == "convert without a video encoder yes → no" && s.Adds.StartsWith("− "));
    }

    [Fact]
    public void Every_step_named_really_adds_what_it_says()
    {
        foreach (var profile in ProfileBook.Standard.All)
        {
            var steps = LoadStep.Heaviest(Lab.Empty("x"), Small.Guest("a", profile.Id), most: 20);
            steps.ShouldAllBe(s => s.Adds.StartsWith('+') || s.Adds.StartsWith('−'), profile.Id);
            steps.Select(s => s.Weight).ShouldBeInOrder(SortDirection.Descending);
        }
    }

    [Theory]
    [InlineData("cameras 4", "camera-recorder", "cameras", 4)]
    [InlineData("4 cameras", "camera-recorder", "cameras", 4)]
    [InlineData("listeners 3", "music", "listeners", 3)]
    [InlineData("router", "router", null, 0)]
    [InlineData("backup", "backup-server", null, 0)]
    [InlineData("cameras 400", "camera-recorder", null, 0)]
    public void A_service_is_asked_for_in_a_few_words(string words, string profile, string? load, double value)
    {
        var ask = QuickAsk.Of(ProfileBook.Standard, words)[0];
        ask.Profile.Id.ShouldBe(profile);
        ask.Load.ShouldBe(load is null ? [] : [new LoadValue(load, value)]);
    }

    [Theory]
    [InlineData("")]
    [InlineData("4")]
    [InlineData("zzzz")]
    public void Words_that_mean_nothing_ask_for_nothing(string words) => QuickAsk.Of(ProfileBook.Standard, words).ShouldBeEmpty();

    [Fact]
    public void A_guest_is_split_and_both_parts_are_sized_alone()
    {
        var both = Small.Guest("glazelog", "database") with { Wants = [new Want("database"), new Want("wiki")] };
        var lab = Small.Lab(Small.Host("kiln")).WithGuestOn(both, "kiln");
        var split = GuestEdits.Split(new GuestId("glazelog"), 1)(lab);

        split.Sentence.ShouldBe("glazelog split: wiki and notes is a guest of its own");
        split.Lab.Guests.Select(g => g.Wants.Single().ProfileId).ShouldBe(["database", "wiki"]);
        split.Lab.Guests[1].Placement.ShouldBe(split.Lab.Guests[0].Placement);
        Should.Throw<Refused>(() => GuestEdits.Split(new GuestId("glazelog"), 0)(split.Lab)).Message.ShouldContain("only one thing to do");
    }

    /// <summary>GiB of the system every machine carries; common practice.</summary>
    private const double MachineSystem = 0.5;

    private static ByteSize Bulk(params (string Id, double Value)[] load) => Of("camera-recorder", load).Bulk;

    private static ByteSize Memory(string profile, params (string Id, double Value)[] load) => Of(profile, load).Memory;

    private static Sizing Of(string profile, (string Id, double Value)[] load) =>
        Small.Size(Small.Guest("a", profile, GuestKind.Machine, [.. load.Select(l => new LoadValue(l.Id, l.Value))]));
}
