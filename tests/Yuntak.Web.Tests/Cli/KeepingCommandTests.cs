using System.Text.Json;

namespace Yuntak.Web.Tests.Cli;

/// <summary>What is copied where, as the command line says it.</summary>
public class KeepingCommandTests
{
    private const string Lab = """
        yuntak: 1
        name: test
        settings: { time-zone: Europe/Lisbon }
        hosts:
          - name: kiln
            processor: { architecture: x86_64, cores: 8, threads: 16, virtualisation: true }
            memory: 64 GiB
            inside: { network: [{ name: eno1, speed: 1000, up: true }] }
            disks:
              - { id: boot, name: sda, size: 240 GB, kind: sata-flash, mounted-at: [/] }
              - { id: flash, name: nvme0n1, size: 2 TB, kind: nvme-flash }
              - { id: slow, name: sdb, size: 20 TB, kind: spinning }
            pools:
              - { name: ember, layout: single, family: array, disks: [flash] }
              - { name: clay, layout: single, family: array, disks: [slow] }
          - name: cellar
            processor: { architecture: x86_64, cores: 4, threads: 8, virtualisation: true }
            memory: 16 GiB
            inside: { network: [{ name: eno1, speed: 1000, up: true }] }
            disks:
              - { id: c-boot, name: sda, size: 240 GB, kind: sata-flash, mounted-at: [/] }
              - { id: c-slow, name: sdb, size: 24 TB, kind: spinning }
            pools:
              - { name: vault, layout: single, family: array, disks: [c-slow] }
        guests:
          - { name: films, kind: machine, wants: [{ profile: media-library }], system-disk: 20 GB, bulk: 12 TB, on: { host: kiln, system-pool: ember, bulk-pool: clay } }
          - { name: notes, kind: machine, wants: [{ profile: wiki }], system-disk: 20 GB, on: { host: kiln, system-pool: ember } }
        stores:
          - { name: vault, host: cellar, pool: vault, deduplicates: true, checks-new: true, checks-days: 30 }
        jobs:
          - name: nightly
            store: vault
            times: "22:30"
            mode: stop
            keep: last 4
            takes:
              - { guest: films, changes: 100 GB }
        """;

    [Fact]
    public void The_answer_has_the_names_it_promises_and_sums_that_follow_by_hand()
    {
        var answer = Ask("--night", "2027-01-15");
        const double gigabit = 1e9 / 8 * 1460 / 1538;

        var job = answer.GetProperty("jobs")[0];
        job.GetProperty("name").GetString().ShouldBe("nightly");
        job.GetProperty("store").GetString().ShouldBe("vault");
        job.GetProperty("bytesFirst").GetInt64().ShouldBe(12_020_000_000_000);
        ((double)job.GetProperty("bytesEach").GetInt64()).ShouldBe(100e9, 2);
        job.GetProperty("starts").GetString().ShouldBe("2027-01-15T22:30");
        job.GetProperty("ends")
            .GetString()
            .ShouldBe($"{new DateTime(2027, 1, 15, 22, 30, 0).AddSeconds(100e9 / gigabit):yyyy-MM-dd'T'HH:mm}");
        var away = job.GetProperty("outageMinutes")[0];
        away.GetProperty("guest").GetString().ShouldBe("films");
        away.GetProperty("minutes").GetDouble().ShouldBe(3 + (100e9 / gigabit / 60), 0.1);

        var store = answer.GetProperty("stores")[0];
        store.GetProperty("name").GetString().ShouldBe("vault");
        ((double)store.GetProperty("usedBytes").GetInt64()).ShouldBe(12.02e12 + 300e9, 10);
        store.GetProperty("roomBytes").GetInt64().ShouldBeGreaterThan(20_000_000_000_000);
        store.GetProperty("fullOn").ValueKind.ShouldBe(JsonValueKind.Null);

        var guest = answer.GetProperty("guests").EnumerateArray().Single(g => g.GetProperty("guest").GetString() == "films");
        new[] { "copies", "mediums", "elsewhere", "unchangeable", "unchecked" }
            .Select(n => guest.GetProperty(n).GetInt32())
            .ShouldBe([2, 1, 0, 0, 0], "the films lie on spinning disks both times, though the system disk is flash");
        guest.GetProperty("worstLossHours").GetDouble().ShouldBe(24 + (100e9 / gigabit / 3600), 0.01);
        guest.GetProperty("restoreMinutes").GetDouble().ShouldBe((12.02e12 / gigabit / 60) + 12, 0.2);

        answer.GetProperty("houseRestoreMinutes").ValueKind.ShouldBe(JsonValueKind.Null, "notes is copied nowhere");
        answer.GetProperty("volumesInNoJob").EnumerateArray().Select(v => v.GetString()).ShouldBe(["notes/system"]);
        answer.GetProperty("volumesTwice").GetArrayLength().ShouldBe(0);
    }

