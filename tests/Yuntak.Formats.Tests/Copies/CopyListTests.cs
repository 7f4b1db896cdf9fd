using System.Globalization;
using CsCheck;
using CsvHelper;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;
using Yuntak.Formats.Copies;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests.Copies;

/// <summary>Lists of copies that are there, true ones and such that lie; tables and calendars, read by what they are for.</summary>
public class CopyListTests
{
    private static readonly Lab House = Copied.Sound();

    [Theory]
    [InlineData("guest,time,bytes,checked\nnotes,2027-02-28T23:30,21000000000,2027-03-01")]
    [InlineData("notes,2027-02-28 23:30,21 GB,2027-03-01")]
    [InlineData("what;taken;size;verified\nNotes;2027-02-28T23:30:10Z;21000000000;2027-03-01T04:00")]
    [InlineData("time\tguest\tchecked\tbytes\n2027-02-28T23:30\tnotes\t2027-03-01\t21GB")]
    [InlineData("notes 2027-02-28T23:30 21000000000 2027-03-01")]
    public void A_list_is_read_whatever_stands_between_its_columns(string text)
    {
        var reading = CopyList.Read(text, House, "vault");
        reading.Problems.ShouldBeEmpty();
        reading.Copies.ShouldBe([
            new KnownCopy(Copied.Notes, "vault", "2027-02-28T23:30", new ByteSize(21_000_000_000), new DateOnly(2027, 3, 1)),
        ]);
    }

    [Theory]
    [InlineData("notes,0001-01-01,5", "no moment from 1970 to 2199")]
    [InlineData("notes,9999-12-31T23:59,5", "no moment from 1970 to 2199")]
    [InlineData("notes,2027-02-28T23:30,-5", "no size")]
    [InlineData("notes,2027-02-28T23:30,1e99", "no size")]
    [InlineData("notes,,5", "no moment")]
    public void What_lies_is_said_by_its_line_and_nothing_of_it_is_taken(string text, string says)
    {
        var reading = CopyList.Read($"guest,time,bytes\n{text}\ncloud,2027-02-28T23:30,7", House, "vault");
        reading.Problems.Single().ShouldContain(says);
        reading.Problems.Single().ShouldStartWith("Line 2:");
        reading.Copies.Single().Guest.ShouldBe(Copied.Cloud);
    }

    [Fact]
    public void A_million_lines_get_a_plain_message_and_the_first_are_read()
    {
        var text = string.Join('\n', Enumerable.Range(0, 1_000_000).Select(n => $"notes,2027-02-28T23:30,{n}"));
        var reading = CopyList.Read(text, House, "vault");
        reading.Problems.Single().ShouldContain("20,000");
        reading.Copies.Count.ShouldBe(1);
        var strangers = CopyList.Read(
            string.Join('\n', Enumerable.Range(0, 200_000).Select(n => $"who{n},2027-02-28T23:30,{n}")),
            House,
            "vault"
        );
        strangers.Strangers.Count.ShouldBe(20);
        strangers.Problems.Single().ShouldContain("100,000 lines");
    }

    [Fact]
    public void Any_text_is_read_or_said_and_what_is_read_can_be_kept() =>
        Gen.OneOf(
                Gen.String,
                Gen.Char["guest,time;\t\n\"notes 2027-02-28T23:3019GB"].Array[0, 300].Select(c => new string(c)),
                Gen.Int[0, 60].Select(n => "guest,time,bytes,checked\nnotes,2027-02-28T23:30,21000000000,2027-03-01\n".Remove(n, 3))
            )
            .Holds(
                text =>
                {
                    var reading = CopyList.Read(text, House, "vault");
                    KeepingEdits.TakeCopies(reading.Copies)(House).Lab.Copies.Count.ShouldBe(reading.Copies.Count);
                },
                iter: 1_000
            );

    [Fact]
    [Reference("RFC 4180, read by CsvHelper")]
    public void The_table_is_read_back_with_names_that_hold_commas_and_quotes()
    {
        var lab = House.With(GuestEdits.Change(Copied.Notes, g => g with { Name = "no\"te,s" }));
        using var csv = new CsvReader(new StringReader(KeepingTable.Csv(lab.Keeping())), CultureInfo.InvariantCulture);
        var rows = csv.GetRecords<dynamic>().Cast<IDictionary<string, object>>().ToList();
        rows.Select(r => (string)r["takes"]).ShouldContain("system disk of no\"te,s");
        rows.Sum(r => long.Parse((string)r["bytes"], CultureInfo.InvariantCulture)).ShouldBe(lab.Keeping().Jobs.Sum(j => j.First.Bytes));
    }

    [Fact]
    public void The_plan_names_every_store_job_and_what_is_left_out()
    {
        var text = KeepingTable.Markdown(House.Keeping());
        foreach (var words in new[] { "**vault**", "**boathouse**", "### nightly", "set up anew", "vault to boathouse" })
        {
            text.ShouldContain(words);
        }
    }

    /// <summary>Occurrences as a calendar library reckons them, against the times of the plan, over a day the clock is put forward and one it is put back.</summary>
    [Theory]
    [InlineData("23:30")]
    [InlineData("sun 01:30")]
    [InlineData("mon,thu 06:00,18:00")]
    [Reference("RFC 5545, read by Ical.Net")]
    public void The_calendar_falls_on_the_times_of_the_plan(string times)
    {
        var lab = House.Job(j => j with { Times = times }) with { Settings = House.Settings with { TimeZone = "Europe/Lisbon" } };
        var calendar = Ical.Net.Calendar.Load(KeepingCalendar.Of(lab.Keeping(), new DateTimeOffset(2027, 3, 1, 12, 0, 0, TimeSpan.Zero)))!;
        var until = Copied.Today.AddDays(280);
        var found = calendar
            .Events.Where(e => e.Summary == "copying nightly")
            .SelectMany(e =>
                e.GetOccurrences()
                    .TakeWhile(o => o.Period.StartTime.AsUtc < until.ToDateTime(default))
                    .Select(o => o.Period.StartTime.AsUtc)
            )
            .Order()
            .ToList();
        var clock = new HouseClock("Europe/Lisbon");
        // At 01:30 on the day the clock goes from 01:00 to 02:00 the plan begins at once; a calendar goes by the offset before (RFC 5545, 3.3.5), half an hour later.
        found.RemoveAll(t => DateOnly.FromDateTime(t) == new DateOnly(2027, 3, 28));
        found.ShouldBe(
            CopyTimes
                .Parse(times)
                .Between(Copied.Today, until)
                .Select(w => DateTimeOffset.UnixEpoch.AddSeconds(clock.Seconds(w)).UtcDateTime)
                .Where(t => t < until.ToDateTime(default) && DateOnly.FromDateTime(t) != new DateOnly(2027, 3, 28))
                .Order()
        );
        calendar.Events.Count(e => e.Summary!.StartsWith("bring back")).ShouldBe(13);
    }
}
