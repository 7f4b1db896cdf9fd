using System.Globalization;
using System.Text.Json.Nodes;
using CsvHelper;
using Yuntak.Core.Keeping;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Copies;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests.Copies;

/// <summary>What is handed out of any house, whatever its names are, is read by what it is for and says what was worked out.</summary>
public class AnyHouseTests
{
    [Fact]
    [Reference("RFC 8259 by System.Text.Json, RFC 4180 by CsvHelper, RFC 5545 by Ical.Net")]
    public void Every_file_is_read_back() =>
        Gens.AnyLab.Holds(
            lab =>
            {
                var keeping = lab.Keeping();
                Answer(JsonNode.Parse(KeepingAnswer.Of(keeping, Copied.Today))!, keeping);

                using var csv = new CsvReader(new StringReader(KeepingTable.Csv(keeping)), CultureInfo.InvariantCulture);
                csv.GetRecords<dynamic>()
                    .Cast<IDictionary<string, object>>()
                    .Sum(r => long.Parse((string)r["bytes"], CultureInfo.InvariantCulture))
                    .ShouldBe(keeping.Jobs.Sum(j => j.First.Bytes));

                var calendar = Ical.Net.Calendar.Load(
                    KeepingCalendar.Of(keeping, new DateTimeOffset(2027, 3, 1, 12, 0, 0, TimeSpan.Zero))
                )!;
                foreach (var job in keeping.Jobs)
                {
                    calendar.Events.Count(e => e.Summary == $"copying {job.Job.Name}").ShouldBeGreaterThan(0, job.Job.Name);
                }

                // A name never becomes a heading, a line or a link of its own.
                var lines = KeepingTable.Markdown(keeping).Split('\n');
                lines.Count(l => l.StartsWith("### ", StringComparison.Ordinal)).ShouldBe(lab.Jobs.Count);
                lines.Count(l => l.StartsWith("- **", StringComparison.Ordinal)).ShouldBe(lab.Stores.Count);
            },
            iter: 100
        );

    private static void Answer(JsonNode answer, HouseKeeping keeping)
    {
        foreach (var (job, sums) in answer["jobs"]!.AsArray().Zip(keeping.Jobs))
        {
            ((string?)job!["name"]).ShouldBe(sums.Job.Name);
            ((long)job["bytesFirst"]!).ShouldBe(sums.First.Bytes);
            ((long)job["bytesEach"]!).ShouldBeInRange(0, sums.First.Bytes);
        }

        foreach (var (store, sums) in answer["stores"]!.AsArray().Zip(keeping.Stores))
        {
            ((long)store!["usedBytes"]!).ShouldBeGreaterThanOrEqualTo(0);
            // A store that is too small on its fullest day is full on one; what is larger than that never is.
            (store["fullOn"] is not null).ShouldBe(sums.Room is { } room && keeping.Room(sums).Needed > room, sums.Store.Name);
        }

        var wholes = answer["guests"]!.AsArray().All(g => g!["restoreMinutes"] is not null);
        (answer["houseRestoreMinutes"] is not null).ShouldBe(wholes && keeping.Guests.Count > 0);
        foreach (var guest in answer["guests"]!.AsArray())
        {
            ((int)guest!["copies"]!).ShouldBeGreaterThanOrEqualTo(1 + (int)guest["elsewhere"]!);
            ((int)guest["unchecked"]!).ShouldBeLessThan((int)guest["copies"]!);
        }
    }
}