    /// <summary>Over a line of 40 Mbit/s, or on a disk that takes in 100 MB/s and is carried in two hours.</summary>
    [Fact]
    public void An_onward_copy_is_answered_over_the_line_and_carried()
    {
        var far = Lab.Replace(
            "stores:\n",
            "stores:\n  - { name: far, place: boathouse, line: 40, room: 20 TB }\n",
            StringComparison.Ordinal
        );
        var onward = Run(far + "\nonward:\n  - { from: vault, to: far, times: \"00:15\" }\n", "--night", "2027-01-15")
            .GetProperty("onward")[0];
        const double line = 40e6 / 8 * 1460 / 1538;
        (onward.GetProperty("from").GetString(), onward.GetProperty("to").GetString()).ShouldBe(("vault", "far"));
        onward.GetProperty("bytesFirst").GetInt64().ShouldBe(12_020_000_000_000);
        ((double)onward.GetProperty("bytesEach").GetInt64()).ShouldBe(100e9, 2);
        onward.GetProperty("firstOverLineMinutes").GetDouble().ShouldBe(12.02e12 / line / 60, 1);
        onward.GetProperty("firstCarriedMinutes").GetDouble().ShouldBe((2 * 12.02e12 / 100e6 / 60) + 120, 1);
        onward.GetProperty("eachMinutes").GetDouble().ShouldBe(100e9 / line / 60, 1);
        var even = onward.GetProperty("breakEvenBytes").GetInt64();
        (even / line).ShouldBe((2 * even / 100e6) + 7200, 1);
    }

    [Fact]
    public void A_night_in_which_the_clock_is_put_forward_is_an_hour_shorter()
    {
        Ask("--night", "2027-03-27").GetProperty("jobs")[0].GetProperty("starts").GetString().ShouldBe("2027-03-27T22:30");
        var long_ = Lab.Replace("22:30", "00:30", StringComparison.Ordinal).Replace("100 GB", "800 GB", StringComparison.Ordinal);
        var hours = 800e9 / (1e9 / 8 * 1460 / 1538) / 3600;
        Run(long_, "--night", "2027-03-27")
            .GetProperty("jobs")[0]
            .GetProperty("ends")
            .GetString()
            .ShouldBe($"{new DateTime(2027, 3, 28, 0, 30, 0).AddHours(hours + 1):yyyy-MM-dd'T'HH:mm}");
    }

    [Fact]
    public void In_words_it_says_the_night_the_stores_and_what_is_in_no_job()
    {
        var (ended, said, _) = CommandLine.Run(Lab, "keeping", "-", "--night", "2027-01-15");
        ended.ShouldBe(0);
        foreach (var words in new[] { "copying nightly", "vault on cellar", "films: there 2 times", "in no job: system disk of notes" })
        {
            said.ShouldContain(words);
        }
    }

    [Theory]
    [InlineData("nightly", "times: \"22:30\"", "times: \"25:30\"", "times such as 22:30")]
    [InlineData("a store that is not there", "store: vault\n", "store: attic\n", "There is no store called «attic»")]
    [InlineData("a guest that is not there", "guest: films, changes", "guest: filmz, changes", "There is no guest called «filmz»")]
    [InlineData("less than nothing", "changes: 100 GB", "changes: -100 GB", "a size such as")]
    [InlineData("a rule", "keep: last 4", "keep: daily 0", "what is kept, such as")]
    [InlineData("a zone", "Europe/Lisbon", "Europe/Atlantis", "a time zone such as")]
    [InlineData("a store that is nowhere", "host: cellar, pool: vault, deduplicates", "deduplicates", "Say where the store is")]
    [InlineData("a line", "checks-days: 30", "line: 0", "0.01")]
    public void What_cannot_be_is_said_with_its_place(string what, string was, string now, string why)
    {
        Lab.ShouldContain(was, Case.Sensitive, what);
        var (ended, _, problem) = CommandLine.Run(Lab.Replace(was, now, StringComparison.Ordinal), "keeping", "-");
        ended.ShouldBe(2);
        problem.ShouldContain(why);
    }

    [Theory]
    [InlineData("0001-01-01")]
    [InlineData("9999-12-31")]
    [InlineData("tomorrow")]
    public void A_night_that_cannot_be_reckoned_is_refused_in_words(string night)
    {
        var (ended, _, problem) = CommandLine.Run(Lab, "keeping", "-", "--night", night);
        ended.ShouldBe(2);
        problem.ShouldNotBeEmpty();
        problem.ShouldNotContain("   at ");
    }

    [Fact]
    public void Days_at_both_ends_of_time_do_not_break_the_sums()
    {
        foreach (var on in new[] { "1970-01-01", "2199-12-31" })
        {
            var lab =
                Lab
                + $"\ndrills:\n  - {{ of: house, on: \"{on}\", worked: true }}\ncopies:\n  - {{ guest: films, store: vault, at: \"{on}T23:59\", bytes: 1 TB }}\n";
            CommandLine.Run(lab, "check", "-", "--json").Said.ShouldNotContain("could not be worked out");
            CommandLine.Run(lab, "keeping", "-", "--json").Ended.ShouldBe(0);
        }
    }

    private static JsonElement Ask(params string[] asked) => Run(Lab, asked);

    private static JsonElement Run(string lab, params string[] asked)
    {
        var (ended, said, problem) = CommandLine.Run(lab, ["keeping", "-", "--json", .. asked]);
        ended.ShouldBe(0, problem);
        return JsonDocument.Parse(said).RootElement;
    }
}
